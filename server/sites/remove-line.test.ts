import type { Pool } from 'mysql2/promise';
import { DAY_MS } from '../../core/quantity/constants';
import { goodShop } from '../../core/test/good-lines';
import { database } from '../../db/client';
import { FIRST_SITE_ID } from '../../db/people';
import { plans } from '../../db/schema';
import { newFeed, readFeed } from '../feeds';
import { ALONE } from '../people/may';
import { prepareDatabase } from '../prepare-database';
import { listPlans, readPlan } from '../read-plan';
import { createPlan } from '../save-plan';
import { closeDatabase, freshDatabase } from '../test/database';
import { listSites, readSite } from './list-sites';
import { KEPT_DAYS, removeLine, restoreLine } from './remove-line';

const [id, other] = [crypto.randomUUID(), crypto.randomUUID()];
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('remove');
  for (const own of [id, other]) await createPlan(ALONE, { id: own, plan: goodShop() });
});
afterAll(() => closeDatabase(pool));
const seen = async () => {
  const [list, [site], page] = await Promise.all([
    listPlans(ALONE),
    listSites(ALONE).then((l) => l.sites),
    readSite(ALONE, FIRST_SITE_ID),
  ]);
  return {
    listed: list.lines.map((l) => l.id),
    of: list.of,
    lines: site?.lines,
    onSite: page.lines.map((l) => l.id),
    removed: page.removed.map((l) => l.id),
  };
};

test('a removed line is on no list, its pages and calendar are gone, and it comes back as it was', async () => {
  const { token } = await newFeed(ALONE, id);
  const before = await readPlan(ALONE, id);
  await removeLine(ALONE, id);
  await removeLine(ALONE, id);
  expect(await seen()).toEqual({ listed: [other], of: 1, lines: 1, onSite: [other], removed: [id] });
  await expect(readPlan(ALONE, id)).rejects.toMatchObject({ status: 404 });
  await expect(readFeed(token)).rejects.toMatchObject({ status: 404 });
  await restoreLine(ALONE, id);
  expect(await readPlan(ALONE, id)).toEqual(before);
  expect(await readFeed(token)).toContain('BEGIN:VCALENDAR');
  expect((await seen()).removed).toEqual([]);
});

test('it is deleted for good at the first start after thirty days, and not before', async () => {
  await removeLine(ALONE, id);
  const now = Date.now();
  const startOn = (day: number) => prepareDatabase(pool, 'db/migrations', 'empty', now + day * DAY_MS);
  await startOn(KEPT_DAYS - 0.01);
  expect((await seen()).removed).toEqual([id]);
  await startOn(KEPT_DAYS + 0.01);
  expect((await seen()).removed).toEqual([]);
  await expect(restoreLine(ALONE, id)).rejects.toMatchObject({ status: 404 });
  expect(await database().$count(plans)).toBe(1);
});
