import { and, asc, count, eq, inArray, lt, min, sql, sum } from 'drizzle-orm';
import { z } from 'zod';
import { siteTimeMs, siteTimeOf } from '../../core/log/site-clock';
import type { WorkTask } from '../../core/maintenance/line-state';
import { DAY_MS } from '../../core/quantity/constants';
import { database } from '../../db/client';
import { sites } from '../../db/people';
import { lineStates, plans, siteOrders } from '../../db/schema';
import { clockOnTheWall } from '../clock';
import { checked, RequestRefused } from '../errors';
import { isListed } from '../listed-lines';
import { personIdOf, sitesOf, type Who } from '../people/may';
import { inTransaction } from '../transaction';
import { staleLines } from './line-states';

/** Sites that are listed at once, the most pressing first. */
const LISTED = 50;
/** How far ahead a list may look, days. */
export const AHEAD = [1, 7, 31] as const;
export type Ahead = (typeof AHEAD)[number];

export interface WorkLine {
  readonly id: string;
  readonly name: string;
  readonly shop: string;
  readonly tasks: readonly WorkTask[];
}
export interface WorkSite {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly contacts: string;
  readonly notes: string;
  readonly lines: readonly WorkLine[];
}
export interface WorkList {
  readonly sites: readonly WorkSite[];
  /** How many sites have something due, of which those are the first. */
  readonly of: number;
  /** Lines that are still being worked out. */
  readonly stale: number;
  readonly today: string;
}

const NOBODY = 'nobody';
/** Whose order and calendar it is: a person’s, or where nobody signs in nobody’s. */
export const orderOf = (who: Who): string => personIdOf(who) ?? NOBODY;

/**
 * What is due where, on the sites that somebody may see.
 * @param ahead so many days from today, with what is overdue
 * @param order by date, or in the order in which they drive
 * @param only some sites
 */
export async function readWorkList(
  who: Who,
  { ahead, order, only }: { ahead: Ahead; order: 'date' | 'own'; only?: readonly string[] },
): Promise<WorkList> {
  const now = clockOnTheWall();
  const until = siteTimeOf(siteTimeMs(`${now.slice(0, 10)}T00:00`) + ahead * DAY_MS);
  const may = sitesOf(who, 'read');
  const stale = await staleLines(may);
  const due = and(
    isListed,
    lt(lineStates.nextDue, until),
    may && inArray(plans.siteId, may),
    only && inArray(plans.siteId, [...only]),
  );
  const [rows, [all]] = await Promise.all([
    database()
      .select({ id: plans.siteId, next: min(lineStates.nextDue), place: min(siteOrders.place) })
      .from(lineStates)
      .innerJoin(plans, eq(plans.id, lineStates.planId))
      .leftJoin(siteOrders, and(eq(siteOrders.siteId, plans.siteId), eq(siteOrders.personId, orderOf(who))))
      .where(due)
      .groupBy(plans.siteId)
      .orderBy(
        ...(order === 'own' ? [sql`MIN(${siteOrders.place}) IS NULL`, asc(min(siteOrders.place))] : []),
        asc(min(lineStates.nextDue)),
      )
      .limit(LISTED),
    database()
      .select({ n: sql<number>`COUNT(DISTINCT ${plans.siteId})` })
      .from(lineStates)
      .innerJoin(plans, eq(plans.id, lineStates.planId))
      .where(due),
  ]);
  const ids = rows.map((r) => r.id);
  const found = ids.length === 0 ? [] : await linesOf(ids, until);
  return {
    sites: ids.flatMap((id) => {
      const own = found.filter((f) => f.site.id === id);
      const site = own[0]?.site;
      return site ? [{ ...site, lines: own.map((f) => f.line) }] : [];
    }),
    of: Number(all?.n ?? 0),
    stale,
    today: now.slice(0, 10),
  };
}

/** The lines of some sites with what is due on them until a time. */
async function linesOf(siteIds: readonly string[], until: string) {
  const { id, name, customer, address, contacts, notes } = sites;
  const rows = await database()
    .select({
      site: { id, name, customer, address, contacts, notes },
      line: { id: plans.id, name: plans.name, shop: plans.shop },
      state: lineStates.state,
    })
    .from(plans)
    .innerJoin(lineStates, eq(lineStates.planId, plans.id))
    .innerJoin(sites, eq(sites.id, plans.siteId))
    .where(and(inArray(plans.siteId, [...siteIds]), isListed, lt(lineStates.nextDue, until)))
    .orderBy(asc(plans.shop), asc(plans.name));
  return rows.map(({ site, line, state }) => ({
    site,
    line: {
      id: line.id,
      name: line.name ?? '–',
      shop: line.shop ?? '–',
      tasks: (state?.tasks ?? []).filter((t) => t.dueAt < until),
    },
  }));
}

/** How the lines of some sites stand together, by site. */
export async function statesOfSites(siteIds: readonly string[]) {
  if (siteIds.length === 0) return [];
  return database()
    .select({
      siteId: plans.siteId,
      overdue: sum(lineStates.overdue).mapWith(Number),
      complaints: sum(lineStates.complaints).mapWith(Number),
      // The worst of the lines, by its place in the list of verdicts.
      verdict: sql<
        'fails' | 'open' | 'meets' | null
      >`ELT(MIN(NULLIF(FIELD(${lineStates.verdict}, 'fails', 'open', 'meets'), 0)), 'fails', 'open', 'meets')`,
      waterShare: sql<number | null>`AVG(${lineStates.waterShare})`,
      known: count(lineStates.state),
    })
    .from(plans)
    .innerJoin(lineStates, eq(lineStates.planId, plans.id))
    .where(and(inArray(plans.siteId, [...siteIds]), isListed))
    .groupBy(plans.siteId);
}

const orderSchema = z.strictObject({ siteIds: z.array(z.uuid()).max(5000) });

/** Keeps the order in which somebody drives to sites: those named first, in this order. */
export async function saveSiteOrder(who: Who, input: unknown): Promise<{ sites: number }> {
  const { siteIds } = checked(orderSchema, input);
  const may = sitesOf(who, 'read');
  const distinct = [...new Set(siteIds)];
  if (may && distinct.some((id) => !may.includes(id)))
    throw new RequestRefused(404, 'not-found', 'There is no such site.', [{ field: 'siteIds', message: 'Unknown.' }]);
  return inTransaction(async (tx) => {
    const there = distinct.length
      ? await tx.select({ id: sites.id }).from(sites).where(inArray(sites.id, distinct))
      : [];
    if (there.length < distinct.length)
      throw new RequestRefused(404, 'not-found', 'There is no such site.', [{ field: 'siteIds', message: 'Unknown.' }]);
    const personId = orderOf(who);
    await tx.delete(siteOrders).where(eq(siteOrders.personId, personId));
    if (distinct.length > 0)
      await tx.insert(siteOrders).values(distinct.map((siteId, place) => ({ personId, siteId, place })));
    return { sites: distinct.length };
  });
}
