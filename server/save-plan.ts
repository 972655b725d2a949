import { createHash } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { planSchema } from '../core/plan/plan';
import { database } from '../db/client';
import { plans, planWrites } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { changesOf, note } from './people/audit';
import { ALONE, permitted, siteFor, type Who } from './people/may';
import { idSchema, noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';

const createSchema = z.strictObject({
  id: idSchema,
  plan: planSchema,
  siteId: idSchema.optional(),
  /** A line on whose site it belongs, such as that of which it is a copy. */
  besideId: idSchema.optional(),
});
const saveSchema = z.strictObject({ writeId: idSchema, rowVersion: z.int().min(1), plan: planSchema });

const digestOf = (content: object): string => createHash('sha256').update(JSON.stringify(content)).digest('hex');

export interface Saved {
  readonly id: string;
  readonly rowVersion: number;
}

/** Stores a new line under the id that the client made. Repeated with the same content it is one line. */
export async function createPlan(who: Who, input: unknown): Promise<Saved> {
  const { id, plan, siteId, besideId } = checked(createSchema, input);
  const site = besideId ? await siteOf(await permitted(who, 'plan', besideId)) : await siteFor(who, 'plan', siteId);
  const digest = digestOf({ rowVersion: 0, plan });
  return inTransaction(async (tx) => {
    const [there] = await tx.select().from(plans).where(eq(plans.id, id));
    if (!there) {
      await tx.insert(plans).values({ id, siteId: site, document: plan });
      // The first write of a line has its id.
      await tx.insert(planWrites).values({ id, planId: id, rowVersion: 1, digest });
      await note(tx, who, { siteId: site, planId: id, about: plan.name, says: ['New line.'] });
      return { id, rowVersion: 1 };
    }
    const [made] = await tx.select().from(planWrites).where(eq(planWrites.id, id));
    const isSame = made ? made.planId === id && made.digest === digest : isDeepStrictEqual(there.document, plan);
    if (isSame && there.siteId === site) return { id, rowVersion: made?.rowVersion ?? there.rowVersion };
    throw new RequestRefused(409, 'conflict', 'Another line has this id already.', [
      { field: 'id', message: 'Already used.' },
    ]);
  });
}

async function siteOf(planId: string): Promise<string> {
  const [line] = await database().select({ siteId: plans.siteId }).from(plans).where(eq(plans.id, planId));
  if (!line) throw noSuchPlan();
  return line.siteId;
}

/**
 * Saves a line over the version that the writer had seen. A write that was already acknowledged is acknowledged again;
 * a write over somebody else's newer version is refused with that version, and changes nothing.
 */
export async function savePlan(who: Who, planId: string, input: unknown): Promise<Saved> {
  const id = await permitted(who, 'plan', planId);
  const { writeId, rowVersion, plan } = checked(saveSchema, input);
  const digest = digestOf({ rowVersion, plan });
  return inTransaction(async (tx) => {
    const [row] = await tx.select().from(plans).where(eq(plans.id, id)).for('update');
    if (!row) throw noSuchPlan();
    const [done] = await tx.select().from(planWrites).where(eq(planWrites.id, writeId));
    if (done) {
      if (done.planId === id && (done.digest === null || done.digest === digest))
        return { id, rowVersion: done.rowVersion };
      throw new RequestRefused(409, 'conflict', 'Another write has this id already.', [
        { field: 'writeId', message: 'Already used.' },
      ]);
    }
    if (row.rowVersion !== rowVersion)
      throw new RequestRefused(
        409,
        'conflict',
        'Somebody saved a newer version of this line.',
        [
          {
            field: 'rowVersion',
            message: `The stored version is ${row.rowVersion}; yours was made from ${rowVersion}.`,
          },
        ],
        { newer: { rowVersion: row.rowVersion, plan: storedPlan(row.document) } },
      );
    const next = rowVersion + 1;
    await tx.update(plans).set({ document: plan, rowVersion: next, updatedAt: new Date() }).where(eq(plans.id, id));
    await tx.insert(planWrites).values({ id: writeId, planId: id, rowVersion: next, digest });
    if (who !== ALONE)
      await note(tx, who, {
        siteId: row.siteId,
        planId: id,
        about: plan.name,
        says: changesOf(row.document, plan),
      });
    return { id, rowVersion: next };
  });
}
