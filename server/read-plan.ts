import { desc, eq } from 'drizzle-orm';
import { type Plan, type PlanSummary, planSchema } from '../core/line/plan';
import { allStages } from '../core/line/runs';
import { database } from '../db/client';
import { plans } from '../db/schema';
import { checkedId, noSuchPlan } from './plan-id';

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
  return { id: row.id, rowVersion: row.rowVersion, isDemo: row.isDemo, plan: planSchema.parse(row.document) };
}

/** All lines, the one last worked on first. */
export async function listPlans(): Promise<PlanSummary[]> {
  const rows = await database().select().from(plans).orderBy(desc(plans.updatedAt));
  return rows.map((r) => ({
    id: r.id,
    name: r.document.name,
    shop: r.document.survey.shop,
    isDemo: r.isDemo,
    stages: allStages(planSchema.parse(r.document)).length,
    updatedAt: r.updatedAt.toISOString(),
  }));
}
