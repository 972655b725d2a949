import { parseCookies } from 'better-auth/cookies';
import { and, asc, eq, gt, isNull, lt, lte, or } from 'drizzle-orm';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { z } from 'zod';
import { DAY_MS } from '../../core/quantity/constants';
import { database } from '../../db/client';
import { guestLinks } from '../../db/people';
import { checked, RequestRefused } from '../errors';
import { checkedId } from '../plan-id';
import { note } from './audit';
import { onlyWhereShared } from './is-shared';
import { type Person, permittedSite, type Who } from './may';
import { hashOf, newSecret } from './secret';

const COOKIE = 'cool-dram.guest';
const DAYS_MOST = 366;
const LINKS_MOST = 50;
const TRIES_A_MINUTE = 10;
const tries = new RateLimiterMemory({ keyPrefix: 'guest', points: TRIES_A_MINUTE, duration: 60 });

const newSchema = z.strictObject({
  name: z.string().trim().min(1, 'Whom is it for?').max(60, 'At most 60 characters.'),
  days: z.int().min(1).max(DAYS_MOST, `At most ${DAYS_MOST} days.`),
});

/** A link with which somebody reads a site without an account, until it expires or an owner revokes it. Its secret is told this once. */
export async function newGuestLink(who: Who, siteId: string, input: unknown): Promise<{ id: string; secret: string }> {
  onlyWhereShared();
  const site = await permittedSite(who, 'people', siteId);
  const { name, days } = checked(newSchema, input);
  await database().delete(guestLinks).where(lte(guestLinks.expiresAt, new Date()));
  if ((await database().$count(guestLinks, eq(guestLinks.siteId, site))) >= LINKS_MOST)
    throw new RequestRefused(409, 'conflict', `A site has at most ${LINKS_MOST} links. Revoke some first.`);
  const [id, secret] = [crypto.randomUUID(), newSecret()];
  const expiresAt = new Date(Date.now() + days * DAY_MS);
  await database()
    .insert(guestLinks)
    .values({ id, hash: hashOf(secret), siteId: site, name, expiresAt });
  await note(database(), who, { siteId: site, about: name, says: [`Link to read the site, for ${days} days.`] });
  return { id, secret };
}

export interface GuestLink {
  readonly id: string;
  readonly name: string;
  readonly expiresAt: string;
  readonly openedAt: string | null;
}

/** The links to a site that still work, for its owners. */
export async function guestLinksOf(siteId: string): Promise<GuestLink[]> {
  const { id, name, expiresAt, openedAt } = guestLinks;
  const rows = await database()
    .select({ id, name, expiresAt, openedAt })
    .from(guestLinks)
    .where(and(eq(guestLinks.siteId, siteId), gt(expiresAt, new Date())))
    .orderBy(asc(name));
  return rows.map((r) => ({
    ...r,
    expiresAt: r.expiresAt.toISOString(),
    openedAt: r.openedAt?.toISOString() ?? null,
  }));
}

/** Revokes a link: whoever came with it sees nothing from the next request on. */
export async function revokeGuestLink(who: Who, siteId: string, linkId: string): Promise<{ id: string }> {
  const site = await permittedSite(who, 'people', siteId);
  const own = and(eq(guestLinks.siteId, site), eq(guestLinks.id, checkedId('linkId', linkId)));
  const [link] = await database().select().from(guestLinks).where(own);
  if (!link)
    throw new RequestRefused(404, 'not-found', 'There is no such link.', [{ field: 'linkId', message: 'Unknown.' }]);
  await database().delete(guestLinks).where(own);
  await note(database(), who, { siteId: site, about: link.name, says: ['Link to read the site revoked.'] });
  return { id: link.id };
}

const works = (secret: string) => and(eq(guestLinks.hash, hashOf(secret)), gt(guestLinks.expiresAt, new Date()));

const cookieOf = (secret: string, seconds: number): string =>
  `${COOKIE}=${secret}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${seconds}${process.env.COOL_DRAM_TLS === '1' ? '; Secure' : ''}`;
/** Ends the visit of a guest. */
export const NO_GUEST = `${COOKIE}=; Path=/; Max-Age=0`;

/**
 * Opens a link.
 * @param caller where it is opened, to count wrong ones by
 * @returns the cookie to go on with, or nothing where the link does not work (any more)
 */
export async function openGuestLink(secret: string, caller: string): Promise<string | undefined> {
  onlyWhereShared();
  const [link] = await database().select().from(guestLinks).where(works(secret));
  if (link) return cookieOf(secret, Math.ceil((link.expiresAt.getTime() - Date.now()) / 1000));
  await tries.consume(caller).catch(() => {
    throw new RequestRefused(429, 'too-often', 'Too many links were tried. Try again in a minute.');
  });
  return undefined;
}

/** Whoever comes with an opened link: a viewer of its site. */
export async function guestOf(headers: Headers): Promise<Person | undefined> {
  const secret = parseCookies(headers.get('cookie') ?? '').get(COOKIE);
  if (!secret) return undefined;
  const [link] = await database().select().from(guestLinks).where(works(secret));
  if (!link) return undefined;
  const now = new Date();
  const today = new Date(now.getTime() - (now.getTime() % DAY_MS));
  await database()
    .update(guestLinks)
    .set({ openedAt: now })
    .where(and(eq(guestLinks.id, link.id), or(isNull(guestLinks.openedAt), lt(guestLinks.openedAt, today))));
  return { id: link.id, name: link.name, email: '', roles: new Map([[link.siteId, 'viewer']]), via: 'link' };
}
