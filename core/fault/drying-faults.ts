import { CHILLED, is, TOWERS } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import { type Fault, has, lessBy, numbersOf } from './fault';

/** What a purge that is missing altogether does to the dew point, K (estimate). */
const WETTER_BY_PURGE_K = 75;
const wetter = (stage: Stage, k: number): Record<string, number> => ({
  ratedDewPointC: (numbersOf(stage).ratedDewPointC as number) + k,
});

/** A fault that makes a tower wetter by so many K of dew point, and that one look tells from the others. */
const ofTower = (
  look: ReturnType<NonNullable<Fault['misreads']>>[number],
  fault: Omit<Fault, 'canHave' | 'changes' | 'misreads'>,
): Fault => ({
  ...fault,
  canHave: (s) => is(TOWERS, s.kind) && has(s, 'ratedDewPointC'),
  changes: wetter,
  misreads: () => [look],
});

/** Faults of drying. */
export const DRYING_FAULTS: readonly Fault[] = [
  {
    id: 'beads-spent',
    says: 'Its beads are exhausted',
    repair: 'Change or dry the charge',
    perYear: 2,
    sizes: [1],
    canHave: (s) => s.kind === 'bead-cartridge',
    changes: () => ({ spentShare: 1 }),
    tasks: ['M21', 'M22'],
    notNeeded: 'A larger housing, before the charge that is in it was dry once.',
  },
  {
    id: 'dryer-warm',
    says: 'It does not cool: its dew point is high',
    repair: 'Clean its condenser; refrigerant is for a licensed technician',
    perYear: 0.3,
    sizes: [6, 12], // K of dew point
    canHave: (s) => is(CHILLED, s.kind) && has(s, 'pressureDewPointC'),
    changes: (s, k) => ({ pressureDewPointC: (numbersOf(s).pressureDewPointC as number) + k }),
    tasks: ['M15', 'M16'],
    notNeeded: 'A second dryer, before the condenser of this one is clean.',
  },
  {
    id: 'dryer-overloaded',
    says: 'More air or warmer air comes than its plate allows here',
    repair: 'Spread the use over the day, or a dryer for what comes',
    act: 'move',
    perYear: 0.15,
    sizes: [0.6, 0.8], // less of its rating than what would be enough
    canHave: (s) => is(CHILLED, s.kind) && has(s, 'ratedFlowM3PerS'),
    changes: (s, share) => lessBy(s, 'ratedFlowM3PerS', share),
    misreads: () => [{ of: 'plate', by: 1 }],
    tasks: [],
    notNeeded: 'A repair of the dryer: it does what its plate says.',
  },
  {
    id: 'purge-low',
    says: 'Its purge is too low',
    repair: 'Set its purge; clean its orifice',
    act: 'set',
    perYear: 0.15,
    sizes: [0.2, 0.4], // of the purge
    canHave: (s) => s.kind === 'twin-tower' && has(s, 'ratedDewPointC', 'purgeM3PerS'),
    changes: (s, share) => ({ ...wetter(s, WETTER_BY_PURGE_K * share), ...lessBy(s, 'purgeM3PerS', share) }),
    tasks: ['M16', 'M17', 'M18'],
    notNeeded: 'New beads: they would be as wet in a day.',
  },
  ofTower(
    { of: 'back-pressure', by: 1 },
    {
      id: 'silencer-blocked',
      says: 'Its silencer is blocked',
      repair: 'Change the silencer, with the tower vented',
      perYear: 0.15,
      sizes: [15, 30], // K of dew point
      tasks: ['M19', 'M20'],
      notNeeded: 'New beads: they cannot regenerate against its pressure.',
    },
  ),
  ofTower(
    { of: 'one-tower', by: 1 },
    {
      id: 'tower-leaks',
      says: 'A valve of one tower leaks',
      repair: 'Clean or change its valves',
      perYear: 0.1,
      sizes: [15, 30], // K of dew point
      tasks: ['M17', 'M20'],
      notNeeded: 'New beads in both towers: only one is wet.',
    },
  ),
  ofTower(
    { of: 'brown', by: 1 },
    {
      id: 'beads-oiled',
      says: 'Oil lies on its beads',
      repair: 'Find the oil and stop it; then change the beads',
      perYear: 0.1,
      sizes: [15, 30], // K of dew point
      tasks: ['M12', 'M18'],
      notNeeded: 'New beads, before the oil is kept away: they would be lost as well.',
    },
  ),
  {
    id: 'bypass-leaks',
    says: 'Its bypass lets wet air past it',
    repair: 'Shut the bypass; change its valve',
    perYear: 0.15,
    sizes: [6, 12], // K of dew point where bypass and dryer join
    canHave: (s) => is(CHILLED, s.kind) && has(s, 'pressureDewPointC'),
    changes: (s, k) => ({ pressureDewPointC: (numbersOf(s).pressureDewPointC as number) + k }),
    misreads: (k) => [
      { of: 'dew-point', by: -k },
      { of: 'bypass', by: 1 },
    ],
    brings: ['D05'],
    tasks: ['M16'],
    notNeeded: 'Another dryer: this one dries what passes through it.',
  },
  {
    id: 'beads-channelled',
    says: 'Its air finds a way past the beads, which look fresh',
    repair: 'Open it, fill it up and shake the beads down',
    perYear: 0.2,
    sizes: [1],
    canHave: (s) => s.kind === 'bead-cartridge',
    changes: () => ({ spentShare: 1 }),
    misreads: () => [{ of: 'colour', by: -1 }],
    tasks: ['M21', 'M22'],
    notNeeded: 'New beads: those that are in are dry.',
  },
  {
    id: 'dryer-frozen',
    says: 'Ice in it: it lets less air through, and does not dry',
    repair: 'Switch it off until it has thawed; its setting is for a licensed technician',
    perYear: 0.1,
    sizes: [4, 8], // times the loss
    canHave: (s) => is(CHILLED, s.kind) && has(s, 'pressureDewPointC', 'pressureLossPa'),
    changes: (s, times) => ({
      pressureLossPa: (numbersOf(s).pressureLossPa as number) * times,
      pressureDewPointC: (numbersOf(s).pressureDewPointC as number) + times,
    }),
    brings: ['D21'],
    tasks: ['M15'],
    notNeeded: 'A larger dryer: it would freeze as well.',
  },
  ofTower(
    { of: 'switches', by: -1 },
    {
      id: 'tower-stuck',
      says: 'Its towers do not change over',
      repair: 'See to its switching valves and their control',
      perYear: 0.15,
      sizes: [30, 50], // K of dew point
      tasks: ['M17'],
      notNeeded: 'New beads: they stay wet as long as nothing changes over.',
    },
  ),
  {
    id: 'sweep-shut',
    says: 'Its sweep air is shut off or blocked',
    repair: 'Open and clean the sweep',
    act: 'set',
    perYear: 0.15,
    sizes: [0.7, 0.95], // of the sweep
    canHave: (s) => s.kind === 'membrane',
    changes: (s, share) => lessBy(s, 'sweepShare', share),
    tasks: ['M25'],
    notNeeded: 'A larger membrane: without sweep it dries no better.',
  },
];
