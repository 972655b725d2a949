import type { Plan } from '../plan/plan';
import { drainOf, type Fault, hasDrain } from './fault';

/** The same line, under pressure from evening to morning. */
const stayingCharged = (plan: Plan): Plan => {
  const { survey } = plan;
  return { ...plan, survey: { ...survey, working: { ...survey.working, overnight: 'charged' } } };
};

/** Faults of drain. */
export const DRAIN_FAULTS: readonly Fault[] = [
  {
    id: 'drain-shut',
    says: 'Its drain stays shut',
    repair: 'Clear or change the drain',
    perYear: 0.5,
    sizes: [1],
    canHave: hasDrain,
    changes: () => ({ drain: 'none' }),
    misreads: () => [{ of: 'opens', by: -1 }],
    tasks: ['M01', 'M02', 'M03', 'M04'],
    notNeeded: 'A further separator, filter or dryer drowns as well behind a drain that stays shut.',
  },
  {
    id: 'drain-open',
    says: 'Its drain stays open and blows air',
    repair: 'Clean or change the drain',
    perYear: 0.4,
    sizes: [1],
    canHave: hasDrain,
    // Open all the time, through the usual bore of a drain (common practice, no source).
    changes: () => ({ drain: 'timer', drainEveryS: 5, drainOpenS: 5, drainBoreM: 0.003 }),
    tasks: ['M03', 'M04'],
    notNeeded: 'A larger compressor: it would feed the drain.',
  },
  {
    id: 'timer-rare',
    says: 'Its timer opens the drain too rarely: somebody turned it, or more water comes than it was set for',
    repair: 'Set its timer by the water that comes',
    act: 'set',
    perYear: 0.4,
    sizes: [1],
    canHave: (s) => drainOf(s) === 'timer',
    changes: () => ({ drain: 'none' }), // full for most of the time, it passes on what comes
    tasks: ['M03'],
    notNeeded: 'Another drain: this one opens when it is told to.',
  },
  {
    id: 'left-wet',
    says: 'It is left under pressure overnight with its water in it',
    repair: 'Drain it in the evening, or let the line down',
    act: 'set',
    perYear: 0.3,
    sizes: [1],
    canHave: (s) => s.kind === 'receiver',
    // One that is drained by hand in the evening is not; the others have their drains.
    changes: (s): Record<string, string> => (drainOf(s) === 'manual' ? { drain: 'none' } : {}),
    changesPlan: stayingCharged,
    misreads: () => [{ of: 'in-the-morning', by: 1 }],
    tasks: ['M01', 'M02'],
    notNeeded: 'A dryer, before the tank is empty in the morning.',
  },
];
