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
import { createPlan, savePlan } from '../save-plan';
import { closeDatabase, freshDatabase } from '../test/database';
import { staleLines } from '../work/line-states';
import { listSites, readSite } from './list-sites';
import { archiveLine, KEPT_DAYS, removeLine, restoreLine, unarchiveLine } from './remove-line';
import { changeSite } from './save-site';
import { listTemplates, readTemplate, saveTemplate } from './templates';

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

test('an archived line is on the list of its site alone, can be read, has nothing due, and comes back', async () => {
  await archiveLine(ALONE, other);
  const { listed, onSite } = await seen();
  expect([listed, onSite]).toEqual([[], []]);
  expect((await readSite(ALONE, FIRST_SITE_ID)).archived.map((l) => l.id)).toEqual([other]);
  expect((await readPlan(ALONE, other)).id).toBe(other);
  expect(await staleLines(undefined)).toBe(0);
  await unarchiveLine(ALONE, other);
  expect((await seen()).listed).toEqual([other]);
  await removeLine(ALONE, other);
  await expect(archiveLine(ALONE, other)).rejects.toMatchObject({ status: 404 });
  await restoreLine(ALONE, other);
});

test('a template is the plan of its line as it was, with a routine that is not begun', async () => {
  const { plan, rowVersion } = await readPlan(ALONE, other);
  const begun = { ...plan, routine: { ...plan.routine, startedOn: '2026-11-01' } };
  await savePlan(ALONE, other, { writeId: crypto.randomUUID(), rowVersion, plan: begun });
  const template = { id: crypto.randomUUID(), name: 'Small shop', planId: other };
  await saveTemplate(ALONE, FIRST_SITE_ID, template);
  await saveTemplate(ALONE, FIRST_SITE_ID, template);
  expect(await listTemplates(ALONE)).toHaveLength(1);
  const read = await readTemplate(ALONE, FIRST_SITE_ID, template.id);
  expect(read).toEqual({ name: 'Small shop', plan: { ...begun, routine: { ...begun.routine, startedOn: null } } });
});

test('the climate of a site is that of one of its lines, until it is taken back', async () => {
  const { plan } = await readPlan(ALONE, other);
  const climateAfter = async (climateOf: string | null) => {
    await changeSite(ALONE, FIRST_SITE_ID, { climateOf });
    return (await readSite(ALONE, FIRST_SITE_ID)).climate;
  };
  expect(await climateAfter(other)).toEqual(plan.survey.climate);
  expect(await climateAfter(null)).toBeNull();
  await expect(climateAfter(crypto.randomUUID())).rejects.toMatchObject({ status: 404 });
});
