import type { Pool } from 'mysql2/promise';
import { goodShop } from '../../core/test/good-lines';
import { logAnEntry } from '../log-an-entry';
import { ALONE } from '../people/may';
import { readLogSummary } from '../read-log-summary';
import { createPlan } from '../save-plan';
import { closeDatabase, freshDatabase } from '../test/database';
import calendarFrom from './calendar.worker';
import { calendarOf } from './calendar-of';

const planId = crypto.randomUUID();
const plan = { ...goodShop(), routine: { ...goodShop().routine, startedOn: '2026-11-01' } };
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('calendar');
  await createPlan(ALONE, { id: planId, plan });
});
afterAll(() => closeDatabase(pool));
const stamps = /^DTSTAMP.*$/gm;

test('a calendar from the thread is what the line and its log say; it changes with them and not before', async () => {
  const first = await calendarOf(planId, plan);
  const now = `${new Date().toISOString().slice(0, 10)}T00:00`;
  const here = calendarFrom({ planId, plan, log: await readLogSummary(planId, plan), weather: undefined, now });
  expect(first.replace(stamps, '')).toBe(here.replace(stamps, ''));
  expect(await calendarOf(planId, plan)).toBe(first);
  const together = await Promise.all(Array.from({ length: 8 }, () => calendarOf(planId, { ...plan, name: 'Other' })));
  expect(new Set(together).size).toBe(1);
  expect(together[0]).toContain('Other');
  const entry = {
    id: crypto.randomUUID(),
    kind: 'put-off',
    stageId: 'separator',
    task: 'M03',
    what: 'away',
    who: 'Ida',
  };
  await logAnEntry(ALONE, planId, { ...entry, measuredAt: now, until: '2099-01-01T08:00' }, Date.now());
  const later = await calendarOf(planId, plan);
  expect(later.replace(stamps, '')).not.toBe(first.replace(stamps, ''));
});
