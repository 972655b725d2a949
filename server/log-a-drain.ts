import { and, eq } from 'drizzle-orm';
import { type DrainEntry, drainEntrySchema, futureMessage } from '../core/log/drain-entry';
import { expectDrain, explainDrain } from '../core/log/expect-drain';
import { stageById } from '../core/plan/runs';
import { drainEntries, plans } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { drainMark, markAgain } from './log-marks';
import { permitted, personIdOf, signed, type Who } from './people/may';
import { checkedId, noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';

/** The row that an entry makes: with it is kept what the plan expects on this day. */
export function drainRow(planId: string, planDocument: unknown, entry: DrainEntry) {
  const plan = storedPlan(planDocument);
  const stage = stageById(plan, entry.stageId);
  if (!stage || !('drain' in stage.parameters))
    throw new RequestRefused(422, 'invalid', 'This line has no such drain point.', [
      { field: 'stageId', message: 'This line has no such drain point.' },
    ]);
  const expected = expectDrain(plan, entry);
  return {
    ...entry,
    planId,
    stageName: stage.name,
    countedHours: expected?.loadedHours ?? 0,
    expectedKg: expected?.expectedKg ?? 0,
    lowKg: expected?.lowKg ?? 0,
    highKg: expected?.highKg ?? 0,
    why: explainDrain(plan, entry),
  };
}

/** Writes a drain into the log. The same entry sent again is one entry; another one under its id is refused. */
export async function logADrain(who: Who, planId: string, input: unknown, nowMs = Date.now()): Promise<{ id: string }> {
  const id = await permitted(who, 'log', planId);
  const entry = signed(who, checked(drainEntrySchema, input));
  const future = futureMessage(entry.drainedAt, nowMs);
  if (future) throw new RequestRefused(422, 'invalid', future, [{ field: 'drainedAt', message: future }]);
  return inTransaction(async (tx) => {
    const [plan] = await tx.select().from(plans).where(eq(plans.id, id)).for('update');
    if (!plan) throw noSuchPlan();
    const [there] = await tx.select().from(drainEntries).where(eq(drainEntries.id, entry.id));
    if (there) {
      const same =
        there.planId === id && (Object.keys(entry) as (keyof DrainEntry)[]).every((k) => there[k] === entry[k]);
      if (!same)
        throw new RequestRefused(409, 'conflict', 'Another entry has this id already.', [
          { field: 'id', message: 'Already used.' },
        ]);
      return { id: entry.id };
    }
    await tx.insert(drainEntries).values({ ...drainRow(id, plan.document, entry), personId: personIdOf(who) });
    await markAgain(tx, id, [drainMark(entry.stageId)]);
    return { id: entry.id };
  });
}

/** Strikes an entry out as a mistake, or restores it. It stays in the log either way. */
export async function strikeADrain(
  who: Who,
  planId: string,
  entryId: string,
  struck: boolean,
): Promise<{ id: string }> {
  const [id, ofPlan] = [checkedId('entryId', entryId), await permitted(who, 'log', planId)];
  const own = and(eq(drainEntries.id, id), eq(drainEntries.planId, ofPlan));
  return inTransaction(async (tx) => {
    await tx.select({ id: plans.id }).from(plans).where(eq(plans.id, ofPlan)).for('update');
    const [entry] = await tx.select({ stageId: drainEntries.stageId }).from(drainEntries).where(own);
    if (!entry)
      throw new RequestRefused(404, 'not-found', 'There is no such entry.', [
        { field: 'entryId', message: 'Unknown.' },
      ]);
    await tx
      .update(drainEntries)
      .set({ struckAt: struck ? new Date() : null })
      .where(own);
    await markAgain(tx, ofPlan, [drainMark(entry.stageId)]);
    return { id };
  });
}
