import { parseCookies } from 'better-auth/cookies';
import { and, asc, eq, gt } from 'drizzle-orm';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { z } from 'zod';
import { DAY_MS } from '../../core/quantity/constants';
import { database } from '../../db/client';
import { devicePeople, devices, members, people, pins } from '../../db/people';
import { checked, RequestRefused } from '../errors';
import { checkedId, idSchema } from '../plan-id';
import { note } from './audit';
import { auth } from './auth';
import { onlyWhereShared } from './is-shared';
import { noSuchPerson } from './join';
import { ownSignIn, type Person, permittedSite, type Who } from './may';
import { hashOf, newSecret } from './secret';
import type { SignedIn } from './sign-in';

// A phone or terminal that several people of a site use, one after another: the device stays signed in, and who is at work on
// it says so with a PIN. Four digits are few, so a PIN never gives more than a technician may.

const COOKIE = 'cool-dram.device';
const DEVICE_DAYS = 400; // as long as browsers keep a cookie
const DEVICES_MOST = 50;
/** Whoever left the device for so long has to enter the PIN again. */
export const IDLE_MS = 15 * 60_000;
const SEEN_EACH_MS = 30_000;
/** What somebody wrote on the device without a network is taken for theirs for so long. */
export const WRITER_MS = 7 * DAY_MS;
const WRONG_MOST = 5;
const PAUSE_S = 300;
const wrong = new RateLimiterMemory({ keyPrefix: 'pin', points: WRONG_MOST, duration: PAUSE_S });

const PIN = /^\d{4,6}$/;
/** Those that everybody tries first. */
const isEasy = (pin: string): boolean =>
  /^(\d)\1+$/.test(pin) || '01234567890'.includes(pin) || '09876543210'.includes(pin);
const pinSchema = z.strictObject({
  pin: z
    .string()
    .regex(PIN, { error: 'Four to six digits.', abort: true })
    .refine((pin) => !isEasy(pin), 'Everybody tries this one first. Choose another.'),
});

/** Sets one’s own PIN, where one is signed in with one’s own account. */
export async function setPin(who: Who, input: unknown): Promise<{ set: true }> {
  const own = ownSignIn(who);
  const { pin } = checked(pinSchema, input);
  const hash = await (await auth().$context).password.hash(pin);
  await database()
    .insert(pins)
    .values({ personId: own, hash })
    .onDuplicateKeyUpdate({ set: { hash, at: new Date() } });
  return { set: true };
}

/** Takes one’s own PIN back. */
export async function removePin(who: Who): Promise<{ set: false }> {
  await database()
    .delete(pins)
    .where(eq(pins.personId, ownSignIn(who)));
  return { set: false };
}

export const hasPin = async (personId: string): Promise<boolean> =>
  (await database().$count(pins, eq(pins.personId, personId))) > 0;

const deviceSchema = z.strictObject({
  name: z.string().trim().min(1, 'Name the device, for example by its place.').max(60, 'At most 60 characters.'),
});

/** Makes the browser that asks a shared device of a site: with the cookie that comes back. */
export async function newDevice(who: Who, siteId: string, input: unknown): Promise<SignedIn> {
  onlyWhereShared();
  const site = await permittedSite(who, 'people', siteId);
  const { name } = checked(deviceSchema, input);
  if ((await database().$count(devices, eq(devices.siteId, site))) >= DEVICES_MOST)
    throw new RequestRefused(409, 'conflict', `A site has at most ${DEVICES_MOST} shared devices. Remove some first.`);
  const [id, secret] = [crypto.randomUUID(), newSecret()];
  await database()
    .insert(devices)
    .values({ id, hash: hashOf(secret), siteId: site, name });
  await note(database(), who, { siteId: site, about: name, says: ['New shared device.'] });
  const secure = process.env.COOL_DRAM_TLS === '1' ? '; Secure' : '';
  const cookie = `${COOKIE}=${secret}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${DEVICE_DAYS * 86_400}${secure}`;
  return { body: { id }, cookies: [cookie] };
}

export interface Device {
  readonly id: string;
  readonly name: string;
  readonly seenAt: string | null;
}

/** The shared devices of a site, for its owners. */
export async function devicesOf(siteId: string): Promise<Device[]> {
  const { id, name, seenAt } = devices;
  const rows = await database().select({ id, name, seenAt }).from(devices).where(eq(devices.siteId, siteId));
  return rows
    .map((r) => ({ ...r, seenAt: r.seenAt?.toISOString() ?? null }))
    .toSorted((a, b) => a.name.localeCompare(b.name));
}

/** Ends a shared device: nobody is at work on it from its next request on. */
export async function removeDevice(who: Who, siteId: string, deviceId: string): Promise<{ id: string }> {
  const site = await permittedSite(who, 'people', siteId);
  const own = and(eq(devices.siteId, site), eq(devices.id, checkedId('deviceId', deviceId)));
  const [device] = await database().select().from(devices).where(own);
  if (!device)
    throw new RequestRefused(404, 'not-found', 'There is no such device.', [
      { field: 'deviceId', message: 'Unknown.' },
    ]);
  await database().delete(devices).where(own);
  await note(database(), who, { siteId: site, about: device.name, says: ['Shared device removed.'] });
  return { id: device.id };
}

async function deviceThere(headers: Headers) {
  const secret = parseCookies(headers.get('cookie') ?? '').get(COOKIE);
  if (!secret) return undefined;
  const [device] = await database()
    .select()
    .from(devices)
    .where(eq(devices.hash, hashOf(secret)));
  return device;
}

async function ownDevice(headers: Headers) {
  const device = await deviceThere(headers);
  if (!device) throw new RequestRefused(401, 'signed-out', 'This is no shared device any more. Sign in first.');
  return device;
}

/** Who of the site can say with a PIN that they are at work on the device that asks. */
export async function peopleOfDevice(headers: Headers): Promise<{ id: string; name: string }[]> {
  const device = await ownDevice(headers);
  return database()
    .select({ id: people.id, name: people.name })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .innerJoin(pins, eq(pins.personId, people.id))
    .where(eq(members.siteId, device.siteId))
    .orderBy(asc(people.name));
}

const personSchema = z.strictObject({
  personId: idSchema,
  pin: z.string().regex(PIN, 'Four to six digits.'),
});

/**
 * Says with a PIN who is at work on the device that asks.
 * @throws RequestRefused 422 where the PIN is wrong, 429 after too many wrong ones
 */
export async function changePerson(headers: Headers, input: unknown): Promise<{ id: string; name: string }> {
  const device = await ownDevice(headers);
  const { personId, pin } = checked(personSchema, input);
  const [found] = await database()
    .select({ id: people.id, name: people.name, hash: pins.hash })
    .from(members)
    .innerJoin(people, eq(people.id, members.personId))
    .innerJoin(pins, eq(pins.personId, people.id))
    .where(and(eq(members.siteId, device.siteId), eq(people.id, personId)));
  if (!found) throw noSuchPerson();
  // Counted before it is checked, so that many at once are not more tries.
  await wrong.consume(personId).catch(() => {
    throw new RequestRefused(429, 'too-often', 'Too many wrong PINs. Try again in five minutes.');
  });
  if (!(await (await auth().$context).password.verify({ hash: found.hash, password: pin }))) {
    const message = 'This PIN is not right.';
    throw new RequestRefused(422, 'invalid', message, [{ field: 'pin', message }]);
  }
  await wrong.delete(personId);
  const now = new Date();
  await database().update(devices).set({ personId, seenAt: now }).where(eq(devices.id, device.id));
  await database()
    .insert(devicePeople)
    .values({ deviceId: device.id, personId, at: now })
    .onDuplicateKeyUpdate({ set: { at: now } });
  return { id: found.id, name: found.name };
}

/** Nobody is at work on the device any more. */
export async function leaveDevice(headers: Headers): Promise<{ id: string }> {
  const { id } = await ownDevice(headers);
  await database().update(devices).set({ personId: null }).where(eq(devices.id, id));
  return { id };
}

/**
 * Whoever is at work on the shared device that asks: one of the site, or nobody, who only reads.
 * @param writer who wrote what the device sends now, where that is said: they may have been at work on it before
 */
export async function personAtDevice(headers: Headers, writer: string | null): Promise<Person | undefined> {
  const device = await deviceThere(headers);
  if (!device) return undefined;
  const now = Date.now();
  const isIdle = now - (device.seenAt?.getTime() ?? 0) > IDLE_MS;
  if (now - (device.seenAt?.getTime() ?? 0) > SEEN_EACH_MS)
    await database()
      .update(devices)
      .set({ seenAt: new Date(now), ...(isIdle && { personId: null }) })
      .where(eq(devices.id, device.id));
  const present = isIdle ? null : device.personId;
  const asked = writer && writer !== present && (await wroteHere(device.id, writer, now)) ? writer : present;
  const [member] = asked
    ? await database()
        .select({ id: people.id, name: people.name, email: people.email, role: members.role })
        .from(members)
        .innerJoin(people, eq(people.id, members.personId))
        .where(and(eq(members.siteId, device.siteId), eq(members.personId, asked)))
    : [];
  if (!member)
    return {
      id: device.id,
      name: device.name,
      email: '',
      roles: new Map([[device.siteId, 'viewer']]),
      via: 'device',
      isNobody: true,
    };
  const { role, ...person } = member;
  return { ...person, roles: new Map([[device.siteId, role === 'viewer' ? role : 'technician']]), via: 'device' };
}

const wroteHere = async (deviceId: string, personId: string, nowMs: number): Promise<boolean> =>
  (await database().$count(
    devicePeople,
    and(
      eq(devicePeople.deviceId, deviceId),
      eq(devicePeople.personId, personId),
      gt(devicePeople.at, new Date(nowMs - WRITER_MS)),
    ),
  )) > 0;
