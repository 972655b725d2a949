import { isDeepStrictEqual } from 'node:util';
import { desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { type Plan, planSchema, type RevisionSummary, revisionNameSchema } from '../core/plan/plan';
import { database } from '../db/client';
import { plans, revisions } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { note } from './people/audit';
import { permitted, type Who } from './people/may';
import { checkedId, idSchema, noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';

const revisionSchema = z.strictObject({
  id: idSchema,
  name: revisionNameSchema,
  plan: planSchema,
});
const MOST = 200;

export interface Revision extends RevisionSummary {
  readonly plan: Plan;
}

/** Keeps a plan as it is under a name, for good. Repeated with the same content it is one revision. */
export async function saveRevision(who: Who, planId: string, input: unknown): Promise<RevisionSummary> {
  const ofPlan = await permitted(who, 'plan', planId);
  const { id, name, plan } = checked(revisionSchema, input);
  return inTransaction(async (tx) => {
    const [owner] = await tx
      .select({ siteId: plans.siteId, name: plans.name })
      .from(plans)
      .where(eq(plans.id, ofPlan))
      .for('update');
    if (!owner) throw noSuchPlan();
    const own = await tx.select({ name: revisions.name }).from(revisions).where(eq(revisions.planId, ofPlan));
    const [there] = await tx.select().from(revisions).where(eq(revisions.id, id));
    if (there && !(there.planId === ofPlan && there.name === name && isDeepStrictEqual(there.document, plan)))
      throw new RequestRefused(409, 'conflict', 'Another revision has this id already.', [
        { field: 'id', message: 'Already used.' },
      ]);
    if (!there && own.some((r) => r.name.toLowerCase() === name.toLowerCase()))
      throw new RequestRefused(409, 'conflict', 'A revision of this line has this name already.', [
        { field: 'name', message: 'Already used. Choose another.' },
      ]);
    if (!there && own.length >= MOST)
      throw new RequestRefused(409, 'conflict', `A line keeps at most ${MOST} revisions.`, [
        { field: 'name', message: `At most ${MOST} revisions.` },
      ]);
    const at = there?.at ?? new Date();
    if (!there) {
      await tx.insert(revisions).values({ id, planId: ofPlan, name, document: plan, at });
      const says = [`Revision “${name}”.`];
      await note(tx, who, { siteId: owner.siteId, planId: ofPlan, about: owner.name ?? '', says });
    }
    return { id, name, at: at.toISOString() };
  });
}

/** The revisions of a line, the newest first. */
export async function listRevisions(who: Who, planId: string): Promise<RevisionSummary[]> {
  const rows = await database()
    .select({ id: revisions.id, name: revisions.name, at: revisions.at })
    .from(revisions)
    .where(eq(revisions.planId, await permitted(who, 'read', planId)))
    .orderBy(desc(revisions.at));
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

/** A revision as it was; fields that are new since then get their defaults. */
export async function readRevision(who: Who, planId: string, revisionId: string): Promise<Revision> {
  const [row] = await database()
    .select()
    .from(revisions)
    .where(eq(revisions.id, checkedId('id', revisionId)));
  if (!row || row.planId !== (await permitted(who, 'read', planId)))
    throw new RequestRefused(404, 'not-found', 'There is no such revision.', [{ field: 'id', message: 'Unknown.' }]);
  return { id: row.id, name: row.name, at: row.at.toISOString(), plan: storedPlan(row.document) };
}
