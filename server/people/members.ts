import { and, asc, count, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { database } from '../../db/client';
import { members, people, ROLES, type Role, sites } from '../../db/people';
import { checked, RequestRefused } from '../errors';
import { checkedId } from '../plan-id';
import { inTransaction, type Transaction } from '../transaction';
import { note } from './audit';
import { type Device, devicesOf } from './devices';
import { type GuestLink, guestLinksOf } from './guest-links';
import { noSuchPerson } from './join';
import { permittedSite, sitesOf, type Who } from './may';

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

export interface SiteOf {
  readonly id: string;
  readonly name: string;
  /** Who is on it, for those who may change that. */
  readonly members?: readonly Member[];
  readonly links?: readonly GuestLink[];
  readonly devices?: readonly Device[];
}

/** Sites that Settings shows at once. */
export const LISTED = 10;

/**
 * The sites on which somebody is, by name, and whether there are more of them.
 * @param only one of them
 */
export async function readSites(who: Who, only?: string): Promise<{ sites: SiteOf[]; more: boolean }> {
  const [own, led] = [sitesOf(who, 'read'), sitesOf(who, 'people')];
  const rows = await database()
    .select({ id: sites.id, name: sites.name })
    .from(sites)
    .where(and(own && inArray(sites.id, own), only === undefined ? undefined : eq(sites.id, only)))
    .orderBy(asc(sites.name))
    .limit(LISTED + 1);
  const told = rows.slice(0, LISTED).map(async ({ id, name }): Promise<SiteOf> => {
    if (led && !led.includes(id)) return { id, name };
    const [members, links, devices] = await Promise.all([membersOf(id), guestLinksOf(id), devicesOf(id)]);
    return { id, name, members, links, devices };
  });
  return { sites: await Promise.all(told), more: rows.length > LISTED };
}

/** Who is on a site that may be read. */
export const membersOf = (siteId: string): Promise<Member[]> =>
  database()
    .select({ id: people.id, name: people.name, email: people.email, role: members.role })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .where(eq(members.siteId, siteId))
    .orderBy(asc(people.name));

const roleSchema = z.strictObject({ role: z.enum(ROLES) });

/** Gives somebody of a site another role. The last owner stays one. */
export async function changeRole(who: Who, siteId: string, personId: string, input: unknown): Promise<{ role: Role }> {
  const { role } = checked(roleSchema, input);
  await ofSite(who, siteId, personId, async (tx, own, before) => {
    await tx.update(members).set({ role }).where(own);
    return before === role ? [] : [`Role: ${before} → ${role}.`];
  });
  return { role };
}

/** Takes somebody off a site: from their next request on they see nothing of it. Their name stays in the log. */
export async function removeMember(who: Who, siteId: string, personId: string): Promise<{ id: string }> {
  await ofSite(who, siteId, personId, async (tx, own, before) => {
    await tx.delete(members).where(own);
    return [`Removed, was ${before}.`];
  });
  return { id: personId };
}

async function ofSite(
  who: Who,
  siteId: string,
  personId: string,
  change: (tx: Transaction, own: ReturnType<typeof and>, before: Role) => Promise<string[]>,
): Promise<void> {
  const site = await permittedSite(who, 'people', siteId);
  const own = and(eq(members.siteId, site), eq(members.personId, checkedId('personId', personId)));
  await inTransaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const [there] = await tx
      .select({ role: members.role, name: people.name })
      .from(members)
      .innerJoin(people, eq(people.id, members.personId))
      .where(own);
    if (!there) throw noSuchPerson();
    const says = await change(tx, own, there.role);
    const [owners] = await tx
      .select({ n: count() })
      .from(members)
      .where(and(eq(members.siteId, site), eq(members.role, 'owner')));
    if ((owners?.n ?? 0) === 0)
      throw new RequestRefused(409, 'conflict', 'A site needs an owner. Make somebody else one first.', [
        { field: 'role', message: 'The only owner.' },
      ]);
    await note(tx, who, { siteId: site, about: there.name, says });
  });
}
