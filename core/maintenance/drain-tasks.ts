import { DRAIN_WORK } from '../drains/drain-work';
import type { Drain } from '../equipment/shared/drain-fields';
import type { Stage } from '../plan/plan';
import type { Task } from './task';

// Intervals and limits: common practice of the trade (trade handbook) unless a task says otherwise; wording ours.

const drainIs =
  (...drains: Drain[]) =>
  (s: Stage): boolean =>
    'drain' in s.parameters &&
    drains.includes(s.parameters.drain) &&
    !('legs' in s.parameters && s.parameters.legs === 0);

/** Whether water stands in low loops that nothing drains. */
const hasLowLoops = (s: Stage): boolean =>
  (s.kind === 'hose' && s.parameters.hangs === 'loops') ||
  (s.kind === 'hose-reel' && s.parameters.drain === 'none') ||
  (s.kind === 'cooling-run' && s.parameters.drain === 'none' && s.parameters.legs > 0);

/** Tasks of whatever collects water. */
export const DRAIN_TASKS: readonly Task[] = [
  {
    id: 'M01',
    does: 'Drain the receiver',
    every: { days: DRAIN_WORK.M01.days, fillings: 1 },
    drains: true,
    cautions: ['C36', 'C20', 'C27'],
    tools: 'Glasses, gloves, a measuring jug',
    steps: [
      'Bring the pressure down where you can: {1.4 bar} to {2.8 bar} is safer.',
      'Crack the valve open slowly and catch what comes.',
      'Shut it at the first dry air.',
      'Read the amount; look at it and smell it.',
    ],
    records: ['amount'],
    accept: 'Within the band that the plan expects.',
    abnormal:
      'Too little: it condensed elsewhere, or the drain is partly blocked. Too much: a stage upstream passes its water. Black: burnt oil. Red: the tank rusts.',
    minutes: DRAIN_WORK.M01.minutes,
    source:
      '29 CFR 1910.169 requires a drain at the lowest point, used often (recalled); interval by the water of this line',
    when: drainIs(...DRAIN_WORK.M01.drains),
  },
  {
    id: 'M02',
    does: 'Drain it',
    every: { days: DRAIN_WORK.M02.days, fillings: 1 },
    drains: true,
    cautions: ['C36', 'C20'],
    tools: 'A measuring jug',
    steps: [
      'Crack it open slowly and catch what comes.',
      'Shut it at the first dry air.',
      'Read the amount and look at it.',
    ],
    records: ['amount'],
    accept: 'Within the band that the plan expects.',
    abnormal: 'All of it in the last bowl: the separator upstream has failed.',
    minutes: DRAIN_WORK.M02.minutes,
    source: 'common practice',
    when: drainIs(...DRAIN_WORK.M02.drains),
  },
  {
    id: 'M03',
    does: 'Try its drain',
    every: { days: DRAIN_WORK.M03.days },
    cautions: ['C20'],
    tools: 'A bucket',
    steps: ['Press its test button, or lift its pin.', 'See water, then hear it close.', 'Listen whether it leaks by.'],
    records: ['seconds'],
    accept: 'It closes within 2 s of the first air, and does not hiss.',
    abnormal: 'No water although expected: blocked. A constant hiss: stuck open.',
    minutes: DRAIN_WORK.M03.minutes,
    source: 'common practice',
    when: drainIs(...DRAIN_WORK.M03.drains),
  },
  {
    id: 'M04',
    does: 'Strip and clean its drain',
    every: { days: DRAIN_WORK.M04.days },
    isolates: true,
    cautions: ['C07', 'C36'],
    tools: 'Spanner, brush, seal kit',
    steps: ['Take the drain and its strainer apart.', 'Flush, fit new seals, put it together.', 'Try it as each week.'],
    records: [],
    accept: 'It passes its weekly try.',
    abnormal: 'Rust: pipe or tank upstream of it. Varnish: oil that was too hot.',
    minutes: DRAIN_WORK.M04.minutes,
    source: 'common practice',
    when: drainIs(...DRAIN_WORK.M04.drains),
  },
  {
    id: 'M41',
    does: 'Blow out its low loops',
    every: { days: 7, after: ['wet'] },
    cautions: ['C19', 'C20'],
    tools: 'Glasses, gloves, a rag',
    steps: [
      'Hold the free end down and away from people.',
      'Open slowly until dry air comes; lift the loops one by one.',
    ],
    records: [],
    accept: 'Dry air after a few seconds.',
    abnormal: 'Much water: the air cools in it below its dew point. Drain it, or dry the air before.',
    minutes: 2,
    source: 'common practice, no source',
    when: hasLowLoops,
  },
  {
    id: 'M24',
    does: 'Drain the brine',
    every: { days: DRAIN_WORK.M24.days, fillings: 1 },
    drains: true,
    cautions: ['C25', 'C36'],
    tools: 'Goggles, gloves, a jug',
    steps: ['Open until brine, then air comes.'],
    records: ['amount'],
    accept: 'Heavy brine, some crystals near the end of a charge.',
    abnormal: 'As light as water: drops come with the air.',
    minutes: DRAIN_WORK.M24.minutes,
    source: 'common practice',
    when: drainIs(...DRAIN_WORK.M24.drains),
  },
];
