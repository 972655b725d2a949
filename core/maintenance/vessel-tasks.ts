import type { Stage } from '../plan/plan';
import type { Task } from './task';

// Intervals and limits: common practice of the trade (trade handbook) unless a task says otherwise; wording ours.

/** A relief valve of its own, or one that stands in the line. */
const reliefIsOwn = (s: Stage): boolean =>
  s.kind === 'relief-valve' || (s.kind === 'receiver' && s.parameters.relief === 'own');

/** Tasks of vessels and their relief valves. */
export const VESSEL_TASKS: readonly Task[] = [
  {
    id: 'M26',
    does: 'Lift the relief valve',
    every: { days: 180 },
    cautions: ['C04', 'C20'],
    tools: 'Ear and eye protection',
    steps: [
      'Stand clear; nobody in its way.',
      'At three quarters of its set pressure or more pull the ring for a moment.',
    ],
    records: [],
    accept: 'It reseats and does not weep.',
    abnormal: 'Stuck: shut the plant down. Weeping: replace it, never plug it.',
    minutes: 5,
    legal: true,
    source: 'by jurisdiction and maker; ASME VIII-1 (recalled)',
    when: reliefIsOwn,
  },
  {
    id: 'M28',
    does: 'Look the vessel over',
    every: { days: 365 },
    cautions: ['C01', 'C04'],
    tools: 'Mirror, torch',
    steps: ['Bottom, welds, feet, plate; photos.'],
    records: [],
    accept: 'No pit, no weep, no bulge.',
    abnormal: 'Any of these: out of service now.',
    minutes: 20,
    source: 'common practice',
  },
  {
    id: 'M29',
    does: 'Have the vessel inspected',
    every: { days: 730 },
    cautions: ['C01'],
    tools: 'For the inspector',
    steps: ['Arrange it with the inspector.'],
    records: [],
    accept: 'A certificate.',
    abnormal: 'As the inspector says.',
    minutes: 30,
    legal: true,
    source: 'by local law; the interval here is only a reminder',
  },
];
