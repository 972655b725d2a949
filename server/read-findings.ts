import { and, desc, eq } from 'drizzle-orm';
import type { LoggedEntry } from '../core/log/log-entry';
import { database } from '../db/client';
import { logEntries } from '../db/schema';
import { ENTRY, entryOf } from './entry-rows';
import { permitted, type Who } from './people/may';

const LOOKED_AT = 60;

/** The newest searches for a fault on a line, as they stand. */
export async function readFindings(who: Who, planId: string): Promise<LoggedEntry[]> {
  const id = await permitted(who, 'read', planId);
  const rows = await database()
    .select(ENTRY)
    .from(logEntries)
    .where(and(eq(logEntries.planId, id), eq(logEntries.stands, true), eq(logEntries.kind, 'finding')))
    .orderBy(desc(logEntries.measuredAt))
    .limit(LOOKED_AT);
  return rows.map(entryOf);
}
