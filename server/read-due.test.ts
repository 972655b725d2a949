import type { Pool } from 'mysql2/promise';
import { walk } from '../core/line/walk';
import { type DueTask, dueTasks } from '../core/maintenance/due';
import { dueOn } from '../core/maintenance/due-on';
import { type DueSources, factsOfYear, type LineYear } from '../core/maintenance/line-year';
import type { Plan } from '../core/plan/plan';
import { goodShop } from '../core/test/good-lines';
import { hoursOf } from './calendar/calendar-of';
import { ALONE } from './people/may';
import { readDueOf } from './read-due';
import { saveCharge } from './save-charge';
import { createPlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';

const planId = crypto.randomUUID();
const shop = goodShop();
const climate = {
  ...shop.survey.climate,
  from: 'months' as const,
  months: Array.from({ length: 12 }, (_, i) => ({
    temperatureC: 10 - 12 * Math.cos((i * Math.PI) / 6),
    swingK: 8,
    relativeHumidity: 0.7,
  })),
};
const plan = {
  ...shop,
  survey: { ...shop.survey, climate },
  routine: { ...shop.routine, startedOn: '2026-01-05' },
} as Plan;
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('due');
  await createPlan(ALONE, { id: planId, plan });
});
afterAll(() => closeDatabase(pool));

/** As a browser asks again whose page came without it: the first one waits for the thread. */
async function withYear(): Promise<DueSources & { year: LineYear }> {
  for (;;) {
    const due = await readDueOf(ALONE, planId);
    if (due.year) return { ...due, year: due.year };
  }
}

test('with the year that a page is given the same is due as by all that it follows from', async () => {
  const { log, year, rowVersion } = await withYear();
  expect(rowVersion).toBe(1);
  const tasks = dueTasks(
    factsOfYear(plan, walk(plan), year),
    log.last,
    log.postponed,
    year.at,
    log.events,
    log.signals,
  );
  const dated = (all: readonly DueTask[]) => all.map((t) => [t.key, t.dueMs, t.state, t.season]);
  expect(dated(tasks)).toEqual(dated(dueOn({ plan, log, weather: await hoursOf(plan), now: year.at })));
  expect(year.drains.size).toBeGreaterThan(2);
});

test('a year is calculated once a day, and again when a charge is recorded', async () => {
  const { year } = await withYear();
  expect((await readDueOf(ALONE, planId)).year).toBe(year);
  const charge = {
    ...{ id: crypto.randomUUID(), name: 'Tin 1', medium: 'silica', dyed: true, massKg: 1, batch: '' },
    ...{ boughtAt: '2026-11-01T08:00', openedAt: null, timesBefore: 0 },
  };
  await saveCharge(ALONE, planId, charge, Date.now());
  expect((await withYear()).year).not.toBe(year);
});
