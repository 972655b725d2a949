import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { members, sites } from '../../db/people';
import { plans } from '../../db/schema';
import { checked, RequestRefused } from '../errors';
import { note } from '../people/audit';
import { ALONE, permitted, permittedSite, siteFor, type Who } from '../people/may';
import { idSchema } from '../plan-id';
import { inTransaction } from '../transaction';

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const details = {
  name: text(80).min(1, 'A name is needed.'),
  customer: text(120),
  address: text(300),
  contacts: text(500),
  notes: text(2000),
};
const createSchema = z.strictObject({ id: idSchema, name: details.name });
const changeSchema = z.strictObject(details).partial();
const LABELS: Readonly<Record<keyof typeof details, string>> = {
  name: 'Name',
  customer: 'Customer',
  address: 'Address',
  contacts: 'Contacts',
  notes: 'Notes',
};

/** A new site; whoever makes it is its owner. Owners of a site may make others. Repeated, it is one site. */
export async function createSite(who: Who, input: unknown): Promise<{ id: string }> {
  const { id, name } = checked(createSchema, input);
  await siteFor(who, 'people');
  return inTransaction(async (tx) => {
    const [there] = await tx.select().from(sites).where(eq(sites.id, id));
    if (there) {
      if (there.name === name && (who === ALONE || who.roles.has(id))) return { id };
      throw new RequestRefused(409, 'conflict', 'Another site has this id already.', [
        { field: 'id', message: 'Already used.' },
      ]);
    }
    await tx.insert(sites).values({ id, name });
    if (who !== ALONE) await tx.insert(members).values({ siteId: id, personId: who.id, role: 'owner' });
    await note(tx, who, { siteId: id, about: name, says: ['New site.'] });
    return { id };
  });
}

/** Changes what is said of a site; what is not given stays. */
export async function changeSite(who: Who, siteId: string, input: unknown): Promise<{ id: string }> {
  const id = await permittedSite(who, 'people', siteId);
  const change = checked(changeSchema, input);
  return inTransaction(async (tx) => {
    const [before] = await tx.select().from(sites).where(eq(sites.id, id)).for('update');
    if (!before || Object.keys(change).length === 0) return { id };
    await tx.update(sites).set(change).where(eq(sites.id, id));
    const says = (Object.keys(LABELS) as (keyof typeof details)[]).flatMap((field) => {
      const [was, is] = [before[field], change[field]];
      return is === undefined || is === was ? [] : [`${LABELS[field]}: “${was}” → “${is}”.`];
    });
    await note(tx, who, { siteId: id, about: change.name ?? before.name, says });
    return { id };
  });
}

const moveSchema = z.strictObject({ siteId: idSchema });

/** Moves a line with its log to another site of the same owner. */
export async function moveLine(who: Who, planId: string, input: unknown): Promise<{ id: string }> {
  const id = await permitted(who, 'people', planId);
  const to = await siteFor(who, 'people', checked(moveSchema, input).siteId);
  return inTransaction(async (tx) => {
    const [line] = await tx
      .select({ siteId: plans.siteId, name: plans.name, isDemo: plans.isDemo })
      .from(plans)
      .where(eq(plans.id, id))
      .for('update');
    if (!line || line.siteId === to) return { id };
    await tx.update(plans).set({ siteId: to }).where(eq(plans.id, id));
    const about = line.name ?? '';
    await note(tx, who, { siteId: line.siteId, planId: id, about, says: ['Moved to another site.'] });
    await note(tx, who, { siteId: to, planId: id, about, says: ['Moved here from another site.'] });
    return { id };
  });
}
