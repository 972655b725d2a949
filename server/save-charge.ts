import { isDeepStrictEqual } from 'node:util';
import { asc, eq } from 'drizzle-orm';
import { type Charge, chargeSchema } from '../core/log/charge';
import { futureMessage } from '../core/log/drain-entry';
import { database } from '../db/client';
import { charges, plans } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { markAgain } from './log-marks';
import { permitted, type Who } from './people/may';
import { noSuchPlan } from './plan-id';
import { inTransaction } from './transaction';

const refuse = (status: number, code: 'invalid' | 'conflict', field: string, message: string) =>
  new RequestRefused(status, code, message, [{ field, message }]);

/** Takes a charge of beads into a line’s books. The same one sent again is one; another one under its id or its name is refused. */
export async function saveCharge(
  who: Who,
  planId: string,
  input: unknown,
  nowMs = Date.now(),
): Promise<{ id: string }> {
  const id = await permitted(who, 'log', planId);
  const charge = checked(chargeSchema, input);
  if (futureMessage(charge.boughtAt, nowMs))
    throw refuse(422, 'invalid', 'boughtAt', 'That lies in the future. Is the clock right?');
  return inTransaction(async (tx) => {
    const [plan] = await tx.select({ id: plans.id }).from(plans).where(eq(plans.id, id)).for('update');
    if (!plan) throw noSuchPlan();
    const [there] = await tx.select().from(charges).where(eq(charges.id, charge.id));
    if (there) {
      if (there.planId === id && isDeepStrictEqual(there.charge, charge)) return { id: charge.id };
      throw refuse(409, 'conflict', 'id', 'Another charge has this id already.');
    }
    const own = await tx.select({ charge: charges.charge }).from(charges).where(eq(charges.planId, id));
    if (own.some((c) => c.charge.name.toLowerCase() === charge.name.toLowerCase()))
      throw refuse(422, 'invalid', 'name', 'There is a charge of this name already.');
    await tx.insert(charges).values({ id: charge.id, planId: id, charge });
    await markAgain(tx, id, []);
    return { id: charge.id };
  });
}

/** The charges of a line, the oldest first. */
export const readCharges = async (who: Who, planId: string): Promise<Charge[]> =>
  chargesOf(await permitted(who, 'read', planId));

/** The same of a line that may be read. */
export async function chargesOf(planId: string): Promise<Charge[]> {
  const rows = await database()
    .select({ charge: charges.charge })
    .from(charges)
    .where(eq(charges.planId, planId))
    .orderBy(asc(charges.at));
  return rows.map((r) => r.charge);
}
