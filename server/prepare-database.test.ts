import path from 'node:path';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import { planOf, stageOf } from '../core/test/plan-of';
import { DEMO_PLAN_ID, DEMO_STAGES, demoDrains, demoPlan, demoRevision } from '../db/demo';
import { logADrain } from './log-a-drain';
import { ALONE } from './people/may';
import { prepareDatabase } from './prepare-database';
import { readLogbook } from './read-logbook';
import { listPlans, readPlan } from './read-plan';
import { createPlan, savePlan } from './save-plan';
import { listRevisions } from './save-revision';
import { listWeather } from './save-weather';
import { closeDatabase, freshDatabase } from './test/database';

const NOW = Date.UTC(2026, 10, 23, 18);
const MIGRATIONS = path.join(__dirname, '../db/migrations');
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('prepare');
});
afterAll(() => closeDatabase(pool));
const prepare = (mode: 'once' | 'empty' | 'reset') => prepareDatabase(pool, MIGRATIONS, mode, NOW);

test('empty loads nothing; once loads the demo once; migrating again changes nothing', async () => {
  await prepare('empty');
  expect(await listPlans(ALONE)).toEqual({ lines: [], of: 0 });
  expect((await listWeather(ALONE)).map((y) => y.origin)).toEqual(['synthetic', 'synthetic']); // every start has them
  expect(await prepare('once')).toMatch(/loaded/);
  expect(await prepare('once')).toBe('');
  expect(await prepare('empty')).toBe('');
  expect((await readLogbook(ALONE, DEMO_PLAN_ID)).entries).toHaveLength(demoDrains(NOW).length);
  expect((await listRevisions(ALONE, DEMO_PLAN_ID)).map((r) => r.name)).toEqual([demoRevision().name]);
  const [tables] = await pool.query<RowDataPacket[]>('SHOW TABLES');
  expect(tables).toHaveLength(34); // ours, the list of migrations and their lock
});

test('reset restores the demo, its line and its log, and leaves everything else as it was', async () => {
  await prepare('once');
  const mine = { id: crypto.randomUUID(), plan: planOf({}, stageOf('receiver')) };
  await createPlan(ALONE, mine);
  const drain = {
    id: crypto.randomUUID(),
    drainedAt: '2026-11-23T16:00',
    sinceAt: '2026-11-22T16:00',
    amountM3: 1e-4,
    appearance: 'clear',
    who: 'me',
    note: '',
    loadedHours: null,
    intakeTemperatureC: 20,
    intakeRelativeHumidity: 0.5,
  };
  await logADrain(ALONE, mine.id, { ...drain, stageId: 'receiver' }, NOW);
  await logADrain(ALONE, DEMO_PLAN_ID, { ...drain, id: crypto.randomUUID(), stageId: DEMO_STAGES.receiver }, NOW);
  await savePlan(ALONE, DEMO_PLAN_ID, {
    writeId: crypto.randomUUID(),
    rowVersion: 1,
    plan: { ...demoPlan(), name: 'scribbled on' },
  });
  const before = [await readPlan(ALONE, mine.id), await readLogbook(ALONE, mine.id)];

  expect(await prepare('reset')).toMatch(/as it was at first/);
  const { routine, ...restored } = (await readPlan(ALONE, DEMO_PLAN_ID)).plan;
  expect({ ...restored, routine: demoPlan().routine }).toEqual(demoPlan());
  expect(routine.startedOn).toBe('2026-11-19');
  expect((await readLogbook(ALONE, DEMO_PLAN_ID)).entries).toHaveLength(demoDrains(NOW).length);
  expect([await readPlan(ALONE, mine.id), await readLogbook(ALONE, mine.id)]).toEqual(before);
});
