import fc from 'fast-check';
import type { Pool } from 'mysql2/promise';
import { walk } from '../core/line/walk';
import { siteTimeOf } from '../core/log/site-clock';
import { dueTasks } from '../core/maintenance/due';
import { maintenanceFacts } from '../core/maintenance/facts';
import { lastDone, openingsOf, postponed, signalsOf } from '../core/maintenance/last-done';
import { type LogSummary, summaryOf } from '../core/maintenance/log-summary';
import { planOf, stageOf } from '../core/test/plan-of';
import { logADrain, strikeADrain } from './log-a-drain';
import { logAnEntry } from './log-an-entry';
import { ALONE } from './people/may';
import { readLogSummary } from './read-log-summary';
import { createPlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';
import { readEntries, readLog } from './test/whole-log';

jest.setTimeout(120_000);
const NOW = Date.UTC(2026, 10, 25, 12);
const plan = planOf(
  {},
  stageOf('aftercooler'),
  stageOf('receiver', { drain: 'manual' }),
  stageOf('coalescing-filter'),
  stageOf('bead-cartridge'),
  stageOf('outlet'),
);
const STAGES = ['receiver', 'coalescing-filter', 'bead-cartridge', ''];
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('summary');
});
afterAll(() => closeDatabase(pool));

const what = fc.record({
  stageId: fc.constantFrom(...STAGES),
  kind: fc.constantFrom('done', 'reading', 'change', 'repair', 'complaint', 'put-off', 'observation', 'drain'),
  task: fc.constantFrom('M01', 'M12', 'M22', 'T03', 'M28'),
  result: fc.constantFrom(null, 'ok', 'could-not'),
  of: fc.constantFrom('temperature', 'pressure-drop', 'spent', 'hours'),
  value: fc.double({ min: 0.01, max: 1, noNaN: true }),
  symptom: fc.constantFrom(null, 'D01', 'D13'),
  corrects: fc.option(fc.nat({ max: 60 }), { freq: 4 }),
  struck: fc.boolean(),
});
type What = typeof what extends fc.Arbitrary<infer W> ? W : never;

async function write(planId: string, log: readonly What[]): Promise<void> {
  const ids: string[] = [];
  for (const [i, w] of log.entries()) {
    const id = crypto.randomUUID();
    const measuredAt = siteTimeOf(Date.UTC(2026, 5, 1) + i * 3_600_000); // no two at one minute
    if (w.kind === 'drain') {
      const air = { intakeTemperatureC: 25, intakeRelativeHumidity: 0.6, loadedHours: null };
      const drain = {
        id,
        stageId: 'receiver',
        drainedAt: measuredAt,
        sinceAt: '2026-05-31T00:00',
        amountM3: w.value / 1e3,
      };
      await logADrain(ALONE, planId, { ...drain, ...air, appearance: 'clear', who: 'x', note: '' }, NOW);
      if (w.struck) await strikeADrain(ALONE, planId, id, true);
      continue;
    }
    const readings = ['done', 'reading'].includes(w.kind)
      ? [{ of: w.of, value: w.value * (w.of === 'temperature' ? 60 : 1) }]
      : [];
    const entry = {
      id,
      kind: w.kind,
      stageId: w.stageId,
      measuredAt,
      who: 'x',
      what: 'seen',
      task: ['done', 'put-off'].includes(w.kind) ? w.task : null,
      result: w.kind === 'done' || w.kind === 'change' ? w.result : null,
      until: w.kind === 'put-off' ? '2027-01-01T00:00' : null,
      symptom: w.kind === 'complaint' ? w.symptom : null,
      readings,
      amends: w.corrects === null ? null : (ids[w.corrects % Math.max(ids.length, 1)] ?? null),
    };
    await logAnEntry(ALONE, planId, entry, NOW);
    ids.push(id);
  }
}
/** Without the order of what has none, and without what is bounded by the line rather than by the log. */
const sorted = ({ last, postponed: off, events, signals, series, newest, drained }: LogSummary) => {
  const by = <T>(of: readonly T[]): T[] => of.toSorted((a, b) => JSON.stringify(a).localeCompare(JSON.stringify(b)));
  return {
    last: by(last.map(({ stageId, task, at, times }) => ({ at, stageId, task, times }))),
    postponed: by(off),
    events: by(events.map(({ stageId, at, what: w }) => ({ at, stageId, what: w }))),
    signals: by(signals.map(({ stageId, of, at, value, expected }) => ({ at, stageId, of, value, expected }))),
    series: by(series.map(({ stageId, of, ratios }) => ({ stageId, of, ratios: ratios.map((r) => r.toPrecision(9)) }))),
    newest: newest.map((e) => e.id),
    drained: by(drained.map(({ stageId, at }) => ({ stageId, at }))),
  };
};

test('what the database says of a log is what the whole log says, and the same is due', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(what, { minLength: 20, maxLength: 120 }), async (log) => {
      const planId = crypto.randomUUID();
      await createPlan(ALONE, { id: planId, plan });
      await write(planId, log);
      const whole = await readLog(planId);
      const asked = await readLogSummary(planId, plan);
      expect(sorted(asked)).toEqual(sorted(summaryOf(whole)));
      // Put into service in the middle of it.
      const since = whole.entries[Math.floor(whole.entries.length / 2)]?.measuredAt ?? '';
      const inService = { ...plan, fitting: { ...plan.fitting, ...(since && { inServiceSince: since }) } };
      expect(sorted(await readLogSummary(planId, inService))).toEqual(sorted(summaryOf(whole, since)));
      const facts = maintenanceFacts({ ...plan, routine: { ...plan.routine, startedOn: '2026-05-01' } }, walk(plan));
      const now = '2026-11-25T09:00';
      const { entries, drains } = whole;
      const all = dueTasks(
        facts,
        lastDone(entries, drains),
        postponed(entries),
        now,
        openingsOf(entries),
        signalsOf(entries),
      );
      const said = (tasks: unknown): unknown => JSON.parse(JSON.stringify(tasks));
      expect(said(dueTasks(facts, asked.last, asked.postponed, now, asked.events, asked.signals))).toEqual(said(all));
    }),
    { numRuns: 12 },
  );
});

test('a correction is marked as it is written', async () => {
  const planId = crypto.randomUUID();
  await createPlan(ALONE, { id: planId, plan });
  const reading = { kind: 'reading', stageId: 'receiver', measuredAt: '2026-11-20T08:00', who: 'x' };
  const [wrong, right] = [crypto.randomUUID(), crypto.randomUUID()];
  await logAnEntry(ALONE, planId, { ...reading, id: wrong, readings: [{ of: 'temperature', value: 90 }] }, NOW);
  await logAnEntry(
    ALONE,
    planId,
    { ...reading, id: right, amends: wrong, readings: [{ of: 'temperature', value: 19 }] },
    NOW,
  );
  const { signals, newest } = await readLogSummary(planId, plan);
  expect(signals.map((s) => s.value)).toEqual([19]);
  expect(newest.map((e) => e.id)).toEqual([right]);
  expect(await readEntries(planId)).toHaveLength(2); // both stay
});
