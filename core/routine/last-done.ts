import type { LoggedDrain } from '../record/judge-log';
import { type LoggedEntry, standingEntries } from '../record/log-entry';
import type { LastDone, PutOff } from './due';

/** Chores that a logged drain does. */
export const DRAINING: readonly string[] = ['M01', 'M02', 'M24'];

/** When each chore was last done, by the log: entries that say so, and drains. */
export function lastDone(
  entries: readonly LoggedEntry[],
  drains: readonly Pick<LoggedDrain, 'stageId' | 'drainedAt' | 'struck'>[],
): LastDone[] {
  return [
    ...standingEntries(entries).flatMap((e) =>
      e.task !== null && e.kind !== 'put-off' && e.result !== 'could-not'
        ? [{ stageId: e.stageId, task: e.task, at: e.measuredAt }]
        : [],
    ),
    ...drains
      .filter((d) => !d.struck)
      .flatMap((d) => DRAINING.map((task) => ({ stageId: d.stageId, task, at: d.drainedAt }))),
  ];
}

/** What was put off, the newest of each chore last. */
export function putOffs(entries: readonly LoggedEntry[]): PutOff[] {
  return standingEntries(entries)
    .filter((e) => e.kind === 'put-off' && e.task !== null && e.until !== null)
    .sort((a, b) => a.measuredAt.localeCompare(b.measuredAt))
    .map((e) => ({ stageId: e.stageId, task: e.task as string, until: e.until as string, reason: e.what }));
}
