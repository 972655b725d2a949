import { sql } from 'drizzle-orm';
import { database } from '../db/client';
import { lowDiskBytes } from './disk-space';

/** Asks the database for a row, which a node that has lost its cluster does not give, and the disk for its free space; throws where the database gives none. */
export async function databaseAnswers(): Promise<{ database: 'up'; disk: 'enough' | 'low' }> {
  await database().execute(sql`select 1 from plans limit 1`);
  return { database: 'up', disk: (await lowDiskBytes()) === undefined ? 'enough' : 'low' };
}
