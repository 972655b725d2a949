import type { Pool } from 'mysql2/promise';
import { database } from '../../db/client';
import { FIRST_SITE_ID, people, verifications } from '../../db/people';
import { closeDatabase, freshDatabase } from '../test/database';
import type { Person } from './may';
import { beginPasskey, beginSignIn, keepPasskey, signInWithPasskey } from './passkeys';

// That a browser’s passkey signs in is shown in e2e/shared.spec.ts, with one of the browser itself.

const person: Person = {
  id: crypto.randomUUID(),
  name: 'Noor Diaz',
  email: 'noor@example.com',
  roles: new Map([[FIRST_SITE_ID, 'technician']]),
};
let pool: Pool;
beforeAll(async () => {
  process.env.COOL_DRAM_SHARE = '1';
  process.env.COOL_DRAM_SECRET = 'only of this test, and long enough for it';
  pool = await freshDatabase('passkeys');
  await database().insert(people).values({ id: person.id, name: person.name, email: person.email });
});
afterAll(async () => {
  delete process.env.COOL_DRAM_SHARE;
  await closeDatabase(pool);
});

const called = (host: string, cookie = '') => new Headers({ host, cookie, origin: `https://${host}` });
const unknown = { response: { id: 'bm90LWtub3du', type: 'public-key' } };

test('a passkey is for a name of this server, not for a number of the network', async () => {
  for (const host of ['192.168.1.20:3000', '[fe80::1]:3000', ''])
    await expect(beginPasskey(person, called(host))).rejects.toMatchObject({ status: 409 });
  const { body } = await beginPasskey(person, called('workshop.local:3000'));
  expect(body).toMatchObject({ rp: { id: 'workshop.local' }, user: { name: 'noor@example.com' } });
});

test('with a link or at a shared device nobody makes one', async () => {
  for (const via of ['link', 'device'] as const)
    await expect(beginPasskey({ ...person, via }, called('localhost'))).rejects.toMatchObject({ status: 403 });
});

test('what was to be signed counts once, in five minutes, and in the browser that asked', async () => {
  const begun = async () => (await beginSignIn(called('localhost'), '')).cookies[0]?.split(';')[0] ?? '';
  const use = (cookie: string) => signInWithPasskey(called('localhost', cookie), unknown);
  const cookie = await begun();
  await expect(use(cookie)).rejects.toMatchObject({ status: 422, message: expect.stringContaining('not known') });
  await expect(use(cookie)).rejects.toMatchObject({ status: 409 });
  await expect(use('')).rejects.toMatchObject({ status: 409 });
  const late = await begun();
  await database()
    .update(verifications)
    .set({ expiresAt: new Date(Date.now() - 1) });
  await expect(use(late)).rejects.toMatchObject({ status: 409 });
});

test('what is no answer of a browser keeps nothing', async () => {
  const { cookies } = await beginPasskey(person, called('localhost'));
  const headers = called('localhost', cookies[0]?.split(';')[0]);
  await expect(
    keepPasskey(person, headers, { response: { id: 'x', response: { attestationObject: 'AA' } } }),
  ).rejects.toMatchObject({
    status: 422,
  });
});
