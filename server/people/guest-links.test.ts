import { eq } from 'drizzle-orm';
import type { Pool } from 'mysql2/promise';
import { DAY_MS } from '../../core/quantity/constants';
import { database } from '../../db/client';
import { FIRST_SITE_ID, guestLinks } from '../../db/people';
import { closeDatabase, freshDatabase } from '../test/database';
import { guestLinksOf, guestOf, newGuestLink, openGuestLink, revokeGuestLink } from './guest-links';
import { ALONE } from './may';

let pool: Pool;
beforeAll(async () => {
  process.env.COOL_DRAM_SHARE = '1';
  pool = await freshDatabase('guests');
});
afterAll(async () => {
  delete process.env.COOL_DRAM_SHARE;
  await closeDatabase(pool);
});

const link = () => newGuestLink(ALONE, FIRST_SITE_ID, { name: 'A customer', days: 30 });
const visit = async (cookie: string | undefined) =>
  guestOf(new Headers({ cookie: `other=1; ${cookie?.split(';')[0]}` }));

test('whoever opens the link is a viewer of its site alone, and the owner sees that it was opened', async () => {
  const { id, secret } = await link();
  const cookie = await openGuestLink(secret, '');
  expect(cookie).toContain('HttpOnly; SameSite=Lax; Max-Age=2592000');
  expect(await visit(cookie)).toMatchObject({ id, name: 'A customer', roles: new Map([[FIRST_SITE_ID, 'viewer']]) });
  const [shown] = await guestLinksOf(FIRST_SITE_ID);
  expect(shown?.openedAt?.slice(0, 10)).toBe(new Date().toISOString().slice(0, 10));
  expect(JSON.stringify([shown, await database().select().from(guestLinks)])).not.toContain(secret);
});

test('it works until its last moment, and until it is revoked, also for whoever opened it before', async () => {
  const { id, secret } = await link();
  const cookie = await openGuestLink(secret, '');
  const endsIn = (ms: number) =>
    database()
      .update(guestLinks)
      .set({ expiresAt: new Date(Date.now() + ms) })
      .where(eq(guestLinks.id, id));
  await endsIn(-1);
  expect([await visit(cookie), await openGuestLink(secret, '')]).toEqual([undefined, undefined]);
  await endsIn(DAY_MS);
  expect(await visit(cookie)).toBeDefined();
  await revokeGuestLink(ALONE, FIRST_SITE_ID, id);
  expect(await visit(cookie)).toBeUndefined();
});

test('links cannot be guessed: after ten wrong ones of a caller there is a pause, which a right one does not feel', async () => {
  const { secret } = await link();
  for (let i = 0; i < 10; i++) expect(await openGuestLink(`${i}`, 'caller')).toBeUndefined();
  await expect(openGuestLink('11', 'caller')).rejects.toMatchObject({ status: 429 });
  expect(await openGuestLink(secret, 'caller')).toBeDefined();
});
