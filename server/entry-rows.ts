import { desc } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/mysql-core';
import type { LoggedEntry } from '../core/log/log-entry';
import { logEntries } from '../db/schema';

/** Entries of a stage that its charge or element goes by: changes and tasks, and readings of each kind. */
export const CHANGES_KEPT = 100;

export const READINGS_KEPT = 100;

/** An entry of the log as its row has it. */
export const entryOf = (row: {
  entry: LoggedEntry | object;
  stageName: string;
  enteredAt: Date;
  expected: LoggedEntry['expected'];
}): LoggedEntry => {
  const entry = row.entry as LoggedEntry;
  return {
    ...entry,
    chargeId: entry.chargeId ?? null, // entries of before there were charges
    finding: entry.finding ?? null, // … and searches for a fault
    stageName: row.stageName,
    enteredAt: row.enteredAt.toISOString(),
    expected: row.expected,
  };
};

export const ENTRY = {
  entry: logEntries.entry,
  stageName: logEntries.stageName,
  enteredAt: logEntries.enteredAt,
  expected: logEntries.expected,
};

export const newestFirst = [desc(logEntries.measuredAt), desc(logEntries.id)] as const; // as indices have them

/** Several selections as one question; nothing where there are none. */
export async function together<T>(of: readonly unknown[]): Promise<T[]> {
  if (of.length === 0) return [];
  const [first, second, ...rest] = of as [never, never, ...never[]];
  return (await (of.length === 1 ? first : unionAll(first, second, ...rest))) as T[];
}
