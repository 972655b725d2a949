import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import { futureMessage } from '../core/log/drain-entry';
import { expectReadings } from '../core/log/expect-reading';
import { type LogEntry, logEntrySchema } from '../core/log/log-entry';
import { stageById } from '../core/plan/runs';
import { charges, logEntries, photos, plans } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { type EntryRow, keepEntries } from './keep-entries';
import { permitted, personIdOf, signed, type Who } from './people/may';
import { noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';

const refuse = (field: string, message: string) => new RequestRefused(422, 'invalid', message, [{ field, message }]);

/** The row that an entry makes: with it is kept what the plan expects on this day. */
export function entryRow(planId: string, planDocument: unknown, entry: LogEntry, stageName?: string): EntryRow {
  const plan = storedPlan(planDocument);
  const stage = stageById(plan, entry.stageId);
  if (entry.stageId !== '' && !stage && stageName === undefined)
    throw refuse(
      'stageId',
      'This line has no such stage any more. Log it for the whole line, or for what stands there now.',
    );
  return {
    id: entry.id,
    planId,
    stageId: entry.stageId,
    stageName: stage?.name ?? stageName ?? plan.name,
    kind: entry.kind,
    task: entry.task,
    measuredAt: entry.measuredAt,
    who: entry.who,
    entry,
    expected: expectReadings(plan, entry),
  };
}

/** Writes an entry into the log. The same one sent again is one entry; another one under its id is refused. */
export async function logAnEntry(
  who: Who,
  planId: string,
  input: unknown,
  nowMs = Date.now(),
): Promise<{ id: string }> {
  const id = await permitted(who, 'log', planId);
  const entry = signed(who, checked(logEntrySchema, input));
  const future = futureMessage(entry.measuredAt, nowMs);
  if (future) throw refuse('measuredAt', 'That lies in the future. Is the clock right?');
  return inTransaction(async (tx) => {
    const [plan] = await tx.select().from(plans).where(eq(plans.id, id)).for('update');
    if (!plan) throw noSuchPlan();
    const [there] = await tx.select().from(logEntries).where(eq(logEntries.id, entry.id));
    if (there) {
      if (there.planId === id && isDeepStrictEqual(logEntrySchema.parse(there.entry), entry)) return { id: entry.id };
      throw new RequestRefused(409, 'conflict', 'Another entry has this id already.', [
        { field: 'id', message: 'Already used.' },
      ]);
    }
    if (entry.amends) {
      const [amended] = await tx.select().from(logEntries).where(eq(logEntries.id, entry.amends));
      if (!amended || amended.planId !== id) throw refuse('amends', 'There is no such entry to correct.');
    }
    if (entry.chargeId) {
      const [charge] = await tx.select().from(charges).where(eq(charges.id, entry.chargeId));
      if (!charge || charge.planId !== id) throw refuse('chargeId', 'There is no such charge in this line.');
    }
    if (entry.photoId) {
      const [photo] = await tx.select({ planId: photos.planId }).from(photos).where(eq(photos.id, entry.photoId));
      if (photo?.planId !== id) throw refuse('photoId', 'There is no such photo in this line.');
    }
    await keepEntries(tx, [{ ...entryRow(id, plan.document, entry), personId: personIdOf(who) }]);
    return { id: entry.id };
  });
}
