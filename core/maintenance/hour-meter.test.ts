import { DAY_MS } from '../quantity/constants';
import { goodShop } from '../test/good-lines';
import { dueByMeter } from './hour-meter';

const at = (date: string, hours: number) => ({
  stageId: 'compressor',
  of: 'hours' as const,
  at: `${date}T08:00`,
  value: hours * 3600,
  expected: null,
});
const ms = (date: string): number => Date.parse(`${date}T08:00Z`);
const readings = [at('2026-11-21', 1100), at('2026-11-11', 1050), at('2026-11-01', 1000)]; // 5 h a day

test('a task of 200 h is due when the meter has run 200 h since it was done, at the rate of its readings', () => {
  // Done with the reading of 1000 h: 100 h have run, and 100 h take twenty days.
  const due = dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-01'), readings);
  expect(due?.hPerDay).toBeCloseTo(5, 9);
  expect(((due?.dueMs ?? 0) - ms('2026-12-11')) / DAY_MS).toBeCloseTo(0, 6);
});

test('done on a day of which there is a reading, it counts from that reading, not from the mean rate', () => {
  const uneven = [at('2026-11-21', 1100), at('2026-11-11', 1090), at('2026-11-01', 1000)];
  // 10 h have run since the 11th; 190 h at 5 h a day take 38 days.
  const due = dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-11'), uneven);
  expect(((due?.dueMs ?? 0) - ms('2026-12-29')) / DAY_MS).toBeCloseTo(0, 6);
  // Read half a day later it is still that of the day; a day and more before it is not.
  const shifted = (h: number) =>
    dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-11') + h * 3_600_000, uneven)?.dueMs;
  expect(shifted(-12)).toBe(due?.dueMs);
  expect(shifted(23)).toBe(due?.dueMs);
  expect(shifted(25)).not.toBe(due?.dueMs);
});

test('done on a day without a reading, the meter is taken back at its rate', () => {
  const due = dueByMeter(goodShop(), 'receiver', 200, ms('2026-10-22'), readings); // 950 h then
  expect(((due?.dueMs ?? 0) - ms('2026-12-01')) / DAY_MS).toBeCloseTo(0, 6);
});

test('a meter that stands still, or was read once, tells nothing', () => {
  expect(dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-01'), [at('2026-11-21', 1000)])).toBeUndefined();
  const still = [at('2026-11-21', 1000), at('2026-11-01', 1000)];
  expect(dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-01'), still)).toBeUndefined();
});

test('two readings count from a day apart on: within it they tell nothing of the rate', () => {
  const apart = (hours: number) => {
    const first = at('2026-11-20', 1000);
    const later = new Date(ms('2026-11-20') + hours * 3_600_000).toISOString().slice(0, 16);
    return dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-20'), [
      { ...first, at: later, value: 1010 * 3600 },
      first,
    ]);
  };
  expect(apart(23)).toBeUndefined();
  expect(apart(24)?.hPerDay).toBeCloseTo(10, 9);
});

test('a stage with a meter of its own goes by it, not by that of the compressor', () => {
  const own = [at('2026-11-21', 300), at('2026-11-11', 200)].map((s) => ({ ...s, stageId: 'receiver' }));
  expect(dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-11'), [...own, ...readings])?.hPerDay).toBeCloseTo(10, 9);
  expect(
    dueByMeter(goodShop(), 'receiver', 200, ms('2026-11-11'), [own[0] as never, ...readings])?.hPerDay,
  ).toBeCloseTo(5, 9);
});
