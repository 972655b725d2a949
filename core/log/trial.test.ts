import type { LoggedEntry } from './log-entry';
import { trial } from './trial';

const entry = (day: number, value: number, more: Partial<LoggedEntry> = {}): LoggedEntry =>
  ({
    id: `e${day}.${value}`,
    amends: null,
    stageId: 'dryer',
    stageName: 'Dryer',
    measuredAt: `2026-11-${String(day).padStart(2, '0')}T08:00`,
    readings: [{ of: 'dew-point', value }],
    ...more,
  }) as LoggedEntry;

test('means before and after, and whether they part by more than they scatter (by hand)', () => {
  const log = [entry(1, 9), entry(2, 10), entry(3, 11), entry(6, 3), entry(7, 4), entry(8, 5), entry(20, 50)];
  const [row] = trial(log, '2026-11-05T12:00', 7);
  expect(row).toMatchObject({ before: { mean: 10, count: 3 }, after: { mean: 4, count: 3 }, parts: true });
  // Means 10 and 9 of three each, 1 K apart within: two standard errors are 1.6 K.
  expect(
    trial([entry(1, 9), entry(2, 10), entry(3, 11), entry(6, 8), entry(7, 9), entry(8, 10)], '2026-11-05T12:00', 7)[0]
      ?.parts,
  ).toBe(false);
});

test('two means differ where they lie over two standard errors apart', () => {
  // Three each, 1 K between them: a standard error of √(1/3 + 1/3) = 0.816 K.
  const parts = (by: number) =>
    trial(
      [9, 10, 11, 9 + by, 10 + by, 11 + by].map((v, i) => entry(i < 3 ? i + 1 : i + 3, v)),
      '2026-11-05T12:00',
      7,
    )[0]?.parts;
  expect([parts(1.62), parts(1.64)]).toEqual([false, true]);
});

test('what was corrected counts as corrected; one side alone is no trial', () => {
  const wrong = entry(6, 90);
  const right = entry(6, 4, { id: 'right', amends: wrong.id });
  expect(trial([entry(1, 10), wrong, right], '2026-11-05T12:00', 7)[0]?.after).toEqual({ mean: 4, count: 1 });
  expect(trial([entry(1, 10)], '2026-11-05T12:00', 7)).toEqual([]);
});
