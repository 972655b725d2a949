import { desc, eq, sql } from 'drizzle-orm';
import type { Plan, PlanSummary } from '../core/line/plan';
import { database } from '../db/client';
import { plans } from '../db/schema';
import { checkedId, noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';

export interface StoredPlan {
  readonly id: string;
  readonly rowVersion: number;
  readonly isDemo: boolean;
  readonly plan: Plan;
}

/** A line as it was last saved. The document passes through its schema, so that fields new since then get their defaults. */
export async function readPlan(id: string): Promise<StoredPlan> {
  const [row] = await database()
    .select()
    .from(plans)
    .where(eq(plans.id, checkedId('id', id)));
  if (!row) throw noSuchPlan();
  return { id: row.id, rowVersion: row.rowVersion, isDemo: row.isDemo, plan: storedPlan(row.document) };
}

/** A line as it lies in the database, whatever state it is in: to be kept, or repaired by hand. */
export async function readDocument(id: string): Promise<unknown> {
  const [row] = await database()
    .select({ document: plans.document })
    .from(plans)
    .where(eq(plans.id, checkedId('id', id)));
  if (!row) throw noSuchPlan();
  return row.document;
}

const UNREADABLE = 'a line that cannot be read';
const textAt = (path: string) => sql<string | null>`JSON_VALUE(${plans.document}, ${path})`;
const lengthAt = (path: string) => sql<number>`COALESCE(JSON_LENGTH(JSON_EXTRACT(${plans.document}, ${path})), 0)`;

/** All lines, the one last worked on first. Their documents are not read, so that one that is broken takes no other with it. */
export async function listPlans(): Promise<PlanSummary[]> {
  const rows = await database()
    .select({
      id: plans.id,
      isDemo: plans.isDemo,
      updatedAt: plans.updatedAt,
      name: textAt('$.name'),
      shop: textAt('$.survey.shop'),
      ofMain: lengthAt('$.stages'),
      ofBranches: lengthAt('$.branches[*].stages[*]'),
    })
    .from(plans)
    .orderBy(desc(plans.updatedAt));
  return rows.map(({ id, isDemo, updatedAt, name, shop, ofMain, ofBranches }) => ({
    id,
    isDemo,
    name: name ?? UNREADABLE,
    shop: shop ?? '–',
    stages: Number(ofMain) + Number(ofBranches),
    updatedAt: updatedAt.toISOString(),
  }));
}
