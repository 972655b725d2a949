import { and, desc, eq, gt, ne } from 'drizzle-orm';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { z } from 'zod';
import { database } from '../../db/client';
import { signIns } from '../../db/people';
import { checked, RequestRefused } from '../errors';
import { checkedId } from '../plan-id';
import { auth } from './auth';
import { NO_GUEST } from './guest-links';
import { onlyWhereShared } from './is-shared';

const credentialsSchema = z.strictObject({
  email: z.email('Type your e-mail address.').max(254).toLowerCase(),
  password: z.string().min(1, 'Type your password.').max(200),
});

/** Wrong passwords of one account or from one address: after so many, a pause. A person mistypes a few times, a program never stops. */
const WRONG_MOST = 8;
const PAUSE_S = 300;
const wrong = new RateLimiterMemory({ keyPrefix: 'sign-in', points: WRONG_MOST, duration: PAUSE_S });

/** A body with the cookies that somebody is signed in by. */
export interface SignedIn {
  readonly body: unknown;
  readonly cookies: readonly string[];
}

/**
 * Signs somebody in by e-mail address and password.
 * @param caller where they call from, to count wrong passwords by
 * @throws RequestRefused 422 where address and password do not belong together, 429 after too many wrong ones
 */
export async function signIn(input: unknown, headers: Headers, caller: string): Promise<SignedIn> {
  onlyWhereShared();
  const { email, password } = checked(credentialsSchema, input);
  const keys = [`of ${email}`, ...(caller === '' ? [] : [`from ${caller}`])];
  const states = await Promise.all(keys.map((key) => wrong.get(key)));
  if (states.some((s) => s !== null && s.consumedPoints >= WRONG_MOST))
    throw new RequestRefused(429, 'too-often', 'Too many wrong passwords. Try again in five minutes.');
  const answer = await auth().api.signInEmail({ body: { email, password }, headers, asResponse: true });
  if (answer.ok) {
    await wrong.delete(keys[0] as string);
    return { body: { email }, cookies: answer.headers.getSetCookie() };
  }
  if (answer.status >= 500) throw new Error(`Signing in failed: ${await answer.text()}`);
  await Promise.all(keys.map((key) => wrong.consume(key).catch(() => undefined)));
  const message = 'Address and password do not belong together.';
  throw new RequestRefused(422, 'invalid', message, [{ field: 'password', message }]);
}

/** Ends the sign-in of this browser, or the visit of a guest. */
export async function signOut(headers: Headers): Promise<SignedIn> {
  onlyWhereShared();
  const answer = await auth().api.signOut({ headers, asResponse: true });
  return { body: {}, cookies: [...answer.headers.getSetCookie(), NO_GUEST] };
}

export interface OwnSignIn {
  readonly id: string;
  readonly userAgent: string | null;
  readonly since: string;
  readonly lastUsed: string;
  /** Whether it is the one that asks. */
  readonly isThis: boolean;
}

async function own(headers: Headers): Promise<{ id: string; userId: string }> {
  onlyWhereShared();
  const session = await auth().api.getSession({ headers });
  if (!session) throw new RequestRefused(401, 'signed-out', 'Sign in first.');
  return session.session;
}

/** Where somebody is signed in, the last used first. */
export async function readSignIns(headers: Headers): Promise<OwnSignIn[]> {
  const { id, userId } = await own(headers);
  const rows = await database()
    .select()
    .from(signIns)
    .where(and(eq(signIns.userId, userId), gt(signIns.expiresAt, new Date())))
    .orderBy(desc(signIns.updatedAt));
  return rows.map((r) => ({
    id: r.id,
    userAgent: r.userAgent,
    since: r.createdAt.toISOString(),
    lastUsed: r.updatedAt.toISOString(),
    isThis: r.id === id,
  }));
}

/** Ends one of somebody's own sign-ins, or all but the one that asks. */
export async function endSignIns(headers: Headers, which: string | 'others'): Promise<{ ended: number }> {
  const { id, userId } = await own(headers);
  const these = which === 'others' ? ne(signIns.id, id) : eq(signIns.id, checkedId('id', which));
  const [done] = await database()
    .delete(signIns)
    .where(and(eq(signIns.userId, userId), these));
  return { ended: done.affectedRows };
}
