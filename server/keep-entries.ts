import { and, eq, inArray } from 'drizzle-orm';
import type { LogEntry, LoggedEntry } from '../core/log/log-entry';
import { logEntries, readings } from '../db/schema';
import { markAgain, marksOfEntry } from './log-marks';
import type { Transaction } from './transaction';

/** A row of the log as it is written. */
export interface EntryRow {
  readonly id: string;
  readonly planId: string;
  readonly stageId: string;
  readonly stageName: string;
  readonly kind: LogEntry['kind'];
  readonly task: string | null;
  readonly measuredAt: string;
  readonly who: string;
  readonly personId?: string | null;
  readonly entry: LogEntry;
  readonly expected: LoggedEntry['expected'];
  readonly enteredAt?: Date;
}

const AT_ONCE = 500; // rows a statement

/** Writes entries of one line, each of their readings beside them, and marks those that they correct. */
export async function keepEntries(tx: Transaction, rows: readonly EntryRow[]): Promise<void> {
  const planId = rows[0]?.planId;
  if (planId === undefined) return;
  const corrected = new Set(rows.flatMap((r) => r.entry.amends ?? []));
  const stands = (r: EntryRow): boolean => !corrected.has(r.id);
  const read = rows.flatMap((row) =>
    row.entry.readings.map(({ of, value }, i) => {
      const { value: expected, low, high } = row.expected[i] ?? { value: null, low: null, high: null };
      const { planId, stageId, measuredAt } = row;
      return { entryId: row.id, of, planId, stageId, measuredAt, stands: stands(row), value, expected, low, high };
    }),
  );
  const written = rows.map((r) => ({ ...r, expected: [...r.expected], stands: stands(r) }));
  for (let i = 0; i < written.length; i += AT_ONCE) await tx.insert(logEntries).values(written.slice(i, i + AT_ONCE));
  for (let i = 0; i < read.length; i += AT_ONCE) await tx.insert(readings).values(read.slice(i, i + AT_ONCE));
  const ids = [...corrected];
  if (ids.length > 0) await correct(tx, planId, ids);
  const old =
    ids.length === 0
      ? []
      : await tx
          .select({
            stageId: logEntries.stageId,
            kind: logEntries.kind,
            task: logEntries.task,
            entry: logEntries.entry,
          })
          .from(logEntries)
          .where(and(eq(logEntries.planId, planId), inArray(logEntries.id, ids)));
  await markAgain(tx, planId, [...rows, ...old].flatMap(marksOfEntry));
}

async function correct(tx: Transaction, planId: string, ids: readonly string[]): Promise<void> {
  await tx
    .update(logEntries)
    .set({ stands: false })
    .where(and(eq(logEntries.planId, planId), inArray(logEntries.id, ids)));
  await tx
    .update(readings)
    .set({ stands: false })
    .where(and(eq(readings.planId, planId), inArray(readings.entryId, ids)));
}
