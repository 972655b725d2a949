import type { Pool } from 'mysql2/promise';
import type { Plan } from '../core/plan/plan';
import { goodShop } from '../core/test/good-lines';
import { ALONE } from './people/may';
import { createPlan, savePlan } from './save-plan';
import { listWeather, nearestWeather, readWeather, removeWeather, saveWeather } from './save-weather';
import { closeDatabase, freshDatabase } from './test/database';
import { madeUpWeather as year } from './test/made-up-weather';

const uuid = (): string => crypto.randomUUID();
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('weather');
});
afterAll(() => closeDatabase(pool));
const refused = (work: Promise<unknown>) =>
  work.then(
    () => 'not refused',
    (e: unknown) => e,
  );

test('a year is kept once, with what was corrected, for every line; its hours come back as they were', async () => {
  const id = uuid();
  await saveWeather(ALONE, { id, year: year('Here') });
  await saveWeather(ALONE, { id, year: year('Here') });
  expect(await listWeather(ALONE)).toMatchObject([{ id, name: 'Here', notes: { filled: 1 } }]);
  expect(await readWeather(ALONE, id)).toEqual(year('Here'));
  expect(await refused(saveWeather(ALONE, { id, year: year('Here', 21) }))).toMatchObject({ status: 409 });
  expect(await readWeather(ALONE, id)).toEqual(year('Here'));
});

test('a year of an earlier program keeps what was corrected', async () => {
  const id = uuid();
  const { corrected: mended, ...notes } = year('Old').notes;
  await saveWeather(ALONE, {
    id,
    year: { ...year('Old'), notes: { ...notes, mended: mended + 3 } } as never,
  });
  expect((await readWeather(ALONE, id)).notes).toEqual({ ...notes, corrected: 3 });
});

test.each<[string, object, RegExp]>([
  ['hours that are missing', { hours: { temperatureC: [1, 2], relativeHumidity: [0.5, 0.5] } }, /8760 hours/],
  ['no name', { name: ' ' }, /name is needed/],
  ['air that cannot be', { hours: { ...year('x').hours, temperatureC: new Array(8760).fill(90) } }, /60/],
])('%s is refused at its field', async (_what, change, message) => {
  const error = await refused(saveWeather(ALONE, { id: uuid(), year: { ...year('x'), ...change } }));
  expect(error).toMatchObject({ status: 422 });
  expect(String((error as Error).message)).toMatch(message);
});

test('of the stored years the nearest to a warm day is found; what is no warm day is refused at its field', async () => {
  const hot = uuid();
  await saveWeather(ALONE, { id: hot, year: year('Hot', 35) });
  expect(await nearestWeather(ALONE, { temperatureC: '36', relativeHumidity: '0.6' })).toEqual({
    id: hot,
    name: 'Hot',
  });
  for (const bad of [
    {},
    { temperatureC: 'warm', relativeHumidity: '0.6' },
    { temperatureC: '20', relativeHumidity: '7' },
  ])
    expect(await refused(nearestWeather(ALONE, bad))).toMatchObject({ status: 422 });
});

test('a year that a line uses stays; once no line does it can go', async () => {
  const [id, planId] = [uuid(), uuid()];
  await saveWeather(ALONE, { id, year: year('Used') });
  const using = (yearId: string | null): Plan => {
    const plan = goodShop();
    return { ...plan, survey: { ...plan.survey, climate: { from: 'file', yearId } } };
  };
  await createPlan(ALONE, { id: planId, plan: using(id) });
  expect(await refused(removeWeather(ALONE, id))).toMatchObject({
    status: 409,
    message: expect.stringMatching(/uses this year/),
  });
  await savePlan(ALONE, planId, { writeId: uuid(), rowVersion: 1, plan: using(null) });
  await removeWeather(ALONE, id);
  expect(await refused(readWeather(ALONE, id))).toMatchObject({ status: 404 });
  expect(await refused(removeWeather(ALONE, id))).toMatchObject({ status: 404 });
});
