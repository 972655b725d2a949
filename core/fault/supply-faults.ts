import type { Plan } from '../plan/plan';
import { type Fault, has, hasBelt, leaking, lessBy, numbersOf } from './fault';

/** The warmest air that a plan allows, °C. */
const MOST_C = 60;
/** The plan with warmer air at its intake, as humid as before. */
const warmer = (plan: Plan, k: number): Plan => ({
  ...plan,
  survey: {
    ...plan.survey,
    places: plan.survey.places.map((p) =>
      p.id === plan.survey.intakePlaceId ? { ...p, temperatureC: Math.min(MOST_C, p.temperatureC + k) } : p,
    ),
  },
});

/** Faults of supply. */
export const SUPPLY_FAULTS: readonly Fault[] = [
  {
    id: 'compressor-worn',
    says: 'It delivers less: worn valves or rings',
    repair: 'Change its valves or rings',
    perYear: 0.2,
    sizes: [0.15, 0.3],
    canHave: (s) => s.kind === 'compressor',
    changes: (s, share) => lessBy(s, 'freeAirDeliveryM3PerS', share),
    tasks: ['M07', 'M08', 'M31'],
    notNeeded: 'A larger receiver: it is filled no faster.',
  },
  {
    id: 'intake-clogged',
    says: 'Its filter is clogged',
    repair: 'Change the intake filter',
    perYear: 0.5,
    sizes: [2500, 5500], // Pa of loss
    canHave: (s) => s.kind === 'intake' && has(s, 'filterLossPa'),
    changes: (s, pa) => ({ filterLossPa: (numbersOf(s).filterLossPa as number) + pa }),
    tasks: ['M07'],
    notNeeded: 'New valves: it has no air to compress.',
  },
  {
    id: 'check-valve-leaks',
    says: 'It leaks back while the compressor stands',
    repair: 'Clean or change the check valve, with the tank vented',
    perYear: 0.2,
    sizes: [0.0003, 0.001], // m³/s of free air
    canHave: (s) => s.kind === 'check-valve',
    changes: leaking,
    brings: ['D16', 'D17'],
    tasks: ['M27'],
    notNeeded: 'A pressure switch: it only lets out what comes back.',
  },
  {
    id: 'unloader-leaks',
    says: 'It does not shut: air is lost while the compressor runs',
    repair: 'Clean or change the unloader',
    perYear: 0.15,
    sizes: [0.0005, 0.0015], // m³/s of free air
    canHave: (s) => s.kind === 'unloader',
    changes: leaking,
    tasks: ['M27'],
    notNeeded: 'A larger compressor: the air goes past the unloader.',
  },
  {
    id: 'belt-slips',
    says: 'Its belt slips',
    repair: 'Locked out: tighten or change the belt, align its pulleys',
    perYear: 0.15,
    sizes: [0.1, 0.2],
    canHave: hasBelt,
    changes: (s, share) => lessBy(s, 'freeAirDeliveryM3PerS', share),
    misreads: () => [{ of: 'belt', by: 1 }],
    tasks: ['M08'],
    notNeeded: 'New valves: it turns too slowly.',
  },
  {
    id: 'weather-front',
    says: 'The air is warmer and wetter than it was planned for',
    repair: 'Set drains and dryer for this weather',
    act: 'set',
    perYear: 0.5,
    sizes: [4, 8], // K of intake air, as humid as before
    canHave: (s) => s.kind === 'intake',
    changes: () => ({}),
    changesPlan: warmer,
    tasks: [],
    notNeeded: 'A repair: all does what it was made for.',
  },
];
