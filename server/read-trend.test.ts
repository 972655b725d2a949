import type { Pool } from 'mysql2/promise';
import { siteTimeOf } from '../core/log/site-clock';
import { planOf, stageOf } from '../core/test/plan-of';
import { logAnEntry } from './log-an-entry';
import { ALONE } from './people/may';
import { readLogPage, readTrial } from './read-log-page';
import { readCalibrations, readTrend } from './read-trend';
import { createPlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';

const NOW = Date.UTC(2026, 10, 25, 12);
const plan = planOf({}, stageOf('coalescing-filter'), stageOf('receiver'));
const planId = crypto.randomUUID();
const ids: string[] = [];
const HOURS = 700;
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('trend');
  await createPlan(ALONE, { id: planId, plan });
  for (let i = 0; i < HOURS; i++) {
    const id = crypto.randomUUID();
    ids.push(id);
    const entry = {
      id,
      kind: i % 10 === 0 ? 'observation' : 'reading',
      stageId: i % 3 === 0 ? 'receiver' : 'coalescing-filter',
      measuredAt: siteTimeOf(Date.UTC(2026, 9, 20) + i * 3_600_000),
      who: 'Ida',
      what: i % 10 === 0 ? `hums 100_% number ${i}` : '',
      readings:
        i % 10 === 0
          ? []
          : [i % 3 === 0 ? { of: 'temperature', value: 20 + (i % 7) } : { of: 'pressure-drop', value: 1e4 }],
    };
    await logAnEntry(ALONE, planId, entry, NOW);
  }
}, 120_000);
afterAll(() => closeDatabase(pool));

test('a trend has at most some hundred points, whose mean is that of the readings; the most read comes first', async () => {
  const trend = await readTrend(ALONE, planId, undefined);
  expect(trend.chosen).toEqual({ stageId: 'coalescing-filter', of: 'pressure-drop' });
  expect(trend.points.length).toBeLessThanOrEqual(301);
  expect(trend.each).toBe(Math.round(420 / trend.points.length));
  for (const p of trend.points) expect(p.value).toBeCloseTo(1e4, 6);
  const warm = await readTrend(ALONE, planId, 'receiver:temperature');
  expect(warm.points).toHaveLength(210); // so few are shown as they were read
  expect(warm.points.map((p) => p.at)).toEqual(warm.points.map((p) => p.at).toSorted());
  expect(warm.names).toHaveLength(2);
});

test('pages follow each other without a gap, and a search finds what has all its words', async () => {
  const seen: string[] = [];
  let before: string | undefined;
  do {
    const page = await readLogPage(ALONE, planId, { before });
    seen.push(...page.entries.map((e) => e.id));
    before = page.next;
  } while (before);
  expect(seen).toEqual(ids.toReversed());
  const found = async (q: string, kind?: string) =>
    (await readLogPage(ALONE, planId, { q, kind })).entries.map((e) => e.what);
  expect(await found('HUMS 69')).toEqual(['hums 100_% number 690']);
  expect(await found('0_%  number 690')).toHaveLength(1);
  expect(await found('x_%')).toEqual([]);
  expect(await found('receiver 690', 'observation')).toHaveLength(1);
  expect(await found('690', 'reading')).toEqual([]);
});

test('a trial has the days on each side; what was read tells what the plan should say', async () => {
  const { rows } = await readTrial(ALONE, planId, '2026-11-01T00:00', 3);
  expect(rows.map((r) => [r.of, r.before.count + r.after.count]).toSorted()).toEqual([
    ['pressure-drop', expect.any(Number)],
    ['temperature', expect.any(Number)],
  ]);
  expect((await readTrial(ALONE, planId, 'never', 3)).rows).toEqual([]);
  expect(await readCalibrations(planId, plan)).toMatchObject([{ stageId: 'coalescing-filter', entries: 8 }]);
});
