import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { isZone } from '../../core/log/site-clock';
import type { Climate } from '../../core/plan/survey';
import { database } from '../../db/client';
import { members, sites } from '../../db/people';
import { plans } from '../../db/schema';
import { checked, RequestRefused } from '../errors';
import { note } from '../people/audit';
import { ALONE, permitted, permittedSite, siteFor, type Who } from '../people/may';
import { idSchema, noSuchPlan } from '../plan-id';
import { storedPlan } from '../stored-plan';
import { inTransaction } from '../transaction';

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const details = {
  name: text(80).min(1, 'A name is needed.'),
  customer: text(120),
  address: text(300),
  contacts: text(500),
  notes: text(2000),
  timeZone: z
    .string()
    .max(64)
    .refine((zone) => zone === '' || isZone(zone), 'This time zone is not known here.'),
};
const createSchema = z.strictObject({ id: idSchema, name: details.name });
const changeSchema = z
  .strictObject({
    ...details,
    /** A line whose weather of the year new lines begin with; nothing takes it back. */
    climateOf: idSchema.nullable(),
  })
  .partial();
const LABELS: Readonly<Record<keyof typeof details, string>> = {
  name: 'Name',
  customer: 'Customer',
  address: 'Address',
  contacts: 'Contacts',
  notes: 'Notes',
  timeZone: 'Time zone',
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
  const { climateOf, ...change } = checked(changeSchema, input);
  const climate = climateOf === undefined ? undefined : await climateOfLine(who, id, climateOf);
  return inTransaction(async (tx) => {
    const [before] = await tx.select().from(sites).where(eq(sites.id, id)).for('update');
    const set = { ...change, ...(climate && { climate: climate.is }) };
    if (!before || Object.keys(set).length === 0) return { id };
    await tx.update(sites).set(set).where(eq(sites.id, id));
    const says = (Object.keys(LABELS) as (keyof typeof details)[]).flatMap((field) => {
      const [was, is] = [before[field], change[field]];
      return is === undefined || is === was ? [] : [`${LABELS[field]}: “${was}” → “${is}”.`];
    });
    if (climate) says.push(climate.says);
    await note(tx, who, { siteId: id, about: change.name ?? before.name, says });
    return { id };
  });
}

async function climateOfLine(
  who: Who,
  siteId: string,
  planId: string | null,
): Promise<{ is: Climate | null; says: string }> {
  if (planId === null) return { is: null, says: 'New lines begin without its climate.' };
  const [line] = await database()
    .select({ siteId: plans.siteId, document: plans.document })
    .from(plans)
    .where(eq(plans.id, await permitted(who, 'read', planId)));
  if (line?.siteId !== siteId) throw noSuchPlan();
  const plan = storedPlan(line.document);
  return { is: plan.survey.climate, says: `New lines begin with the climate of ${plan.name}.` };
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
