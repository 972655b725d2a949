import { eq } from 'drizzle-orm';
import type { Pool } from 'mysql2/promise';
import { database } from '../../db/client';
import { devicePeople, devices, FIRST_SITE_ID, members, people, type Role } from '../../db/people';
import { closeDatabase, freshDatabase } from '../test/database';
import {
  changePerson,
  IDLE_MS,
  leaveDevice,
  newDevice,
  peopleOfDevice,
  personAtDevice,
  removeDevice,
  removePin,
  setPin,
  WRITER_MS,
} from './devices';
import { codeFor, join } from './join';
import { ALONE, type Person } from './may';

let pool: Pool;
beforeAll(async () => {
  process.env.COOL_DRAM_SHARE = '1';
  process.env.COOL_DRAM_SECRET = 'only of this test, and long enough for it';
  pool = await freshDatabase('devices');
});
afterAll(async () => {
  delete process.env.COOL_DRAM_SHARE;
  await closeDatabase(pool);
});

const PIN = '4711';
let n = 0;
async function member(role: Role, name = role as string): Promise<Person> {
  const email = `device${++n}@example.com`;
  await join({ code: await codeFor(FIRST_SITE_ID, role), name, email, password: 'tank drain filter' });
  const [row] = await database().select().from(people).where(eq(people.email, email));
  const person: Person = { id: row?.id ?? '', name, email, roles: new Map([[FIRST_SITE_ID, role]]) };
  await setPin(person, { pin: PIN });
  return person;
}
async function device(): Promise<{ id: string; headers: Headers }> {
  const { body, cookies } = await newDevice(ALONE, FIRST_SITE_ID, { name: 'Pump room' });
  return { ...(body as { id: string }), headers: new Headers({ cookie: cookies[0]?.split(';')[0] ?? '' }) };
}
const enter = (at: Headers, who: Person, pin = PIN) => changePerson(at, { personId: who.id, pin });
const presentAt = async (at: Headers, writer: string | null = null) => (await personAtDevice(at, writer))?.name;

test('a device shows its site to anybody; who enters their PIN is at work on it, and at most as a technician', async () => {
  const { headers } = await device();
  const [owner, viewer] = [await member('owner', 'Ines'), await member('viewer', 'Vera')];
  expect(await personAtDevice(headers, null)).toMatchObject({
    name: 'Pump room',
    isNobody: true,
    roles: new Map([[FIRST_SITE_ID, 'viewer']]),
  });
  expect((await peopleOfDevice(headers)).map((p) => p.name)).toEqual(['Ines', 'Vera']);
  const roleAfter = async (who: Person) => {
    await enter(headers, who);
    return (await personAtDevice(headers, null))?.roles.get(FIRST_SITE_ID);
  };
  expect([await roleAfter(owner), await roleAfter(viewer)]).toEqual(['technician', 'viewer']);
  await leaveDevice(headers);
  expect(await presentAt(headers)).toBe('Pump room');
});

test('after a quarter of an hour without anybody the PIN is asked for again', async () => {
  const { id, headers } = await device();
  await enter(headers, await member('technician', 'Tomasz'));
  const away = (ms: number) =>
    database()
      .update(devices)
      .set({ seenAt: new Date(Date.now() - ms) })
      .where(eq(devices.id, id));
  await away(IDLE_MS - 5000);
  expect(await presentAt(headers)).toBe('Tomasz');
  await away(IDLE_MS + 1);
  expect(await presentAt(headers)).toBe('Pump room');
  expect(await presentAt(headers)).toBe('Pump room'); // and it stays so
});

test('what somebody wrote on the device before is theirs for a week, and of nobody who never was at work on it', async () => {
  const { id, headers } = await device();
  const [first, second, never] = [
    await member('technician', 'Ada'),
    await member('technician', 'Ben'),
    await member('owner'),
  ];
  await enter(headers, first);
  await enter(headers, second);
  expect(await presentAt(headers, first.id)).toBe('Ada');
  expect(await presentAt(headers, never.id)).toBe('Ben');
  const since = (ms: number) =>
    database()
      .update(devicePeople)
      .set({ at: new Date(Date.now() - ms) })
      .where(eq(devicePeople.deviceId, id));
  await since(WRITER_MS - 5000);
  expect(await presentAt(headers, first.id)).toBe('Ada');
  await since(WRITER_MS + 1);
  expect(await presentAt(headers, first.id)).toBe('Ben');
  await database().delete(members).where(eq(members.personId, second.id));
  expect(await presentAt(headers)).toBe('Pump room'); // who has left the site is nobody here
});

test('five wrong PINs make a pause, however many are tried at once, and on every device', async () => {
  const [one, other] = [await device(), await device()];
  const who = await member('technician');
  const tries = await Promise.allSettled(Array.from({ length: 12 }, () => enter(one.headers, who, '9173')));
  const statuses = tries.map((t) => (t.status === 'rejected' ? t.reason.status : 200)).toSorted();
  expect(statuses).toEqual([...Array(5).fill(422), ...Array(7).fill(429)]);
  await expect(enter(other.headers, who)).rejects.toMatchObject({ status: 429 });
});

test('a PIN has four to six digits that are not the first to be tried, and is set with one’s own sign-in alone', async () => {
  const who = await member('technician');
  const [digits, easy] = ['Four to six digits.', 'Everybody tries this one first. Choose another.'];
  const wrong = { '123': digits, '1234567': digits, '12a4': digits, '0000': easy, '3456': easy, '9876': easy };
  for (const [pin, message] of Object.entries(wrong))
    await expect(setPin(who, { pin })).rejects.toMatchObject({ status: 422, issues: [{ field: 'pin', message }] });
  for (const pin of ['1243', '471147']) await setPin(who, { pin });
  await expect(setPin({ ...who, via: 'device' }, { pin: '1243' })).rejects.toMatchObject({ status: 403 });
  const { headers } = await device();
  await removePin(who);
  await expect(enter(headers, who, '471147')).rejects.toMatchObject({ status: 404 });
});

test('a device that was removed is none from its next request on', async () => {
  const { id, headers } = await device();
  await removeDevice(ALONE, FIRST_SITE_ID, id);
  expect(await personAtDevice(headers, null)).toBeUndefined();
  await expect(peopleOfDevice(headers)).rejects.toMatchObject({ status: 401 });
});
