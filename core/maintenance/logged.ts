import type { ReadingName } from '../log/readings';
import type { SiteTime } from '../log/site-clock';

/** When a task was last done, and whether it was postponed since. */
export interface LastDone {
  readonly stageId: string;
  readonly task: string;
  readonly at: SiteTime;
  /** How often it was done up to then, where that is counted; left out, once. */
  readonly times?: number;
}
export interface Postponed {
  readonly stageId: string;
  readonly task: string;
  /** When it was postponed: a task done later than that counts anew. */
  readonly at: SiteTime;
  /** Shop time until which it is not asked for. */
  readonly until: SiteTime;
  readonly reason: string;
}

/** Something that asks for other tasks at once: a stage was opened, or water was where none should be. */
export interface Opening {
  readonly stageId: string;
  readonly at: SiteTime;
  readonly what: 'opened' | 'wet';
}

/** The newest reading of a kind at a stage, with what the walk expected of it: corrected for the flow of that day. */
export interface Signal {
  readonly stageId: string;
  readonly of: ReadingName;
  readonly at: SiteTime;
  readonly value: number;
  readonly expected: { readonly value: number; readonly low: number; readonly high: number } | null;
}
