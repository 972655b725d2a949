import { and, eq, isNull } from 'drizzle-orm';
import { database } from '../../db/client';
import { FIRST_SITE_ID, type Role, sites } from '../../db/people';
import { plans } from '../../db/schema';
import { RequestRefused } from '../errors';
import { checkedId, noSuchPlan } from '../plan-id';
import { onlyWhereShared } from './is-shared';

/** Who asks: somebody who is signed in, or whoever sits at this machine while nothing is shared. */
export type Who = typeof ALONE | Person;
export const ALONE = 'alone';

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  /** What they are, by the id of the site. */
  readonly roles: ReadonlyMap<string, Role>;
  /** How they come where it is not with their own sign-in: with a link, or at a shared device. */
  readonly via?: 'link' | 'device';
  /** On a shared device: whether nobody said that they are at work on it. */
  readonly isNobody?: true;
}

/** What each role may do on its site. */
export const MAY = {
  read: ['owner', 'planner', 'technician', 'viewer'],
  /** Entries, photos, charges, private addresses of a calendar. */
  log: ['owner', 'planner', 'technician'],
  /** Changes of plans, for those below to decide. */
  propose: ['owner', 'planner', 'technician'],
  /** Plans, revisions, settings, weather. */
  plan: ['owner', 'planner'],
  /** The whole line or log as a file. */
  export: ['owner'],
  people: ['owner'],
} as const satisfies Record<string, readonly Role[]>;
export type Action = keyof typeof MAY;

const isAmong = (role: Role | undefined, action: Action): boolean =>
  role !== undefined && (MAY[action] as readonly Role[]).includes(role);

const REFUSED: Record<Action, string> = {
  read: 'read this',
  log: 'write into the log',
  propose: 'propose changes of plans',
  plan: 'change plans',
  export: 'take the line or its log out',
  people: 'change who may do what',
};

function mayNot(role: Role, action: Action): RequestRefused {
  return new RequestRefused(403, 'forbidden', `As ${role} of this site you may not ${REFUSED[action]}.`);
}

/**
 * Checks that somebody may do something with a line.
 * @returns the id of the line
 * @throws RequestRefused 404 where they are nobody on its site, as for a line that is not there; 403 where their role may not
 */
export async function permitted(who: Who, action: Action, planId: string): Promise<string> {
  const id = checkedId('id', planId);
  if (who === ALONE) return id;
  const [line] = await database()
    .select({ siteId: plans.siteId })
    .from(plans)
    .where(and(eq(plans.id, id), isNull(plans.removedAt)));
  const role = line && who.roles.get(line.siteId);
  if (!role) throw noSuchPlan();
  if (!isAmong(role, action)) throw mayNot(role, action);
  return id;
}

/** The same of a site. */
export const permittedSite = (who: Who, action: Action, siteId: string): Promise<string> =>
  siteFor(who, action, checkedId('siteId', siteId));

/** What somebody is to a line, where their role lets them do less than all of it. */
export async function limitedRole(who: Who, planId: string): Promise<Role | undefined> {
  if (who === ALONE) return undefined;
  const [line] = await database()
    .select({ siteId: plans.siteId })
    .from(plans)
    .where(eq(plans.id, await permitted(who, 'read', planId)));
  const role = line && who.roles.get(line.siteId);
  return isAmong(role, 'plan') ? undefined : role;
}

/** The sites on which somebody may do something, or `undefined` for all. */
export function sitesOf(who: Who, action: Action): string[] | undefined {
  if (who === ALONE) return undefined;
  return [...who.roles].filter(([, role]) => isAmong(role, action)).map(([site]) => site);
}

/**
 * The site that something new belongs to: the one asked for, or the first on which its maker may do so.
 * @throws RequestRefused 403 where they may so nowhere, 404 where they are nobody on the site asked for
 */
export async function siteFor(who: Who, action: Action, asked?: string): Promise<string> {
  if (who === ALONE) {
    const [site] = await database()
      .select({ id: sites.id })
      .from(sites)
      .where(eq(sites.id, asked ?? FIRST_SITE_ID));
    if (!site) throw noSuchSite();
    return site.id;
  }
  if (asked !== undefined && !who.roles.has(asked)) throw noSuchSite();
  const found = sitesOf(who, action)?.find((site) => asked === undefined || site === asked);
  if (found) return found;
  const [role] = asked === undefined ? who.roles.values() : [who.roles.get(asked)];
  throw role ? mayNot(role, action) : new RequestRefused(403, 'forbidden', 'You are on no site any more.');
}

export function noSuchSite(): RequestRefused {
  return new RequestRefused(404, 'not-found', 'There is no such site.', [{ field: 'siteId', message: 'Unknown.' }]);
}

/** The name under which they write, where they are signed in: it takes the place of one that was typed. */
export function signed<T extends { who: string }>(who: Who, entry: T): T {
  return who === ALONE ? entry : { ...entry, who: who.name };
}

export const personIdOf = (who: Who): string | null => (who === ALONE ? null : who.id);

/**
 * The id of somebody who is signed in with their own account.
 * @throws RequestRefused 403 for whoever comes with a link or is at a shared device
 */
export function ownSignIn(who: Who): string {
  onlyWhereShared();
  if (who === ALONE || who.via !== undefined)
    throw new RequestRefused(403, 'forbidden', 'Sign in with your own account to do this.');
  return who.id;
}
