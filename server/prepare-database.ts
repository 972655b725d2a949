import { eq } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/mysql2';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import type { Pool } from 'mysql2/promise';
import { DEMO_PLAN_ID, demoDrains, demoPlan } from '../db/demo';
import { drainEntries, plans } from '../db/schema';
import { drainRow } from './log-a-drain';

/** What to do about the demo: load it once, leave it out, or restore it. */
export type DemoMode = 'once' | 'empty' | 'reset';

/**
 * Brings the database up to date and sees to the demo. Only rows of the demo line are ever touched.
 * @returns what was done, in words
 */
export async function prepareDatabase(
  pool: Pool,
  migrationsFolder: string,
  mode: DemoMode,
  nowMs: number,
): Promise<string> {
  const db = drizzle({ client: pool });
  await migrate(db, { migrationsFolder });
  const [there] = await db.select({ id: plans.id }).from(plans).where(eq(plans.id, DEMO_PLAN_ID));
  if (mode === 'empty' || (there && mode === 'once')) return '';
  const plan = demoPlan();
  await db.transaction(async (tx) => {
    await tx.delete(plans).where(eq(plans.id, DEMO_PLAN_ID)); // its log and writes go with it
    await tx.insert(plans).values({ id: DEMO_PLAN_ID, isDemo: true, document: plan });
    await tx.insert(drainEntries).values(demoDrains(nowMs).map((entry) => drainRow(DEMO_PLAN_ID, plan, entry)));
  });
  return there ? 'The demo is as it was at first.' : 'The demo is loaded.';
}
