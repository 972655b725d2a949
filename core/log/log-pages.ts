import type { LoggedDrain } from './judge-log';
import type { LoggedEntry } from './log-entry';
import type { ReadingName } from './readings';
import type { SiteTime } from './site-clock';

// Parts of a log as a server gives them: however long the log is, a part is short.

/** A page of the log besides drains, the newest first. */
export interface LogPage {
  readonly entries: readonly (LoggedEntry & { readonly stands: boolean })[];
  /** Where the next page begins; nothing where this is the end. */
  readonly next: string | undefined;
  /** The time back to which it was looked, where not the whole log was. */
  readonly lookedBackTo: SiteTime | undefined;
}

/** A page of the drain log, the newest first. */
export interface DrainPage {
  readonly entries: readonly LoggedDrain[];
  /** When each drain was last opened, on whatever page that is. */
  readonly drained: readonly { readonly stageId: string; readonly at: SiteTime }[];
  readonly next: string | undefined;
}

/** A series of readings. */
export interface TrendName {
  readonly stageId: string;
  readonly of: ReadingName;
}

/** The series of a log, and one of them through time. */
export interface Trend {
  readonly names: readonly TrendName[];
  readonly chosen: TrendName | undefined;
  /** Readings, or means of some that lie close together. */
  readonly points: readonly {
    readonly at: SiteTime;
    readonly value: number;
    readonly low: number | null;
    readonly high: number | null;
  }[];
  /** So many readings are one point. */
  readonly each: number;
  /** What was expected of the newest. */
  readonly expected: { readonly value: number; readonly low: number; readonly high: number } | null;
  /** When its stage was changed or opened. */
  readonly opened: readonly SiteTime[];
}
