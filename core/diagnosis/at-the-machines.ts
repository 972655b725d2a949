import type { Symptom } from './symptom';

// Order and limits: trade handbook, common practice and estimates; wording ours.

/** What shows at compressor, tank, coolers, dryers and drains. */
export const AT_THE_MACHINES: readonly Symptom[] = [
  {
    id: 'D06',
    says: 'No water in the tank any more',
    at: 'receiver',
    causes: [
      {
        title: 'Rust blocks the drain',
        check: 'Isolate, vent, verify zero pressure, then clear it: water is held downstream.',
      },
      { title: 'Cold, dry weather: no fault', check: 'The plan expects almost nothing.' },
      { title: 'The separator upstream works now', check: 'Measure what it gives.' },
      { title: 'The water passes as vapour', check: 'Look at the bowls further down.' },
    ],
  },
  {
    id: 'D07',
    says: 'A drain runs all the time',
    at: 'collecting',
    causes: [
      { title: 'It is stuck open, or dirt holds it', check: 'Air blows.' },
      { title: 'The amount is correct', check: 'Compare with what is expected.' },
      { title: 'A water-cooled cooler leaks', check: 'Stop the compressor: it still runs, without air.' },
    ],
  },
  {
    id: 'D14',
    says: 'The tank’s pressure falls under load',
    at: 'receiver',
    causes: [
      {
        title: 'Demand is above the delivery',
        check: 'Pump-up unchanged, and the sum of the jobs is above it.',
      },
      { title: 'Leaks', check: 'Leak-down over a fifth.' },
      { title: 'Worn valves, or the belt slips', check: 'Pump-up under 85 % of its first value.' },
      { title: 'The intake is clogged', check: 'The same; read its drop.' },
      { title: 'Purge, or a drain that stands open', check: 'Listen.' },
    ],
  },
  {
    id: 'D15',
    says: 'The compressor never reaches its cut-out',
    at: 'compressor',
    causes: [
      { title: 'Demand is above its delivery', check: 'See: the tank’s pressure falls under load.' },
      { title: 'Head gasket or reed', check: 'Pressure between its stages: high or low.' },
      { title: 'The unloader is stuck', check: 'It hisses at the head while it runs.' },
    ],
  },
  {
    id: 'D16',
    says: 'The compressor hums and does not start',
    at: 'compressor',
    causes: [
      { title: 'It starts against pressure: unloader or check valve', check: 'No hiss at the stop.' },
      { title: 'Low voltage, a long cable', check: 'Under 90 % at the motor: for an electrician.' },
      { title: 'Thick cold oil', check: 'In the cold only.' },
      { title: 'Too many starts', check: 'Count them.' },
    ],
  },
  {
    id: 'D17',
    says: 'The pressure switch hisses while the compressor is stopped',
    at: 'compressor',
    causes: [{ title: 'The check valve leaks', check: 'Over 20 s, and the tank’s pressure falls.' }],
  },
  {
    id: 'D18',
    says: 'The air leaves the cooler warmer than before',
    at: 'cooling',
    causes: [
      { title: 'Dirt on its fins', check: 'Clean a part of it: better.' },
      { title: 'Fan or belt', check: 'It stands, or draws other current.' },
      { title: 'More air than before', check: 'The hour meter, the jobs.' },
      { title: 'Hot air recirculates', check: 'Air at its fins more than {5 K} over the room.' },
      { title: 'Dirt inside', check: 'Its drop has grown.' },
    ],
  },
  {
    id: 'D19',
    says: 'Dew point high, condenser hot',
    at: 'drying',
    causes: [
      { title: 'Dirt, or no air flow', check: 'Clean it and read again.' },
      { title: 'A hot room', check: 'Air into it.' },
      { title: 'Too much air', check: 'Flow over its rating.' },
      { title: 'Its refrigerant', check: 'For a licensed technician.' },
    ],
  },
  {
    id: 'D20',
    says: 'Dew point high, condenser cool',
    at: 'drying',
    causes: [
      { title: 'Low refrigerant charge', check: 'For a licensed technician.' },
      { title: 'Its expansion valve', check: 'The same.' },
      { title: 'Its compressor', check: 'The same.' },
    ],
  },
  {
    id: 'D21',
    says: 'The dryer freezes and the flow falls',
    at: 'drying',
    causes: [
      { title: 'Its hot-gas valve is set low', check: 'The drop climbs, and is gone after a stop.' },
      { title: 'The room is under {4 °C}', check: 'Read it.' },
      { title: 'Very little load', check: 'The jobs.' },
      { title: 'Low refrigerant charge', check: 'For a licensed technician.' },
    ],
  },
  {
    id: 'D22',
    says: 'A twin tower drifts wetter',
    at: 'drying',
    causes: [
      { title: 'Hot air, or flow above its rating', check: 'Inlet temperature, flow.' },
      { title: 'The silencer is plugged', check: 'Over {0.2 bar} in the tower that regenerates.' },
      { title: 'Too little purge', check: 'Under 90 % of what is set.' },
      { title: 'A valve leaks', check: 'One tower only is bad.' },
      { title: 'Oil on the beads', check: 'Brown beads.' },
      { title: 'The probe', check: 'Another one reads otherwise.' },
    ],
  },
  {
    id: 'D23',
    says: 'A heated dryer: a bump at each switch',
    at: 'drying',
    causes: [
      { title: 'It is not cooled long enough', check: 'More than {17 K} for more than 20 min.' },
      { title: 'A small bump is usual', check: 'Less than that.' },
    ],
  },
  {
    id: 'D25',
    says: 'Beads last a quarter of what they should',
    at: 'media',
    causes: [
      { title: 'Nothing dries the air before them', check: 'Weight gained is as the plan expects.' },
      { title: 'Oil hides the colour', check: 'Heavy, and no colour.' },
      { title: 'They take up the room’s air while idle', check: 'Gained over a night without use.' },
      { title: 'They were not dried enough', check: '3 % heavier than dry after the oven.' },
      { title: 'More air than thought', check: 'The hour meter.' },
    ],
  },
  {
    id: 'D26',
    says: 'Pellets go fast',
    at: 'media',
    causes: [
      { title: 'Hot air', check: 'Over {38 °C} into it.' },
      { title: 'Slugs of water', check: 'The brine is almost water.' },
      { title: 'Too much air', check: 'Flow over its rating.' },
      { title: 'Its drain', check: 'Brine stands in it.' },
    ],
  },
  {
    id: 'D30',
    says: 'Milky water from a drain',
    at: 'collecting',
    causes: [
      { title: 'An emulsion: oil, heat, a long timer opening', check: 'A jar, left for a day: still milky.' },
      { title: 'Short runs of the compressor', check: 'It clears in the jar.' },
    ],
  },
  {
    id: 'D37',
    says: 'The motor trips',
    at: 'compressor',
    causes: [
      {
        title: 'It starts against pressure',
        check: 'Listen for the unloader’s hiss as it stops; does the check valve leak back?',
      },
      { title: 'It starts too often', check: 'Count the starts in an hour against the limit of its motor.' },
      { title: 'It is too hot', check: 'Air at its fins; dust on motor and compressor.' },
      { title: 'The supply is weak, or a long lead', check: 'An electrician reads the voltage as it starts.' },
    ],
  },
  {
    id: 'D38',
    says: 'A joint weeps',
    at: 'receiver',
    causes: [
      { title: 'The joint is loose or its sealant is old', check: 'Soapy water; vent the line before you touch it.' },
      { title: 'The pipe shakes', check: 'A hand on it while the compressor runs: a flexible joint is missing.' },
      { title: 'Soft solder or plastic too near the compressor', check: 'How hot it is there.' },
      {
        title: 'The vessel itself is rusted through',
        check: 'Wet at a seam or the bottom: take it out of use, and have it inspected.',
      },
    ],
  },
];
