import type { Pool } from 'mysql2/promise';
import type { Plan } from '../core/plan/plan';
import { goodShop } from '../core/test/good-lines';
import type { WeatherYear } from '../core/year/weather';
import { createPlan, savePlan } from './save-plan';
import { listWeather, nearestWeather, readWeather, removeWeather, saveWeather } from './save-weather';
import { closeDatabase, freshDatabase } from './test/database';

const uuid = (): string => crypto.randomUUID();
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('weather');
});
afterAll(() => closeDatabase(pool));
const year = (name: string, c = 20): WeatherYear => ({
  name,
  origin: 'csv',
  altitudeM: null,
  notes: { rows: 8759, filled: 1, dropped: 0, corrected: 0, notes: [{ row: 0, message: 'filled' }] },
  hours: {
    temperatureC: Array.from({ length: 8760 }, (_, h) => c + (h % 24) / 10),
    relativeHumidity: new Array<number>(8760).fill(0.6123),
  },
});
const refused = (work: Promise<unknown>) =>
  work.then(
    () => 'not refused',
    (e: unknown) => e,
  );

test('a year is kept once, with what was corrected, for every line; its hours come back as they were', async () => {
  const id = uuid();
  await saveWeather({ id, year: year('Here') });
  await saveWeather({ id, year: year('Here') });
  expect(await listWeather()).toMatchObject([{ id, name: 'Here', notes: { filled: 1 } }]);
  expect(await readWeather(id)).toEqual(year('Here'));
  expect(await refused(saveWeather({ id, year: year('Here', 21) }))).toMatchObject({ status: 409 });
  expect(await readWeather(id)).toEqual(year('Here'));
});

test('a year of an earlier program keeps what was corrected', async () => {
  const id = uuid();
  const { corrected: mended, ...notes } = year('Old').notes;
  await saveWeather({
    id,
    year: { ...year('Old'), notes: { ...notes, mended: mended + 3 } } as unknown as WeatherYear,
  });
  expect((await readWeather(id)).notes).toEqual({ ...notes, corrected: 3 });
});

test.each<[string, object, RegExp]>([
  ['hours that are missing', { hours: { temperatureC: [1, 2], relativeHumidity: [0.5, 0.5] } }, /8760 hours/],
  ['no name', { name: ' ' }, /name is needed/],
  ['air that cannot be', { hours: { ...year('x').hours, temperatureC: new Array(8760).fill(90) } }, /60/],
])('%s is refused at its field', async (_what, change, message) => {
  const error = await refused(saveWeather({ id: uuid(), year: { ...year('x'), ...change } }));
  expect(error).toMatchObject({ status: 422 });
  expect(String((error as Error).message)).toMatch(message);
});

test('of the stored years the nearest to a warm day is found; what is no warm day is refused at its field', async () => {
  const hot = uuid();
  await saveWeather({ id: hot, year: year('Hot', 35) });
  expect(await nearestWeather({ temperatureC: '36', relativeHumidity: '0.6' })).toEqual({ id: hot, name: 'Hot' });
  for (const bad of [
    {},
    { temperatureC: 'warm', relativeHumidity: '0.6' },
    { temperatureC: '20', relativeHumidity: '7' },
  ])
    expect(await refused(nearestWeather(bad))).toMatchObject({ status: 422 });
});

test('a year that a line uses stays; once no line does it can go', async () => {
  const [id, planId] = [uuid(), uuid()];
  await saveWeather({ id, year: year('Used') });
  const using = (yearId: string | null): Plan => {
    const plan = goodShop();
    return { ...plan, survey: { ...plan.survey, climate: { from: 'file', yearId } } };
  };
  await createPlan({ id: planId, plan: using(id) });
  expect(await refused(removeWeather(id))).toMatchObject({
    status: 409,
    message: expect.stringMatching(/uses this year/),
  });
  await savePlan(planId, { writeId: uuid(), rowVersion: 1, plan: using(null) });
  await removeWeather(id);
  expect(await refused(readWeather(id))).toMatchObject({ status: 404 });
  expect(await refused(removeWeather(id))).toMatchObject({ status: 404 });
});
