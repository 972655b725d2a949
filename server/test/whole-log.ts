import { desc, eq } from 'drizzle-orm';
import type { Charge } from '../../core/log/charge';
import type { LoggedDrain } from '../../core/log/judge-log';
import type { LoggedEntry } from '../../core/log/log-entry';
import { database } from '../../db/client';
import { drainEntries, logEntries } from '../../db/schema';
import { ENTRY, entryOf } from '../entry-rows';
import { chargesOf } from '../save-charge';

/** All entries of a line, the newest first: for tests, whose logs are short. */
export async function readEntries(planId: string): Promise<LoggedEntry[]> {
  const rows = await database()
    .select(ENTRY)
    .from(logEntries)
    .where(eq(logEntries.planId, planId))
    .orderBy(desc(logEntries.measuredAt), desc(logEntries.enteredAt));
  return rows.map(entryOf);
}

/** The whole log of a line. */
export async function readLog(
  planId: string,
): Promise<{ drains: LoggedDrain[]; entries: LoggedEntry[]; charges: Charge[] }> {
  const [rows, entries, charges] = await Promise.all([
    database()
      .select()
      .from(drainEntries)
      .where(eq(drainEntries.planId, planId))
      .orderBy(desc(drainEntries.drainedAt), desc(drainEntries.id)),
    readEntries(planId),
    chargesOf(planId),
  ]);
  const drains = rows.map(({ planId: _planId, struckAt, loggedAt: _loggedAt, personId: _person, ...d }) => ({
    ...d,
    struck: struckAt !== null,
  }));
  return { drains, entries, charges };
}
