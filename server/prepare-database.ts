import { readFileSync } from 'node:fs';
import path from 'node:path';
import { eq, inArray } from 'drizzle-orm';
import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2';
import type { Pool } from 'mysql2/promise';
import type { Plan } from '../core/plan/plan';
import { DAY_MS } from '../core/quantity/constants';
import { DAIRY_PLAN_ID, dairyPlan } from '../db/dairy';
import { DEMO_PLAN_ID, DEMO_STAGES, demoDrains, demoPlan, demoRevision } from '../db/demo';
import { BEADS, demoCharges } from '../db/demo-charges';
import { demoEntries } from '../db/demo-log';
import { DEMO_SHELF } from '../db/demo-shelf';
import { SYNTHETIC, syntheticYear } from '../db/demo-weather';
import { type BeforeMigration, migrateAlone } from '../db/migrate';
import { FIRST_SITE_ID } from '../db/people';
import { charges, drainEntries, plans, revisions, shelfItems, weatherYears } from '../db/schema';
import { keepEntries } from './keep-entries';
import { drainRow } from './log-a-drain';
import { entryRow } from './log-an-entry';
import { drainMark, markAgain } from './log-marks';
import { isOver } from './sites/remove-line';

/** What to do about the demo: load it once, leave it out, or restore it. */
export type DemoMode = 'once' | 'empty' | 'reset';

/** A demo whose routine was begun some days ago; its log goes back further. */
const begun = (plan: Plan, nowMs: number): Plan => ({
  ...plan,
  routine: { ...plan.routine, startedOn: new Date(nowMs - 4 * DAY_MS).toISOString().slice(0, 10) },
});

const yearOf = ({ file, name }: { file: string; name: string }) =>
  syntheticYear(name, readFileSync(path.join(process.cwd(), 'weather', file), 'utf8'));

/** The two made-up years of weather, which every start has: a line without a file can look at a year too. */
async function addSynthetic(db: MySql2Database): Promise<void> {
  const there = await db.select({ id: weatherYears.id }).from(weatherYears);
  const missing = SYNTHETIC.filter((y) => !there.some((t) => t.id === y.id));
  for (const year of missing) await db.insert(weatherYears).values({ id: year.id, ...yearOf(year) });
}

/**
 * Brings the database up to date and sees to the demo: the workshop with its log, and the dairy. Only their rows are ever
 * touched.
 * @returns what was done, in words
 */
export async function prepareDatabase(
  pool: Pool,
  migrationsFolder: string,
  mode: DemoMode,
  nowMs: number,
  beforeMigration?: BeforeMigration,
): Promise<string> {
  const db = drizzle({ client: pool });
  await migrateAlone(pool, migrationsFolder, { before: beforeMigration });
  await addSynthetic(db);
  await db.delete(plans).where(isOver(nowMs));
  const demos = [
    {
      id: DEMO_PLAN_ID,
      plan: begun(demoPlan(), nowMs),
      drains: demoDrains(nowMs),
      revision: demoRevision(),
      entries: demoEntries(demoPlan(), nowMs, DEMO_STAGES.coalescer, 2000),
      beads: BEADS.workshop,
      year: SYNTHETIC[0],
    },
    {
      id: DAIRY_PLAN_ID,
      plan: begun(dairyPlan(), nowMs),
      drains: [],
      revision: undefined,
      entries: demoEntries(dairyPlan(), nowMs, undefined, 3000),
      beads: BEADS.dairy,
      year: SYNTHETIC[1],
    },
  ];
  const ids = demos.map((d) => d.id);
  const there = await db.select({ id: plans.id }).from(plans).where(inArray(plans.id, ids));
  if (mode === 'empty') return '';
  // A demo that is new in this program is added beside the one that is there.
  const wanted = demos.filter((d) => mode === 'reset' || !there.some((t) => t.id === d.id));
  if (wanted.length === 0) return '';
  await db.transaction(async (tx) => {
    await tx.delete(shelfItems).where(
      inArray(
        shelfItems.id,
        DEMO_SHELF.map((s) => s.id),
      ),
    );
    await tx.insert(shelfItems).values(DEMO_SHELF.map((s) => ({ ...s, siteId: FIRST_SITE_ID })));
    for (const { id, plan, drains, revision, entries, beads, year } of wanted) {
      const followed = demoCharges(plan, yearOf(year).hours, beads, nowMs);
      await tx.delete(plans).where(eq(plans.id, id)); // its log, revisions and writes go with it
      await tx.insert(plans).values({ id, isDemo: true, document: plan });
      if (revision) await tx.insert(revisions).values({ ...revision, planId: id });
      await keepEntries(
        tx,
        [...entries, ...followed.entries].map((e) => entryRow(id, plan, e)),
      );
      await tx.insert(charges).values(followed.charges.map((charge) => ({ id: charge.id, planId: id, charge })));
      if (drains.length > 0) await tx.insert(drainEntries).values(drains.map((entry) => drainRow(id, plan, entry)));
      await markAgain(
        tx,
        id,
        drains.map((d) => drainMark(d.stageId)),
      );
    }
  });
  return there.length > 0 && mode === 'reset' ? 'The demo is as it was at first.' : 'The demo is loaded.';
}
