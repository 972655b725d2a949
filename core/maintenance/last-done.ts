import type { LoggedDrain } from '../log/judge-log';
import { type EntryKind, type LoggedEntry, standingEntries } from '../log/log-entry';
import type { LastDone, Opening, Postponed, Signal } from './logged';
import { DRAINING, RENEWING, taskById } from './tasks';

/** When each task was last done, by the log: entries that say so, changes, and drains. */
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
    ...standingEntries(entries)
      .filter((e) => e.kind === 'change' && e.task === null && e.result !== 'could-not')
      .flatMap((e) => RENEWING.map((task) => ({ stageId: e.stageId, task, at: e.measuredAt }))),
    ...drains
      .filter((d) => !d.struck)
      .flatMap((d) => DRAINING.map((task) => ({ stageId: d.stageId, task, at: d.drainedAt }))),
  ];
}

/**
 * What was postponed, the newest of each task last.
 * @example postponed([]) // []
 */
export function postponed(entries: readonly LoggedEntry[]): Postponed[] {
  return standingEntries(entries)
    .filter((e) => e.kind === 'put-off' && e.task !== null && e.until !== null)
    .sort((a, b) => a.measuredAt.localeCompare(b.measuredAt))
    .map((e) => ({
      stageId: e.stageId,
      task: e.task as string,
      at: e.measuredAt,
      until: e.until as string,
      reason: e.what,
    }));
}

export const OPENS: readonly EntryKind[] = ['change', 'repair', 'regeneration'];
export const WET = ['D01', 'D02', 'D03', 'D04', 'D05', 'D31'];

/** What of the log asks for other tasks at once, the newest first: openings, and water where none should be. */
export function openingsOf(entries: readonly LoggedEntry[]): Opening[] {
  return [...standingEntries(entries)]
    .sort((a, b) => b.measuredAt.localeCompare(a.measuredAt))
    .flatMap((e): Opening[] => {
      const opened =
        OPENS.includes(e.kind) ||
        (taskById(e.task ?? '')?.isolates && e.result !== 'could-not' && e.kind !== 'put-off');
      const wet = e.kind === 'complaint' && WET.includes(e.symptom ?? '');
      const what = wet ? 'wet' : opened ? 'opened' : undefined;
      return what && e.stageId !== '' ? [{ stageId: e.stageId, at: e.measuredAt, what }] : [];
    });
}

/** The readings of the log, the newest first, for what they ask for. */
export function signalsOf(entries: readonly LoggedEntry[]): Signal[] {
  return [...standingEntries(entries)]
    .sort((a, b) => b.measuredAt.localeCompare(a.measuredAt))
    .flatMap((e) =>
      e.readings.map((r, i) => ({
        stageId: e.stageId,
        of: r.of,
        at: e.measuredAt,
        value: r.value,
        expected: e.expected[i] ?? null,
      })),
    );
}
