import { desc, eq } from 'drizzle-orm';
import type { LoggedDrain } from '../core/record/judge-log';
import { database } from '../db/client';
import { drainEntries } from '../db/schema';
import { checkedId } from './plan-id';

/** The drain log of a line, newest first, struck entries included. */
export async function readLogbook(planId: string): Promise<LoggedDrain[]> {
  const rows = await database()
    .select()
    .from(drainEntries)
    .where(eq(drainEntries.planId, checkedId('id', planId)))
    .orderBy(desc(drainEntries.drainedAt), desc(drainEntries.loggedAt))
    .limit(2000);
  return rows.map(({ planId: _planId, struckAt, loggedAt: _loggedAt, ...entry }) => ({
    ...entry,
    struck: struckAt !== null,
  }));
}
