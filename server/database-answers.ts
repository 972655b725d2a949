import { sql } from 'drizzle-orm';
import { database } from '../db/client';

/** Asks the database for a sign of life; throws where there is none. */
export async function databaseAnswers(): Promise<{ database: 'up' }> {
  await database().execute(sql`select 1`);
  return { database: 'up' };
}
