import { DRYERS, is } from '../equipment/groups';
import { type Fault, has, leaking, lessBy, numbersOf } from './fault';

const lowBy = (pa: number) =>
  [
    { of: 'pressure', by: -pa },
    { of: 'good-gauge', by: -1 },
  ] as const;

/** Faults of serving. */
export const SERVING_FAULTS: readonly Fault[] = [
  {
    id: 'regulator-droops',
    says: 'It droops, or somebody turned it down',
    repair: 'Set it; clean or change its seat',
    act: 'set',
    perYear: 0.3,
    sizes: [5e4, 1.2e5], // Pa
    canHave: (s) => s.kind === 'regulator',
    changes: (s, pa) => ({ setPressurePa: (numbersOf(s).setPressurePa as number) - pa }),
    tasks: [],
    notNeeded: 'A larger compressor: the pressure is there, in front of the regulator.',
  },
  {
    id: 'hose-narrow',
    says: 'It is kinked, or its coupler is the wrong one',
    repair: 'Lay it straight; one family of couplers',
    act: 'move',
    perYear: 0.5,
    sizes: [0.25, 0.4], // of the bore
    canHave: (s) => (s.kind === 'hose' || s.kind === 'hose-reel') && has(s, 'boreM'),
    changes: (s, share) => lessBy(s, 'boreM', share),
    tasks: ['M35'],
    notNeeded: 'A larger compressor or a higher setting: the hose takes it.',
  },
  {
    id: 'coupler-wrong',
    says: 'Plug and coupler are of two patterns: it hardly opens',
    repair: 'One pattern of couplers and plugs in the whole shop',
    perYear: 0.2,
    sizes: [1.4, 0.8], // dm³/(s·bar) of sonic conductance (estimate)
    canHave: (s) => s.kind === 'coupler',
    changes: (s, conductance) => ({
      type: 'sheet',
      conductance: Math.min(
        conductance,
        s.kind === 'coupler' && s.parameters.type === 'sheet' ? s.parameters.conductance : Infinity,
      ),
    }),
    misreads: () => [{ of: 'patterns', by: 1 }],
    tasks: ['M35'],
    notNeeded: 'A larger compressor or a higher setting: the coupler takes it.',
  },
  {
    id: 'gauge-off',
    says: 'Its gauge reads low',
    repair: 'Change the gauge, or compare it with a good one',
    perYear: 0.15,
    sizes: [5e4], // Pa
    canHave: (s) => s.kind === 'regulator' || s.kind === 'outlet',
    changes: () => ({}),
    misreads: lowBy,
    bringsHere: ['D13'],
    tasks: ['M37'],
    notNeeded: 'Anything but a gauge: the pressure is there.',
  },
  {
    id: 'tank-gauge-off',
    says: 'Its gauge reads low',
    repair: 'Change the gauge, or compare it with a good one',
    perYear: 0.15,
    sizes: [5e4], // Pa
    canHave: (s) => s.kind === 'receiver',
    changes: () => ({}),
    misreads: lowBy,
    brings: ['D14', 'D15'],
    tasks: ['M37'],
    notNeeded: 'Anything but a gauge: the pressure is there.',
  },
  {
    id: 'meter-off',
    says: 'Its dew-point meter reads high',
    repair: 'Have the probe checked; compare it with another',
    perYear: 0.15,
    sizes: [12], // K
    canHave: (s) => is(DRYERS, s.kind),
    changes: () => ({}),
    misreads: (k) => [
      { of: 'dew-point', by: k },
      { of: 'second-meter', by: -1 },
    ],
    brings: ['D19', 'D22'],
    tasks: ['M38'],
    notNeeded: 'Beads, elements or a dryer: the air is dry.',
  },
  {
    id: 'leaks',
    says: 'It leaks air',
    repair: 'Make the joint anew, or change the part',
    perYear: 0.8,
    sizes: [0.0005, 0.002], // m³/s of free air: holes of 0.8 and 1.6 mm at 7 bar
    canHave: (s) => s.kind === 'hose' || s.kind === 'hose-reel' || s.kind === 'coupler',
    changes: leaking,
    brings: ['D38'],
    tasks: ['M33', 'M35'],
    notNeeded: 'A larger compressor: it would feed the leak.',
  },
  {
    id: 'takes-more',
    says: 'It takes more air than was planned: a new tool, or more at once',
    repair: 'Count the tools that run at once; feed it by a wider pipe and hose',
    act: 'move',
    perYear: 0.5,
    sizes: [0.4, 1], // of its flow, more
    canHave: (s) => s.kind === 'outlet' && has(s, 'flowM3PerS'),
    changes: (s, share) => ({ flowM3PerS: (numbersOf(s).flowM3PerS as number) * (1 + share) }),
    misreads: () => [{ of: 'more-use', by: 1 }],
    tasks: [],
    notNeeded: 'A filter or a regulator: they only add to the loss.',
  },
  {
    id: 'tee-below',
    says: 'It leaves the main at its bottom, where water runs',
    repair: 'Take it off the top of the main',
    act: 'move',
    perYear: 0.1,
    sizes: [1],
    canHave: (s) => s.kind === 'pipe' && (s.parameters as { use?: string }).use !== 'main',
    changes: () => ({ takeOff: 'side' }),
    brings: ['D01', 'D03'],
    tasks: [],
    notNeeded: 'A filter at the tool: it fills up with what runs in.',
  },
  {
    id: 'regulator-creeps',
    says: 'It creeps: its pressure climbs at rest',
    repair: 'Clean or change its seat, with the line vented',
    perYear: 0.15,
    sizes: [1],
    canHave: (s) => s.kind === 'regulator',
    changes: () => ({}), // in flow it holds
    misreads: () => [{ of: 'creeps', by: 1 }],
    brings: ['D39'],
    tasks: [],
    notNeeded: 'A second regulator behind it.',
  },
  {
    id: 'cold-overnight',
    says: 'It gets colder overnight than the dew point of its air',
    repair: 'Dry the air further, or keep it warm; a drop leg and a drain at its lowest point',
    act: 'move',
    perYear: 0.3,
    sizes: [3, 8], // K colder than a usual night
    canHave: (s) => s.kind === 'pipe' || s.kind === 'hose',
    changes: () => ({}), // by day the line is as it was
    misreads: (k) => [{ of: 'coldest', by: -k }],
    tasks: [],
    notNeeded: 'A filter at the tool: water gathers behind the dryer, in the cold.',
  },
];
