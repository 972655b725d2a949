import type { Stage } from '../plan/plan';
import type { LineFacts } from './line-facts';

interface Drained {
  drain: string;
  drainPulseM3: number;
  drainEveryS: number;
  drainOpenS: number;
  sumpM3: number;
}

export const own = (s: Stage): Drained => s.parameters as unknown as Drained;

export const drainedBy = (line: LineFacts, ...how: string[]): Stage[] =>
  line.stages.filter((s) => 'drain' in s.parameters && how.includes(own(s).drain));

export const caught = (line: LineFacts, s: Stage): number => line.at(s)?.caughtKgPerS ?? 0;
