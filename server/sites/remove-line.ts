import { and, desc, eq, isNotNull, lt } from 'drizzle-orm';
import { DAY_MS } from '../../core/quantity/constants';
import { database } from '../../db/client';
import { plans } from '../../db/schema';
import { note } from '../people/audit';
import { ALONE, siteFor, type Who } from '../people/may';
import { checkedId, noSuchPlan } from '../plan-id';
import { inTransaction, type Transaction } from '../transaction';

/** A line that was removed is kept for so long, with its log. */
export const KEPT_DAYS = 30;

/** Removes a line from every list. It can be restored for thirty days. */
export const removeLine = (who: Who, planId: string): Promise<{ id: string }> =>
  change(who, planId, 'removedAt', new Date());

/** Restores a line that was removed, with its log. @param tx what else it is a part of */
export const restoreLine = (who: Who, planId: string, tx?: Transaction): Promise<{ id: string }> =>
  change(who, planId, 'removedAt', null, tx);

/** Archives a line: it stays as it is for as long as one likes, on no list but that of its site, and nothing is due on it. */
export const archiveLine = (who: Who, planId: string): Promise<{ id: string }> =>
  change(who, planId, 'archivedAt', new Date());

/** Takes a line out of the archive. */
export const unarchiveLine = (who: Who, planId: string): Promise<{ id: string }> =>
  change(who, planId, 'archivedAt', null);

const SAYS = {
  removedAt: ['Line removed.', 'Line restored.'],
  archivedAt: ['Line archived.', 'Line taken out of the archive.'],
} as const;

async function change(
  who: Who,
  planId: string,
  what: keyof typeof SAYS,
  at: Date | null,
  within?: Transaction,
): Promise<{ id: string }> {
  const id = checkedId('id', planId);
  const work = async (tx: Transaction): Promise<{ id: string }> => {
    const [line] = await tx
      .select({
        siteId: plans.siteId,
        name: plans.name,
        removedAt: plans.removedAt,
        archivedAt: plans.archivedAt,
      })
      .from(plans)
      .where(eq(plans.id, id))
      .for('update');
    if (!line || (who !== ALONE && !who.roles.has(line.siteId))) throw noSuchPlan();
    await siteFor(who, 'people', line.siteId);
    if (what === 'archivedAt' && line.removedAt !== null) throw noSuchPlan();
    if ((line[what] === null) === (at === null)) return { id };
    await tx
      .update(plans)
      .set({ [what]: at })
      .where(eq(plans.id, id));
    const says = [SAYS[what][at === null ? 1 : 0]];
    await note(tx, who, { siteId: line.siteId, planId: id, about: line.name ?? '', says });
    return { id };
  };
  return within ? work(within) : inTransaction(work);
}

export interface RemovedLine {
  readonly id: string;
  readonly shop: string;
  readonly name: string;
  readonly removedAt: string;
}

/** The removed lines of a site that its reader owns, the last removed first. */
export async function removedOf(siteId: string): Promise<RemovedLine[]> {
  const { id, shop, name, removedAt } = plans;
  const rows = await database()
    .select({ id, shop, name, removedAt })
    .from(plans)
    .where(and(eq(plans.siteId, siteId), isNotNull(removedAt)))
    .orderBy(desc(removedAt))
    .limit(100);
  return rows.map((r) => ({
    id: r.id,
    shop: r.shop ?? '–',
    name: r.name ?? '–',
    removedAt: (r.removedAt as Date).toISOString(),
  }));
}

/** Those that were removed long enough ago: they go for good, with their logs. */
export const isOver = (nowMs: number) => lt(plans.removedAt, new Date(nowMs - KEPT_DAYS * DAY_MS));
