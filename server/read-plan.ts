import { and, count, desc, eq, inArray, like, sql } from 'drizzle-orm';
import type { Plan, PlanList } from '../core/plan/plan';
import { database } from '../db/client';
import { plans } from '../db/schema';
import { isListed, isThere } from './listed-lines';
import { permitted, sitesOf, type Who } from './people/may';
import { noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';

export interface StoredPlan {
  readonly id: string;
  readonly rowVersion: number;
  readonly isDemo: boolean;
  readonly plan: Plan;
}

/** A line as it was last saved. The document passes through its schema, so that fields new since then get their defaults. */
export const readPlan = async (who: Who, id: string): Promise<StoredPlan> => planOf(await permitted(who, 'read', id));

/** The same of a line that may be read. */
export async function planOf(id: string): Promise<StoredPlan> {
  const [row] = await database()
    .select()
    .from(plans)
    .where(and(eq(plans.id, id), isThere));
  if (!row) throw noSuchPlan();
  return { id: row.id, rowVersion: row.rowVersion, isDemo: row.isDemo, plan: storedPlan(row.document) };
}

/** A line as it lies in the database, whatever state it is in: to be kept, or repaired by hand. */
export async function readDocument(who: Who, id: string): Promise<unknown> {
  const [row] = await database()
    .select({ document: plans.document })
    .from(plans)
    .where(eq(plans.id, await permitted(who, 'read', id)));
  if (!row) throw noSuchPlan();
  return row.document;
}

const UNREADABLE = 'a line that cannot be read';
/** Lines that a list shows at once; more are found by their names. */
const LISTED = 40;

const row = {
  id: plans.id,
  isDemo: plans.isDemo,
  updatedAt: plans.updatedAt,
  name: plans.name,
  shop: plans.shop,
  stages: plans.stages,
};

/**
 * The demos, and of the other lines those last worked on first. Their documents are not read, so that one that is broken
 * takes no other with it.
 * @param who whose sites they stand on
 * @param words of their names, all of which have to be in it; left out, any
 */
export async function listPlans(who: Who, words = ''): Promise<PlanList> {
  const asked = words.split(/\s+/).filter(Boolean).slice(0, 8);
  const named = asked.map((word) =>
    like(sql`CONCAT(${plans.shop}, ' ', ${plans.name})`, `%${word.replace(/[\\%_]/g, '\\$&')}%`),
  );
  const sites = sitesOf(who, 'read');
  const seen = sites && inArray(plans.siteId, sites);
  const own = and(eq(plans.isDemo, false), isListed, seen, ...named);
  const [demos, lines, [all]] = await Promise.all([
    database()
      .select(row)
      .from(plans)
      .where(and(eq(plans.isDemo, true), isListed, seen))
      .orderBy(desc(plans.updatedAt)),
    database().select(row).from(plans).where(own).orderBy(desc(plans.updatedAt)).limit(LISTED),
    database().select({ n: count() }).from(plans).where(own),
  ]);
  const told = [...lines, ...demos].map(({ updatedAt, name, shop, stages, ...rest }) => ({
    ...rest,
    name: name ?? UNREADABLE,
    shop: shop ?? '–',
    stages: stages ?? 0,
    updatedAt: updatedAt.toISOString(),
  }));
  return { lines: told.toSorted((a, b) => b.updatedAt.localeCompare(a.updatedAt)), of: all?.n ?? 0 };
}
