import { eq } from 'drizzle-orm';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import { database } from '../../db/client';
import { members } from '../../db/people';
import { RequestRefused } from '../errors';
import { isShared } from './is-shared';
import { ALONE, type Who } from './may';

/** Whoever makes this request, or `undefined` where they have not signed in. Looked up anew for every request. */
export const whoIsThere = cache(async (): Promise<Who | undefined> => {
  if (!isShared()) return ALONE;
  const { auth } = await import('./auth'); // of no use to one person
  const session = await auth().api.getSession({ headers: await headers() });
  if (!session) return withoutSignIn(await headers());
  const { id, name, email } = session.user;
  const rows = await database().select().from(members).where(eq(members.personId, id)).orderBy(members.at);
  return { id, name, email, roles: new Map(rows.map((r) => [r.siteId, r.role])) };
});

/** Whoever comes without a sign-in of their own: to a shared device of a site, or with a link. */
async function withoutSignIn(headers: Headers): Promise<Who | undefined> {
  const [{ personAtDevice }, { guestOf }] = await Promise.all([import('./devices'), import('./guest-links')]);
  return (await personAtDevice(headers, headers.get('x-written-by'))) ?? (await guestOf(headers));
}

export interface OwnAccount {
  readonly id: string;
  readonly name: string;
  readonly via?: 'link' | 'device' | undefined;
  readonly isNobody?: boolean | undefined;
}

/** Who is signed in, where somebody is. */
export async function ownAccount(): Promise<OwnAccount | undefined> {
  const who = await whoIsThere().catch(() => undefined); // what the page itself reads says why
  return who === ALONE || !who ? undefined : { id: who.id, name: who.name, via: who.via, isNobody: who.isNobody };
}

/**
 * Whoever makes this request of an interface.
 * @throws RequestRefused 401 where they have not signed in, or another wrote what is sent (x-written-by: the outbox of a
 * device that several people use)
 */
export async function whoAsks(): Promise<Who> {
  const who = await whoIsThere();
  if (!who) throw new RequestRefused(401, 'signed-out', 'Sign in first.');
  if (who === ALONE) return who;
  const writer = (await headers()).get('x-written-by');
  if (writer && who.id !== writer)
    throw new RequestRefused(401, 'signed-out', 'Somebody else wrote this, and has to sign in to send it.');
  return who;
}

/** Whoever opens this page; who has not signed in is sent to do so. */
export async function whoReads(): Promise<Who> {
  const who = await whoIsThere();
  return who ?? redirect(`/sign-in?to=${encodeURIComponent((await headers()).get('x-path') ?? '/')}`);
}
