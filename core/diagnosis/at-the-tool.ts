import type { Symptom } from './symptom';

// Order and limits: trade handbook, common practice and estimates; wording ours.

/** What shows where the air is used. D31 and D32 beyond the handbook. */
export const AT_THE_TOOL: readonly Symptom[] = [
  {
    id: 'D01',
    says: 'Water at the tool, every day',
    at: 'outlet',
    causes: [
      {
        title: 'A tank or separator drain has failed or is not opened',
        check: 'Open the tank’s drain now: more than a hundredth of the tank comes out.',
      },
      {
        title: 'Nothing cools the air enough before the outlet',
        check: 'Air at the outlet more than {8 K} over the room, with water in it.',
      },
      {
        title: 'The refrigerated dryer does not cool, or is overloaded',
        check: 'Its dew point reads over {10 °C}.',
      },
      {
        title: 'The bypass of the dryer is open',
        check: 'Dew point good at the dryer, water behind where the bypass joins.',
      },
      { title: 'The take-off is at the bottom of the main', check: 'Look at the tee.' },
    ],
  },
  {
    id: 'D02',
    says: 'Water only after a quarter of an hour of heavy use',
    at: 'outlet',
    causes: [
      {
        title: 'Compressor and tank warm up',
        check: 'Log the air downstream of the tank: it rises by more than {10 K}.',
      },
      { title: 'The cartridge is exhausted', check: 'Weigh it: more than 60 % of what it can hold.' },
      { title: 'Flow through the dryer is above its rating', check: 'Flow over its rating.' },
      { title: 'Flow through the separator is above its rating', check: 'Flow over its rating.' },
    ],
  },
  {
    id: 'D03',
    says: 'Water only first thing in the morning',
    at: 'outlet',
    causes: [
      { title: 'The pipe cooled below the dew point overnight', check: 'Coldest pipe against the dew point.' },
      { title: 'The wet tank was not drained', check: 'Drain it in the evening and compare.' },
      {
        title: 'Tank and line were cold under pressure',
        check: 'As above: a drier dew point, or depressurise the line.',
      },
    ],
  },
  {
    id: 'D04',
    says: 'Water only in humid weather',
    at: 'outlet',
    causes: [
      { title: 'The dryer is overloaded with water', check: 'Its load here, in that air: over 100 %.' },
      { title: 'The condenser is hot', check: 'Air into it over {40 °C}, or dirt on it.' },
      { title: 'A drain cannot keep up', check: 'It still runs liquid as it shuts.' },
      { title: 'The intake is hot and damp', check: 'Read it; see what another place would bring.' },
    ],
  },
  {
    id: 'D05',
    says: 'Water downstream of a dryer whose display is good',
    at: 'drying',
    causes: [
      { title: 'The dryer’s own drain is stuck', check: 'Open it by hand: liquid comes out.' },
      { title: 'The display shows the evaporator, not the dew point', check: 'A portable meter reads {5 K} more.' },
      { title: 'Its bypass leaks', check: 'Warm pipe, or a hiss, along it.' },
      { title: 'Wet pipe is still drying out', check: 'Something wet in the last week or two.' },
    ],
  },
  {
    id: 'D08',
    says: 'Oil at the white cloth, piston pump',
    at: 'outlet',
    causes: [
      { title: 'Overfilled, or the wrong oil', check: 'Level stopped: over its mark.' },
      { title: 'Rings or valves are worn', check: 'More than {20 mL} for 100 h and horsepower.' },
      { title: 'The coalescer is exhausted or burst', check: 'No drop over it at all.' },
      { title: 'Hot air carries oil past the coalescer as vapour', check: 'Air at it over {38 °C}.' },
      { title: 'Lubricator upstream of it, or an oiled hose', check: 'Change the hose.' },
    ],
  },
  {
    id: 'D09',
    says: 'Oil at the white cloth, screw',
    at: 'outlet',
    causes: [
      {
        title: 'Its separator element, or the scavenge line',
        check: 'Over {0.6 bar} over it, or nothing moves in the glass.',
      },
      { title: 'Overfilled', check: 'Level stopped: over its mark.' },
      { title: 'The minimum-pressure valve', check: 'Pressure stays under {5 bar}.' },
      { title: 'It runs at low pressure', check: 'The same.' },
      { title: 'The coalescer downstream of it', check: 'No drop over it at all.' },
    ],
  },
  {
    id: 'D10',
    says: 'Smells of oil, cloth clean',
    at: 'outlet',
    causes: [
      { title: 'The carbon is exhausted', check: 'Smell upstream and downstream of it.' },
      { title: 'There is no carbon', check: 'Vapour passes every coalescer.' },
      { title: 'The intake draws in fumes', check: 'Where it stands.' },
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
      {
        title: 'The room is damp, not the line',
        check: 'The panel is less than {3 K} over the dew point of the room.',
      },
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
        check: 'Read in flow at tank, filters, regulator and hose end: the largest loss is the cause.',
      },
      { title: 'A filter', check: 'The same.' },
      { title: 'The regulator droops', check: 'The same.' },
      { title: 'The pipe', check: 'The same.' },
      { title: 'The gauge', check: 'All the same at rest?' },
    ],
  },
  {
    id: 'D24',
    says: 'White or pink dust',
    at: 'outlet',
    causes: [
      { title: 'Too much air lifts the beads', check: 'Flow over its rating.' },
      { title: 'It depressurises too fast', check: 'Watch the gauge as it switches.' },
      { title: 'A slug of water broke the beads', check: 'Liquid water upstream of it.' },
      { title: 'The dust filter is torn', check: 'No drop over it.' },
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
    causes: [{ title: 'The dew point is too near the coldest pipe', check: 'Less than {10 K} below it.' }],
  },
  {
    id: 'D29',
    says: 'The regulator frosts',
    at: 'outlet',
    causes: [
      { title: 'A large fall of pressure in wet air', check: 'Over {7 bar} of fall, dew point over freezing.' },
      { title: 'The dew point is high', check: 'Measure it.' },
      { title: 'Much air', check: 'The tool.' },
    ],
  },
  {
    id: 'D31',
    says: 'Water in the hose, in winter only',
    at: 'outlet',
    causes: [
      {
        title: 'A drain is frozen, and the water is carried over',
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
      { title: 'Oil that its seals do not resist', check: 'Which oil; what the maker allows.' },
      { title: 'Water washed its grease out', check: 'White cloth, drops at the tool.' },
    ],
  },
  {
    id: 'D33',
    says: 'Blasting media clump',
    at: 'outlet',
    causes: [
      { title: 'Drops come with the air', check: 'Blow on a dry cloth at the pot for a minute.' },
      {
        title: 'The pot cools below the dew point',
        check: 'Its wall against the dew point of the air and of the room.',
      },
      { title: 'The media were damp as they went in', check: 'Dry a cup of them and weigh it again.' },
    ],
  },
  {
    id: 'D34',
    says: 'Nozzles and electrodes of the cutter do not last',
    at: 'outlet',
    causes: [
      { title: 'Water in the air', check: 'White cloth at the torch lead, in flow.' },
      { title: 'Oil in the air', check: 'The same cloth: a spot that stays.' },
      { title: 'Too little pressure or flow in the cut', check: 'Read at the machine’s inlet while it cuts.' },
      { title: 'Cut too high or pierced too low', check: 'The makers’ sheet of the torch.' },
    ],
  },
  {
    id: 'D35',
    says: 'A film of oil on finished parts',
    at: 'outlet',
    causes: [
      {
        title: 'A lubricator stands upstream of it, or stood there',
        check: 'Follow the pipe back; cut a length of hose open.',
      },
      { title: 'The coalescer is exhausted, flooded or too warm', check: 'White cloth upstream and downstream of it.' },
      { title: 'The compressor passes oil', check: 'Oil topped up per hour, compared with its manual.' },
    ],
  },
  {
    id: 'D36',
    says: 'Rust or blisters under the primer',
    at: 'outlet',
    causes: [
      { title: 'Drops in the air that blew the part off', check: 'Blow on a cold, clean plate for a minute.' },
      {
        title: 'The steel was below the dew point of the room',
        check: 'Surface at least {3 K} above the room’s dew point.',
      },
      { title: 'Salt or hand sweat was left on it', check: 'A test of the surface, by the maker of the paint.' },
    ],
  },
  {
    id: 'D39', // not in the trade handbook: common practice, no source
    says: 'The pressure at a tool climbs while nobody draws air',
    at: 'outlet',
    causes: [
      {
        title: 'The seat of the regulator leaks',
        check: 'Everything shut downstream: watch its gauge for five minutes.',
      },
      { title: 'The gauge is off', check: 'A good gauge at the same place.' },
      { title: 'The air that is shut in warms up', check: 'Sun or a heater on the pipe.' },
    ],
  },
];
