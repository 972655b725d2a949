import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { type ShelfItem, shelfItemSchema } from '../../core/fitting/shelf';
import { database } from '../../db/client';
import { sites } from '../../db/people';
import { plans, shelfItems } from '../../db/schema';
import { checked, RequestRefused } from '../errors';
import { note } from '../people/audit';
import { limitedRole, permitted, permittedSite, sitesOf, type Who } from '../people/may';
import { checkedId, idSchema } from '../plan-id';
import { inTransaction } from '../transaction';

/** What a shelf of a site holds at most, and what is shown of all shelves. */
const MOST = 2000;
const LISTED = 4000;

export interface OnShelf extends ShelfItem {
  readonly id: string;
  readonly siteId: string;
  readonly site: string;
}

/** What lies on the shelves of all sites that somebody may see. */
export async function listShelf(who: Who): Promise<OnShelf[]> {
  const own = sitesOf(who, 'read');
  const rows = await database()
    .select({ id: shelfItems.id, siteId: shelfItems.siteId, site: sites.name, item: shelfItems.item })
    .from(shelfItems)
    .innerJoin(sites, eq(sites.id, shelfItems.siteId))
    .where(own && inArray(shelfItems.siteId, own))
    .orderBy(asc(shelfItems.at), asc(shelfItems.id))
    .limit(LISTED);
  return rows.map(({ item, ...row }) => ({ ...row, ...shelfItemSchema.parse(item) }));
}

/** The sites on whose shelves somebody may put something. */
export async function shelfSites(who: Who): Promise<{ readonly id: string; readonly name: string }[]> {
  const own = sitesOf(who, 'log');
  return database()
    .select({ id: sites.id, name: sites.name })
    .from(sites)
    .where(own && inArray(sites.id, own))
    .orderBy(asc(sites.name))
    .limit(LISTED);
}

/**
 * The shelves as a line sees them, and the sites on whose shelves one may put something: that of the line first; none for
 * whoever may not change the line, as what it takes and gives would not be saved in it.
 */
export async function shelfForLine(
  who: Who,
  planId: string,
): Promise<{ shelf: OnShelf[]; sites: { readonly id: string; readonly name: string }[] }> {
  const [line] = await database()
    .select({ siteId: plans.siteId })
    .from(plans)
    .where(eq(plans.id, await permitted(who, 'read', planId)));
  const isOwn = (siteId: string): number => Number(siteId === line?.siteId);
  return {
    shelf: (await listShelf(who)).toSorted((a, b) => isOwn(b.siteId) - isOwn(a.siteId)),
    sites: (await limitedRole(who, planId))
      ? []
      : (await shelfSites(who)).toSorted((a, b) => isOwn(b.id) - isOwn(a.id)),
  };
}

/** Puts something on the shelf of a site, or changes it; sent again it is the same. */
export async function putOnShelf(who: Who, siteId: string, itemId: string, input: unknown): Promise<{ id: string }> {
  const site = await permittedSite(who, 'log', siteId);
  const id = checked(z.strictObject({ itemId: idSchema }), { itemId }).itemId;
  const item = checked(shelfItemSchema, input);
  await inTransaction(async (tx) => {
    const [there] = await tx.select().from(shelfItems).where(eq(shelfItems.id, id)).for('update');
    if (there && there.siteId !== site)
      throw new RequestRefused(409, 'conflict', 'Another site has an item with this id already.', [
        { field: 'itemId', message: 'Already used.' },
      ]);
    if (there && isDeepStrictEqual(there.item, item)) return;
    if (!there && (await tx.$count(shelfItems, eq(shelfItems.siteId, site))) >= MOST)
      throw new RequestRefused(409, 'conflict', `A shelf holds at most ${MOST} items. Remove some first.`);
    if (there) await tx.update(shelfItems).set({ item }).where(eq(shelfItems.id, id));
    else await tx.insert(shelfItems).values({ id, siteId: site, item });
    await note(tx, who, { siteId: site, about: 'Shelf', says: [`${item.count} × ${item.name}.`] });
  });
  return { id };
}

const bySchema = z.strictObject({ by: z.int('Whole pieces.').min(-100_000).max(100_000) });

/** Puts so many more of an item on its shelf, or takes so many down: what is none any more is gone. */
export async function changeOnShelf(
  who: Who,
  siteId: string,
  itemId: string,
  input: unknown,
): Promise<{ id: string; count: number }> {
  const site = await permittedSite(who, 'log', siteId);
  const id = checkedId('itemId', itemId);
  const { by } = checked(bySchema, input);
  return inTransaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(shelfItems)
      .where(and(eq(shelfItems.siteId, site), eq(shelfItems.id, id)))
      .for('update');
    if (!row) throw noSuchItem();
    const count = row.item.count + by;
    if (count < 0)
      throw new RequestRefused(409, 'conflict', `Only ${row.item.count} of it are left on the shelf.`, [
        { field: 'by', message: 'More than there are.' },
      ]);
    if (count === 0) await tx.delete(shelfItems).where(eq(shelfItems.id, id));
    else
      await tx
        .update(shelfItems)
        .set({ item: checked(shelfItemSchema, { ...row.item, count }) })
        .where(eq(shelfItems.id, id));
    await note(tx, who, { siteId: site, about: 'Shelf', says: [`${count} × ${row.item.name}.`] });
    return { id, count };
  });
}

const noSuchItem = (): RequestRefused =>
  new RequestRefused(404, 'not-found', 'There is no such item.', [{ field: 'itemId', message: 'Unknown.' }]);

/** Takes an item off the shelf altogether. */
export async function takeOffShelf(who: Who, siteId: string, itemId: string): Promise<{ id: string }> {
  const site = await permittedSite(who, 'log', siteId);
  const id = checkedId('itemId', itemId);
  const [row] = await database()
    .select()
    .from(shelfItems)
    .where(and(eq(shelfItems.siteId, site), eq(shelfItems.id, id)));
  if (!row) throw noSuchItem();
  await database().delete(shelfItems).where(eq(shelfItems.id, id));
  await note(database(), who, { siteId: site, about: 'Shelf', says: [`Removed ${row.item.name}.`] });
  return { id };
}
