import { isIP } from 'node:net';
import {
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  generateAuthenticationOptions,
  generateRegistrationOptions,
  type RegistrationResponseJSON,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server';
import { parseCookies } from 'better-auth/cookies';
import { and, desc, eq, lt } from 'drizzle-orm';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { z } from 'zod';
import { database } from '../../db/client';
import { passkeys, people, verifications } from '../../db/people';
import { checked, RequestRefused } from '../errors';
import { auth } from './auth';
import { onlyWhereShared } from './is-shared';
import { ownSignIn, type Who } from './may';
import { hashOf, newSecret } from './secret';
import type { SignedIn } from './sign-in';

const COOKIE = 'cool-dram.passkey';
const LASTS_S = 300;
const PASSKEYS_MOST = 20;
const TRIES_A_MINUTE = 20;
const tries = new RateLimiterMemory({ keyPrefix: 'passkey', points: TRIES_A_MINUTE, duration: 60 });

/** The name that this server was called by: a passkey belongs to it. Browsers make none for a bare number of the network. */
function hostOf(headers: Headers): { host: string; origin: string } {
  const called = headers.get('host') ?? '';
  const host = called.replace(/:\d+$/, '').toLowerCase();
  if (host === '' || host.startsWith('[') || isIP(host) !== 0)
    throw new RequestRefused(
      409,
      'conflict',
      'Browsers keep passkeys for a name, not for a number of the network. Open this server by its name.',
    );
  const own = headers.get('origin');
  return { host, origin: own ?? `https://${called}` };
}

/** Keeps what the browser has to sign, for a few minutes. @returns the cookie that tells which it was */
async function challenged(challenge: string): Promise<string> {
  const secret = newSecret();
  const now = Date.now();
  await database()
    .delete(verifications)
    .where(lt(verifications.expiresAt, new Date(now)));
  await database()
    .insert(verifications)
    .values({
      id: crypto.randomUUID(),
      identifier: hashOf(secret),
      value: challenge,
      expiresAt: new Date(now + LASTS_S * 1000),
    });
  const secure = process.env.COOL_DRAM_TLS === '1' ? '; Secure' : '';
  return `${COOKIE}=${secret}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${LASTS_S}${secure}`;
}

/** What the browser had to sign: once, and while it lasts. */
async function challengeOf(headers: Headers): Promise<string> {
  const secret = parseCookies(headers.get('cookie') ?? '').get(COOKIE);
  const asked = eq(verifications.identifier, hashOf(secret ?? ''));
  const [row] = await database().select().from(verifications).where(asked);
  const [taken] = await database().delete(verifications).where(asked);
  if (!row || taken.affectedRows !== 1 || row.expiresAt.getTime() <= Date.now())
    throw new RequestRefused(409, 'conflict', 'That took too long. Try again.');
  return row.value;
}

function notRight(): RequestRefused {
  return new RequestRefused(422, 'invalid', 'This passkey is not known here. Sign in with your password.', [
    { field: 'response', message: 'Not known, or not right.' },
  ]);
}

/** Begins a new passkey for somebody who is signed in: what their browser needs for it. */
export async function beginPasskey(who: Who, headers: Headers): Promise<SignedIn> {
  const personId = ownSignIn(who);
  const { host } = hostOf(headers);
  const [person] = await database().select().from(people).where(eq(people.id, personId));
  const own = await database().select().from(passkeys).where(eq(passkeys.personId, personId));
  if (own.length >= PASSKEYS_MOST)
    throw new RequestRefused(409, 'conflict', `At most ${PASSKEYS_MOST} passkeys. Remove one first.`);
  const options = await generateRegistrationOptions({
    rpName: 'Cool Dram',
    rpID: host,
    userID: new TextEncoder().encode(personId),
    userName: person?.email ?? '',
    userDisplayName: person?.name ?? '',
    excludeCredentials: own.map((k) => ({ id: k.credentialId, transports: transportsOf(k) })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'preferred' },
  });
  return { body: options, cookies: [await challenged(options.challenge)] };
}

const transportsOf = (key: { transports: string[] }) => key.transports as AuthenticatorTransport[];
const responseSchema = z.strictObject({ response: z.looseObject({ id: z.string().min(1).max(1400) }) });

/** Keeps the passkey that the browser made. */
export async function keepPasskey(who: Who, headers: Headers, input: unknown): Promise<{ kept: true }> {
  const personId = ownSignIn(who);
  const { host, origin } = hostOf(headers);
  const { response } = checked(responseSchema, input);
  const expectedChallenge = await challengeOf(headers);
  const { registrationInfo: made } = await verifyRegistrationResponse({
    response: response as unknown as RegistrationResponseJSON,
    expectedChallenge,
    expectedOrigin: origin,
    expectedRPID: host,
    requireUserVerification: false,
  }).catch(() => ({ registrationInfo: undefined }));
  if (!made) throw notRight();
  const { id, publicKey, counter, transports } = made.credential;
  await database()
    .insert(passkeys)
    .values({
      hash: hashOf(id),
      credentialId: id,
      personId,
      publicKey: Buffer.from(publicKey).toString('base64url'),
      counter,
      transports: transports ?? [],
      host,
      userAgent: headers.get('user-agent')?.slice(0, 1000) ?? null,
    });
  return { kept: true };
}

/** Begins to sign somebody in with a passkey: what their browser needs for it. */
export async function beginSignIn(headers: Headers, caller: string): Promise<SignedIn> {
  onlyWhereShared();
  await tries.consume(caller).catch(() => {
    throw new RequestRefused(429, 'too-often', 'That is asked too often. Try again in a minute.');
  });
  const options = await generateAuthenticationOptions({ rpID: hostOf(headers).host, userVerification: 'preferred' });
  return { body: options, cookies: [await challenged(options.challenge)] };
}

/**
 * Signs somebody in with a passkey.
 * @throws RequestRefused 422 where it is not one of this server’s, or was not used as it should
 */
export async function signInWithPasskey(headers: Headers, input: unknown): Promise<SignedIn> {
  onlyWhereShared();
  const { host, origin } = hostOf(headers);
  const { response } = checked(responseSchema, input);
  const expectedChallenge = await challengeOf(headers);
  const [key] = await database()
    .select()
    .from(passkeys)
    .where(eq(passkeys.hash, hashOf(response.id)));
  if (!key) throw notRight();
  const { verified, authenticationInfo } = await verifyAuthenticationResponse({
    response: response as unknown as AuthenticationResponseJSON,
    expectedChallenge,
    expectedOrigin: origin,
    expectedRPID: host,
    credential: {
      id: key.credentialId,
      publicKey: new Uint8Array(Buffer.from(key.publicKey, 'base64url')),
      counter: key.counter,
      transports: transportsOf(key),
    },
    requireUserVerification: false,
  }).catch(() => ({ verified: false, authenticationInfo: undefined }));
  if (!verified || !authenticationInfo) throw notRight();
  await database()
    .update(passkeys)
    .set({ counter: authenticationInfo.newCounter, usedAt: new Date() })
    .where(eq(passkeys.hash, key.hash));
  const answer = await auth().api.signInAs({ body: { userId: key.personId }, headers, asResponse: true });
  if (!answer.ok) throw new Error(`Signing in failed: ${await answer.text()}`);
  return { body: {}, cookies: answer.headers.getSetCookie() };
}

export interface Passkey {
  readonly id: string;
  readonly userAgent: string | null;
  readonly host: string;
  readonly at: string;
  readonly usedAt: string | null;
}

/** Somebody’s passkeys, the newest first. */
export async function passkeysOf(personId: string): Promise<Passkey[]> {
  const rows = await database()
    .select()
    .from(passkeys)
    .where(eq(passkeys.personId, personId))
    .orderBy(desc(passkeys.at));
  return rows.map((k) => ({
    id: k.hash,
    userAgent: k.userAgent,
    host: k.host,
    at: k.at.toISOString(),
    usedAt: k.usedAt?.toISOString() ?? null,
  }));
}

/** Removes one of one’s own passkeys: it signs nobody in any more. */
export async function removePasskey(who: Who, id: string): Promise<{ id: string }> {
  const own = and(eq(passkeys.personId, ownSignIn(who)), eq(passkeys.hash, id));
  const [done] = await database().delete(passkeys).where(own);
  if (done.affectedRows === 0)
    throw new RequestRefused(404, 'not-found', 'There is no such passkey.', [{ field: 'id', message: 'Unknown.' }]);
  return { id };
}
