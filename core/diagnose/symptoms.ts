/** A complaint as people bring it, with its causes in the order of likelihood and the check that tells. */
export interface Symptom {
  readonly id: string;
  readonly says: string;
  /** Where it shows. */
  readonly at: 'outlet' | 'receiver' | 'collecting' | 'drying' | 'cooling' | 'compressor' | 'media';
  readonly causes: readonly { readonly title: string; readonly check: string }[];
}

// Order and limits: handbook of practice, common practice and estimates; wording ours. D31 and D32 beyond it.
export const SYMPTOMS: readonly Symptom[] = [
  {
    id: 'D01',
    says: 'Water at the tool, every day',
    at: 'outlet',
    causes: [
      {
        title: 'A tank or separator drain is dead, or nobody opens it',
        check: 'Open the tank’s drain now: more than a hundredth of the tank comes out.',
      },
      {
        title: 'Nothing cools the air enough before the outlet',
        check: 'Air at the outlet more than 8 K over the room, with water in it.',
      },
      {
        title: 'The refrigerated dryer does not cool, or has too much to do',
        check: 'Its dew point reads over 10 °C.',
      },
      {
        title: 'The bypass of the dryer is open',
        check: 'Dew point good at the dryer, water behind where the bypass joins.',
      },
      { title: 'The take-off hangs from the bottom of the main', check: 'Look at the tee.' },
    ],
  },
  {
    id: 'D02',
    says: 'Water only after a quarter of an hour of heavy use',
    at: 'outlet',
    causes: [
      { title: 'Pump and tank warm up', check: 'Log the air behind the tank: it rises by more than 10 K.' },
      { title: 'The cartridge is spent', check: 'Weigh it: more than 60 % of what it can hold.' },
      { title: 'The dryer has more air than it is made for', check: 'Flow over its rating.' },
      { title: 'The separator has too much air', check: 'Flow over its rating.' },
    ],
  },
  {
    id: 'D03',
    says: 'Water only first thing in the morning',
    at: 'outlet',
    causes: [
      { title: 'The pipe cooled below the dew point overnight', check: 'Coldest pipe against the dew point.' },
      { title: 'The wet tank was not drained', check: 'Drain it in the evening and compare.' },
      { title: 'Tank and line stood cold under pressure', check: 'As above: a drier dew point, or let the line down.' },
    ],
  },
  {
    id: 'D04',
    says: 'Water only in humid weather',
    at: 'outlet',
    causes: [
      { title: 'The dryer has more water than it can take', check: 'Its load here, in that air: over 100 %.' },
      { title: 'The condenser is hot', check: 'Air into it over 40 °C, or dirt on it.' },
      { title: 'A drain cannot keep up', check: 'It still runs liquid as it shuts.' },
      { title: 'The intake is hot and damp', check: 'Read it; see what another place would bring.' },
    ],
  },
  {
    id: 'D05',
    says: 'Water behind a dryer whose display is good',
    at: 'drying',
    causes: [
      { title: 'The dryer’s own drain is stuck', check: 'Open it by hand: liquid bursts out.' },
      { title: 'The display shows the evaporator, not the dew point', check: 'A portable meter reads 5 K more.' },
      { title: 'Its bypass leaks', check: 'Warm pipe, or a hiss, along it.' },
      { title: 'Wet pipe is still drying out', check: 'Something wet in the last week or two.' },
    ],
  },
  {
    id: 'D06',
    says: 'No water in the tank any more',
    at: 'receiver',
    causes: [
      { title: 'Rust blocks the drain', check: 'Isolate, vent, prove zero, then clear it: water stands behind it.' },
      { title: 'The weather is cold and dry: it is right', check: 'The plan expects next to nothing.' },
      { title: 'The separator before it works now', check: 'Measure what it gives.' },
      { title: 'The water goes on as vapour', check: 'Look at the bowls further down.' },
    ],
  },
  {
    id: 'D07',
    says: 'A drain runs all the time',
    at: 'collecting',
    causes: [
      { title: 'It is stuck open, or dirt holds it', check: 'Air blows.' },
      { title: 'There really is so much water', check: 'Compare with what is expected.' },
      { title: 'A water-cooled cooler leaks', check: 'Stop the pump: it still runs, without air.' },
    ],
  },
  {
    id: 'D08',
    says: 'Oil at the white cloth, piston pump',
    at: 'outlet',
    causes: [
      { title: 'Overfilled, or the wrong oil', check: 'Level stopped: over its mark.' },
      { title: 'Rings or valves are worn', check: 'More than 20 mL for 100 h and horsepower.' },
      { title: 'The coalescer is spent or burst', check: 'No drop over it at all.' },
      { title: 'Hot air carries oil past the coalescer as vapour', check: 'Air at it over 38 °C.' },
      { title: 'Lubricator before it, or an oiled hose', check: 'Change the hose.' },
    ],
  },
  {
    id: 'D09',
    says: 'Oil at the white cloth, screw',
    at: 'outlet',
    causes: [
      {
        title: 'Its separator element, or the scavenge line',
        check: 'Over 0.6 bar over it, or nothing moves in the glass.',
      },
      { title: 'Overfilled', check: 'Level stopped: over its mark.' },
      { title: 'The minimum-pressure valve', check: 'Pressure stays under 5 bar.' },
      { title: 'It runs at low pressure', check: 'The same.' },
      { title: 'The coalescer behind it', check: 'No drop over it at all.' },
    ],
  },
  {
    id: 'D10',
    says: 'Smells of oil, cloth clean',
    at: 'outlet',
    causes: [
      { title: 'The carbon is spent', check: 'Smell before it and behind it.' },
      { title: 'There is no carbon', check: 'Vapour passes every coalescer.' },
      { title: 'The intake breathes fumes', check: 'Where it stands.' },
    ],
  },
  {
    id: 'D11',
    says: 'Craters in the paint',
    at: 'outlet',
    causes: [
      {
        title: 'Silicone: spray, hose, hand cream, surface',
        check:
          'A test panel on bottled nitrogen, in good ventilation and with supplied air; never oxygen: still there.',
      },
      { title: 'Oil in the air', check: 'The white cloth.' },
      { title: 'Water in the air', check: 'The white cloth.' },
    ],
  },
  {
    id: 'D12',
    says: 'Lacquer goes milky',
    at: 'outlet',
    causes: [
      { title: 'The room is damp, not the line', check: 'The panel is less than 3 K over the dew point of the room.' },
      { title: 'The air is wet', check: 'White cloth and dew point.' },
    ],
  },
  {
    id: 'D13',
    says: 'Low pressure at the tool, the tank is fine',
    at: 'outlet',
    causes: [
      {
        title: 'Hose and couplers',
        check: 'Read in flow at tank, filters, regulator and hose end: the biggest step tells.',
      },
      { title: 'A filter', check: 'The same.' },
      { title: 'The regulator droops', check: 'The same.' },
      { title: 'The pipe', check: 'The same.' },
      { title: 'The gauge', check: 'All the same at rest?' },
    ],
  },
  {
    id: 'D14',
    says: 'The tank’s pressure falls under load',
    at: 'receiver',
    causes: [
      {
        title: 'More is asked than the pump gives',
        check: 'Pump-up as good as ever, and the sum of the jobs is over it.',
      },
      { title: 'Leaks', check: 'Leak-down over a fifth.' },
      { title: 'Worn valves, or the belt slips', check: 'Pump-up under 85 % of what it was.' },
      { title: 'The intake is clogged', check: 'The same; read its drop.' },
      { title: 'Purge, or a drain that stands open', check: 'Listen.' },
    ],
  },
  {
    id: 'D15',
    says: 'The pump never gets to its cut-out',
    at: 'compressor',
    causes: [
      { title: 'More is asked than it gives', check: 'See: the tank’s pressure falls under load.' },
      { title: 'Head gasket or reed', check: 'Pressure between its stages: high or low.' },
      { title: 'The unloader is stuck', check: 'It hisses at the head while it runs.' },
    ],
  },
  {
    id: 'D16',
    says: 'The pump hums and does not start',
    at: 'compressor',
    causes: [
      { title: 'It starts against pressure: unloader or check valve', check: 'No hiss at the stop.' },
      { title: 'Too little voltage, a long cable', check: 'Under 90 % at the motor: an electrician’s matter.' },
      { title: 'Thick cold oil', check: 'In the cold only.' },
      { title: 'Too many starts', check: 'Count them.' },
    ],
  },
  {
    id: 'D17',
    says: 'The pressure switch hisses though the pump stands',
    at: 'compressor',
    causes: [{ title: 'The check valve leaks', check: 'Over 20 s, and the tank’s pressure falls.' }],
  },
  {
    id: 'D18',
    says: 'The cooler leaves the air warmer than it did',
    at: 'cooling',
    causes: [
      { title: 'Dirt on its fins', check: 'Clean a part of it: better.' },
      { title: 'Fan or belt', check: 'It stands, or draws other current.' },
      { title: 'More air than before', check: 'The hour meter, the jobs.' },
      { title: 'Hot air goes round in a circle', check: 'Air at its fins more than 5 K over the room.' },
      { title: 'Dirt inside', check: 'Its drop has grown.' },
    ],
  },
  {
    id: 'D19',
    says: 'Dew point high, condenser hot',
    at: 'drying',
    causes: [
      { title: 'Dirt, or no draught', check: 'Clean it and read again.' },
      { title: 'A hot room', check: 'Air into it.' },
      { title: 'Too much air', check: 'Flow over its rating.' },
      { title: 'Its refrigerant', check: 'A licensed technician’s matter.' },
    ],
  },
  {
    id: 'D20',
    says: 'Dew point high, condenser cool',
    at: 'drying',
    causes: [
      { title: 'Its charge is low', check: 'A licensed technician’s matter.' },
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
      { title: 'The room is under 4 °C', check: 'Read it.' },
      { title: 'Very little load', check: 'The jobs.' },
      { title: 'Little refrigerant', check: 'A licensed technician’s matter.' },
    ],
  },
  {
    id: 'D22',
    says: 'A twin tower drifts wetter',
    at: 'drying',
    causes: [
      { title: 'Hot air, or more than it is made for', check: 'Inlet temperature, flow.' },
      { title: 'The silencer is plugged', check: 'Over 0.2 bar in the tower that regenerates.' },
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
      { title: 'It is not cooled long enough', check: 'More than 17 K for more than 20 min.' },
      { title: 'A small bump is usual', check: 'Less than that.' },
    ],
  },
  {
    id: 'D24',
    says: 'White or pink dust',
    at: 'outlet',
    causes: [
      { title: 'Too much air lifts the beads', check: 'Flow over its rating.' },
      { title: 'It lets its pressure go too fast', check: 'Watch the gauge as it switches.' },
      { title: 'A slug of water broke them', check: 'Something wet before it.' },
      { title: 'The dust filter is torn', check: 'No drop over it.' },
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
      { title: 'Hot air', check: 'Over 38 °C into it.' },
      { title: 'Slugs of water', check: 'The brine is almost water.' },
      { title: 'Too much air', check: 'Flow over its rating.' },
      { title: 'Its drain', check: 'Brine stands in it.' },
    ],
  },
  {
    id: 'D27',
    says: 'Rusty water everywhere',
    at: 'outlet',
    causes: [
      { title: 'Wet for years, in steel pipe', check: 'A magnet; the colour at each drain.' },
      { title: 'The tank rusts', check: 'The tank’s water is the reddest.' },
      { title: 'Flakes of zinc', check: 'Grey flakes.' },
    ],
  },
  {
    id: 'D28',
    says: 'The line freezes outdoors',
    at: 'outlet',
    causes: [{ title: 'The dew point is too near the coldest pipe', check: 'Less than 10 K below it.' }],
  },
  {
    id: 'D29',
    says: 'The regulator frosts',
    at: 'outlet',
    causes: [
      { title: 'A large fall of pressure in wet air', check: 'Over 7 bar of fall, dew point over freezing.' },
      { title: 'The dew point is high', check: 'Measure it.' },
      { title: 'Much air', check: 'The tool.' },
    ],
  },
  {
    id: 'D30',
    says: 'Milky water from a drain',
    at: 'collecting',
    causes: [
      { title: 'An emulsion: oil, heat, a timer’s blast', check: 'A jar, left for a day: still milky.' },
      { title: 'Short runs of the pump', check: 'It clears in the jar.' },
    ],
  },
  {
    id: 'D31',
    says: 'Water in the hose, in winter only',
    at: 'outlet',
    causes: [
      {
        title: 'A drain is frozen, and the water goes on',
        check: 'The plan expects little; open the drain in the warm.',
      },
      { title: 'The intake is indoors, warm and damp', check: 'Read it.' },
      { title: 'A stretch of pipe passes through the cold', check: 'Dew point against that pipe.' },
    ],
  },
  {
    id: 'D32',
    says: 'A cylinder or valve sticks, its seals have swollen',
    at: 'outlet',
    causes: [
      { title: 'Oil that its seals do not bear', check: 'Which oil; what the maker allows.' },
      { title: 'Water washed its grease out', check: 'White cloth, drops at the tool.' },
    ],
  },
];

export const symptomById = (id: string | null): Symptom | undefined => SYMPTOMS.find((s) => s.id === id);
