import { and, eq, inArray, isNull, max, type SQL, sql } from 'drizzle-orm';
import type { EntryKind } from '../core/log/log-entry';
import { READINGS, type ReadingName } from '../core/log/readings';
import { OPENS, WET } from '../core/maintenance/last-done';
import { database } from '../db/client';
import { drainEntries, lineStates, logEntries, logMarks, readings } from '../db/schema';
import type { Transaction } from './transaction';

/** What a mark is of: a task, a reading, the drain of a stage, or something that happened to it. */
export interface Mark {
  readonly stageId: string;
  readonly what: string;
}
export const drainMark = (stageId: string): Mark => ({ stageId, what: 'drain' });

/** The marks that an entry may move. */
export function marksOfEntry(e: {
  readonly stageId: string;
  readonly kind: EntryKind;
  readonly task: string | null;
  readonly entry: { readonly symptom: string | null; readonly readings: readonly { readonly of: string }[] };
}): Mark[] {
  const what = [
    ...(e.task === null ? [] : [`task ${e.task}`]),
    ...e.entry.readings.map((r) => `reading ${r.of}`),
    ...(e.kind === 'change' && e.task === null ? ['change'] : []),
    ...(OPENS.includes(e.kind) ? ['opened'] : []),
    ...(e.kind === 'complaint' && WET.includes(e.entry.symptom ?? '') ? ['wet'] : []),
  ];
  return what.map((w) => ({ stageId: e.stageId, what: w }));
}

/** What of the entries of a stage moves a mark. */
const ENTRIES: Readonly<Record<string, (of: string) => SQL | undefined>> = {
  task: (of) => and(eq(logEntries.counts, true), eq(logEntries.task, of)),
  change: () =>
    and(
      eq(logEntries.stands, true),
      eq(logEntries.kind, 'change'),
      eq(logEntries.counts, true),
      isNull(logEntries.task),
    ),
  opened: () => and(eq(logEntries.stands, true), inArray(logEntries.kind, [...OPENS])),
  wet: () => and(eq(logEntries.stands, true), eq(logEntries.kind, 'complaint'), inArray(logEntries.symptom, [...WET])),
};

/** The newest time of a mark, by the log; each is one step in an index. */
async function newestOf(tx: Transaction, planId: string, { stageId, what }: Mark): Promise<string | null> {
  const [kind = '', of = ''] = what.split(' ');
  if (kind === 'drain') {
    const mine = and(eq(drainEntries.planId, planId), eq(drainEntries.stageId, stageId), isNull(drainEntries.struckAt));
    const [row] = await tx
      .select({ at: max(drainEntries.drainedAt) })
      .from(drainEntries)
      .where(mine);
    return row?.at ?? null;
  }
  const entries = ENTRIES[kind]?.(of);
  if (entries) {
    const mine = and(eq(logEntries.planId, planId), eq(logEntries.stageId, stageId), entries);
    const [row] = await tx
      .select({ at: max(logEntries.measuredAt) })
      .from(logEntries)
      .where(mine);
    return row?.at ?? null;
  }
  const stand = and(eq(readings.planId, planId), eq(readings.stands, true));
  const mine = and(stand, eq(readings.stageId, stageId), eq(readings.of, of as ReadingName));
  const [row] = await tx
    .select({ at: max(readings.measuredAt) })
    .from(readings)
    .where(mine);
  return row?.at ?? null;
}

/** Brings marks up to date with the log, after entries were written, corrected or struck out; how the line stands is to be worked out anew. */
export async function markAgain(tx: Transaction, planId: string, marks: readonly Mark[]): Promise<void> {
  await tx.update(lineStates).set({ day: '', claim: '' }).where(eq(lineStates.planId, planId));
  const distinct = new Map(marks.map((m) => [`${m.stageId} ${m.what}`, m]));
  for (const mark of distinct.values()) {
    const at = await newestOf(tx, planId, mark);
    const here = and(eq(logMarks.planId, planId), eq(logMarks.stageId, mark.stageId), eq(logMarks.what, mark.what));
    if (at === null) await tx.delete(logMarks).where(here);
    else
      await tx
        .insert(logMarks)
        .values({ planId, ...mark, at })
        .onDuplicateKeyUpdate({ set: { at: sql`VALUES(at)` } });
  }
}

/** What a log has, and when each was last: tasks that were done, series of readings, drains that were opened. */
export async function marksOf(planId: string): Promise<{
  tasks: { stageId: string; task: string; at: string }[];
  series: { stageId: string; of: ReadingName; at: string }[];
  drains: { stageId: string; at: string }[];
  /** Changes that were logged without their task. */
  changes: { stageId: string; at: string }[];
  opened: { stageId: string; at: string }[];
  wet: { stageId: string; at: string }[];
}> {
  const rows = await database().select().from(logMarks).where(eq(logMarks.planId, planId));
  const named = (kind: string) =>
    rows.flatMap(({ stageId, what, at }) => {
      const [own, of = ''] = what.split(' ');
      return own === kind ? [{ stageId, of, at }] : [];
    });
  const plain = (kind: string) => named(kind).map(({ stageId, at }) => ({ stageId, at }));
  return {
    tasks: named('task').map(({ of, ...rest }) => ({ ...rest, task: of })),
    series: named('reading').flatMap((s) => (s.of in READINGS ? [{ ...s, of: s.of as ReadingName }] : [])),
    drains: plain('drain'),
    changes: plain('change'),
    opened: plain('opened'),
    wet: plain('wet'),
  };
}
