import { eq } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/mysql2';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import { openPool } from '../../db/client';
import { DEMO_PLAN_ID, demoDrains, demoPlan } from '../../db/demo';
import { drainEntries, plans } from '../../db/schema';
import { drainRow } from '../../server/log-a-drain';

// Brings the database up to date and loads the demo: once (default), never (--empty), or afresh (--reset-demo).
const mode = process.argv[2] ?? '';
const pool = openPool();
const db = drizzle({ client: pool });
await migrate(db, { migrationsFolder: new URL('../../db/migrations', import.meta.url).pathname });

const [there] = await db.select({ id: plans.id }).from(plans).where(eq(plans.id, DEMO_PLAN_ID));
if (mode === '--reset-demo' || (!there && mode !== '--empty')) {
  const plan = demoPlan();
  await db.transaction(async (tx) => {
    await tx.delete(plans).where(eq(plans.id, DEMO_PLAN_ID)); // its log and writes go with it
    await tx.insert(plans).values({ id: DEMO_PLAN_ID, isDemo: true, document: plan });
    await tx.insert(drainEntries).values(demoDrains(Date.now()).map((entry) => drainRow(DEMO_PLAN_ID, plan, entry)));
  });
  console.log(there ? 'The demo is as it was at first.' : 'The demo is loaded.');
}
await pool.end();
