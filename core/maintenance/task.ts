import type { ReadingName } from '../log/readings';
import type { Stage } from '../plan/plan';

/** When a task is due: the first of these counts. */
export interface Every {
  readonly days?: number;
  readonly loadedH?: number;
  readonly starts?: number;
  /** Water of so many fillings of the sump: the heel stays below its mark. */
  readonly fillings?: number;
  /** As long as the pellets last until they are topped up. */
  readonly toppedUp?: true;
  /** A charge of beads used up to so much. */
  readonly spentShare?: number;
  /** The element’s pressure drop over that of a clean one, at the same flow, Pa. */
  readonly dropPa?: number;
  /** The dew point that was read last lies above its band. */
  readonly dewPoint?: true;
  /** At once after something upstream was opened, or drops were seen where none should be. */
  readonly after?: readonly ('opened' | 'wet')[];
  /** Before the first frost of its year of weather. */
  readonly frost?: true;
}

/** A step of a task with a time that it must take. */
export interface Step {
  readonly says: string;
  readonly waitS?: number;
}

/** A task at a stage, with its steps. */
export interface Task {
  readonly id: string;
  readonly does: string;
  readonly every: Every;
  /** A logged drain does it. */
  readonly drains?: true;
  /** What it puts in new: a change that is logged without its task does it too. */
  readonly renews?: 'element' | 'carbon' | 'towers' | 'charge';
  /** How much less what it renews lasts, by what reaches it; of `either`, once. */
  readonly lastsLess?: {
    readonly drops?: number;
    readonly oil?: number;
    readonly either?: number;
    readonly heated?: number;
  };
  /** How often it was done matters: an element that may be washed so many times. */
  readonly counted?: true;
  /** Whether the stage is isolated, vented and proven dead first. */
  readonly isolates?: true;
  readonly cautions: readonly string[];
  readonly tools: string;
  readonly steps: readonly (string | Step)[];
  readonly records: readonly ReadingName[];
  /** What is good, and what it means where it is not. */
  readonly accept: string;
  readonly abnormal: string;
  readonly minutes: number;
  /** Set by local law and a competent inspector: the interval here is a reminder. */
  readonly legal?: true;
  readonly source: string;
  /** Only where this holds of the stage. */
  readonly when?: (stage: Stage) => boolean;
}

/** The isolation that comes before every task that opens something under pressure (29 CFR 1910.147 for energy control, recalled; common practice). */
export const ISOLATION: readonly string[] = [
  'Inform the users of the air.',
  'Stop the machine, open its disconnect, lock and tag it, and try to start it.',
  'Shut the valves upstream and downstream, and lock them.',
  'Vent every section between: both towers, every bowl, the ends of hoses.',
  'Read zero on the gauge and open a vent to verify it: a gauge can be wrong.',
  'Wait until what is hot can be touched: {60 °C} hurts in seconds.',
  'After the work: shut the vents, clear tools and people, open slowly from upstream, soap the joints, unlock, log it.',
];
