import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { and, count, eq, inArray, isNull, ne, or, type SQL, sql } from 'drizzle-orm';
import { Piscina } from 'piscina';
import type { LineState } from '../../core/maintenance/line-state';
import { database } from '../../db/client';
import { sites } from '../../db/people';
import { lineStates, plans } from '../../db/schema';
import { hoursOf } from '../calendar/calendar-of';
import { clockOnTheWall } from '../clock';
import { isListed } from '../listed-lines';
import { readLogSummary } from '../read-log-summary';
import { storedPlan } from '../stored-plan';

/** A thread that has nothing to do for so long ends. */
const IDLE_MS = 60_000;
/** So many are taken up at a time. */
const BATCH = 20;

// From the sources, as server/calendar/calendar-of.ts says.
const threads = new Piscina({
  filename: path.join(process.cwd(), 'server/work/line-state.worker.ts'),
  execArgv: ['--import', 'tsx'],
  minThreads: 0,
  maxThreads: 1,
  idleTimeout: IDLE_MS,
});

/** What day it is on the sites, each by its own clock. */
async function today(): Promise<SQL> {
  const zones = await database().selectDistinct({ zone: sites.timeZone }).from(sites);
  const days = zones.map(({ zone }) => sql`WHEN ${zone} THEN ${clockOnTheWall(zone).slice(0, 10)}`);
  return sql`CASE ${sites.timeZone} ${sql.join(days, sql` `)} END`;
}

/** Lines of some sites, of all where none are named, that are not calculated as they stand today. */
const staleLinesOf = async (siteIds: readonly string[] | undefined): Promise<SQL | undefined> =>
  and(
    isListed,
    siteIds && inArray(plans.siteId, [...siteIds]),
    or(isNull(lineStates.planId), ne(lineStates.day, await today()), ne(lineStates.rowVersion, plans.rowVersion)),
  );

/**
 * How many lines of some sites are not worked out yet as they stand today; all sites where none are named. That begins, in the
 * background.
 */
export async function staleLines(siteIds: readonly string[] | undefined): Promise<number> {
  const [row] = await database()
    .select({ n: count() })
    .from(plans)
    .innerJoin(sites, eq(sites.id, plans.siteId))
    .leftJoin(lineStates, eq(lineStates.planId, plans.id))
    .where(await staleLinesOf(siteIds));
  if (row?.n) void workOutStale().catch(() => undefined);
  return row?.n ?? 0;
}

/** Works one line out, unless something is written into it meanwhile: then it stays to be done. */
async function workOut(planId: string, zone: string): Promise<void> {
  const now = clockOnTheWall(zone);
  const claim = randomUUID();
  await database().insert(lineStates).values({ planId, claim }).onDuplicateKeyUpdate({ set: { claim } });
  const [row] = await database().select().from(plans).where(eq(plans.id, planId));
  if (!row) return;
  const plan = storedPlan(row.document);
  const [log, weather] = await Promise.all([readLogSummary(planId, plan), hoursOf(plan)]);
  const state: LineState = await threads.run({ plan, log, weather, now });
  await database()
    .update(lineStates)
    .set({
      state,
      claim: '',
      rowVersion: row.rowVersion,
      day: now.slice(0, 10),
      nextDue: state.tasks[0]?.dueAt ?? null,
      overdue: state.tasks.filter((t) => t.dueAt < now.slice(0, 10)).length,
      complaints: state.complaints,
      verdict: state.outlet?.verdict ?? null,
      waterShare: state.waterShare ?? null,
    })
    .where(and(eq(lineStates.planId, planId), eq(lineStates.claim, claim)));
}

let running: Promise<void> | undefined;

/** Works out what is not up to date, in the background; one run at a time on a server. A line that cannot be is left out of it. */
export function workOutStale(): Promise<void> {
  running ??= (async () => {
    const failed = new Set<string>();
    for (;;) {
      const rows = await database()
        .select({ id: plans.id, zone: sites.timeZone })
        .from(plans)
        .innerJoin(sites, eq(sites.id, plans.siteId))
        .leftJoin(lineStates, eq(lineStates.planId, plans.id))
        .where(await staleLinesOf(undefined))
        .limit(BATCH + failed.size);
      const stale = rows.filter(({ id }) => !failed.has(id));
      if (stale.length === 0) return;
      for (const { id, zone } of stale) {
        await workOut(id, zone).catch((error: unknown) => {
          failed.add(id); // not again in this run
          console.error('state of a line:', String(error));
        });
      }
    }
  })().finally(() => {
    running = undefined;
  });
  return running;
}
