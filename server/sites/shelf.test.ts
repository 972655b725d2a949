import type { Pool } from 'mysql2/promise';
import { goodShop } from '../../core/test/good-lines';
import { database } from '../../db/client';
import { FIRST_SITE_ID, type Role, sites } from '../../db/people';
import { ALONE } from '../people/may';
import { createPlan } from '../save-plan';
import { closeDatabase, freshDatabase } from '../test/database';
import { changeOnShelf, listShelf, putOnShelf, shelfForLine, takeOffShelf } from './shelf';

const OTHER = '5c7e1b0a-0000-4000-8000-0000000000aa';
const uuid = (): string => crypto.randomUUID();
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('shelf');
  await database().insert(sites).values({ id: OTHER, name: 'Other site' });
});
afterAll(() => closeDatabase(pool));

test('what is sent twice is there once; a change of it takes its place', async () => {
  const id = uuid();
  for (const count of [2, 2, 5]) await putOnShelf(ALONE, FIRST_SITE_ID, id, { name: 'Float drain', count });
  const own = (await listShelf(ALONE)).filter((i) => i.id === id);
  expect(own).toEqual([expect.objectContaining({ name: 'Float drain', count: 5, siteId: FIRST_SITE_ID })]);
  await takeOffShelf(ALONE, FIRST_SITE_ID, id);
  expect((await listShelf(ALONE)).some((i) => i.id === id)).toBe(false);
  await expect(takeOffShelf(ALONE, FIRST_SITE_ID, id)).rejects.toMatchObject({ status: 404 });
});

test('an id of another site and what is no item are refused at their field, and nothing is written', async () => {
  const id = uuid();
  await putOnShelf(ALONE, OTHER, id, { name: 'Union', count: 1 });
  await expect(putOnShelf(ALONE, FIRST_SITE_ID, id, { name: 'Mine', count: 1 })).rejects.toMatchObject({ status: 409 });
  for (const [input, field] of [
    [{ name: '', count: 1 }, 'name'],
    [{ name: 'X', count: 0 }, 'count'],
    [{ name: 'X', count: 1, boughtOn: '2026-02-30' }, 'boughtOn'],
    [{ name: 'X', count: 1, colour: 'red' }, 'colour'],
  ] as const)
    await expect(putOnShelf(ALONE, FIRST_SITE_ID, uuid(), input)).rejects.toMatchObject({
      status: 422,
      issues: [expect.objectContaining({ field: expect.stringContaining(field) })],
    });
  expect((await listShelf(ALONE)).map((i) => i.name)).toEqual(['Union']);
});

test('what two take at once is taken once each; the last one takes the item away, and no more than there are', async () => {
  const id = uuid();
  await putOnShelf(ALONE, FIRST_SITE_ID, id, { name: 'Valve', count: 5, place: 'Drawer 2' });
  await Promise.all([-2, -1, 1].map((by) => changeOnShelf(ALONE, FIRST_SITE_ID, id, { by })));
  expect((await listShelf(ALONE)).find((i) => i.id === id)).toMatchObject({ count: 3, place: 'Drawer 2' });
  await expect(changeOnShelf(ALONE, FIRST_SITE_ID, id, { by: -4 })).rejects.toMatchObject({ status: 409 });
  await expect(changeOnShelf(ALONE, OTHER, id, { by: -1 })).rejects.toMatchObject({ status: 404 });
  expect(await changeOnShelf(ALONE, FIRST_SITE_ID, id, { by: -3 })).toEqual({ id, count: 0 });
  await expect(changeOnShelf(ALONE, FIRST_SITE_ID, id, { by: 1 })).rejects.toMatchObject({ status: 404 });
});

test('who may not change a line takes nothing into it: the shelves are shown, no site is offered', async () => {
  const planId = uuid();
  await createPlan(ALONE, { id: planId, plan: goodShop(), siteId: OTHER });
  const as = (role: Role) => ({ id: uuid(), name: 'x', email: 'x', roles: new Map([[OTHER, role]]) });
  const offered = async (role: Role) => (await shelfForLine(as(role), planId)).sites.map((s) => s.id);
  expect([await offered('planner'), await offered('technician'), await offered('viewer')]).toEqual([[OTHER], [], []]);
  expect((await shelfForLine(ALONE, planId)).sites[0]?.id).toBe(OTHER); // that of the line first
});
