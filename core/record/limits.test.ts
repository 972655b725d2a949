import { walk } from '../line/walk';
import { goodShop } from '../test/good-lines';
import { calibrations } from './calibrate';
import { driftOf } from './drift';
import { expectReadings } from './expect-reading';
import { type ExpectedDrain, judgeDrain, verdictOf } from './judge-drain';
import { type LogEntry, type LoggedEntry, logEntrySchema } from './log-entry';

// Limits of what the log is judged by, each from both sides. Nelson’s rules and CUSUM: statistical quality control,
// recalled; the others are estimates that stand beside them.
const SCATTER = 0.07;
const steady = (n: number): number[] => Array.from({ length: n }, (_, i) => 1 + (i % 2 ? 0.002 : -0.002));

test('one reading four standard deviations off is enough; a little less is not', () => {
  const last = (z: number) => driftOf([...steady(12), Math.exp(z * SCATTER)])?.rule;
  // What lies over the alarm of the sum speaks first: that is at 3.3 + k.
  expect(last(-4.4)).toBe('cusum');
  const kept = (z: number) => driftOf([...steady(12), Math.exp(1.2 * z * SCATTER)], 1.2 * SCATTER)?.rule;
  expect([kept(-3.95), kept(-4.05)]).toEqual([undefined, 'far']);
});

test('nine readings running on one side, eight are none', () => {
  const running = (n: number) => driftOf([...steady(12), ...Array(n).fill(Math.exp(-0.9 * SCATTER))])?.rule;
  expect([running(8), running(9)]).toEqual([undefined, 'run']);
});

test('four readings are the least that drift is told from', () => {
  expect(driftOf([1, 1, 0.4])).toBeUndefined();
  expect(driftOf([1, 1, 1, 0.4])).toBeDefined();
});

describe('a calibration', () => {
  const plan = goodShop();
  let n = 0;
  const at = (change: Partial<LogEntry>): LoggedEntry => {
    const e = logEntrySchema.parse({
      id: `00000000-0000-4000-8000-${String(n++).padStart(12, '0')}`,
      kind: 'reading',
      stageId: 'coalescing-filter',
      measuredAt: `2026-11-${String(1 + (n % 27)).padStart(2, '0')}T08:00`,
      who: 'me',
      instrument: 'fitted',
      ...change,
    });
    return { ...e, stageName: 'x', enteredAt: '', expected: expectReadings(plan, e) };
  };
  const drop =
    (walk(plan).at('isolating-valve')?.pressurePa as number) -
    (walk(plan).at('coalescing-filter')?.pressurePa as number);
  const proposed = (...factors: number[]) =>
    calibrations(
      plan,
      [],
      factors.map((f) => at({ readings: [{ of: 'pressure-drop', value: f * drop }] })),
    ).length;

  test('rests on four entries at least', () => {
    expect([proposed(1.5, 1.5, 1.5), proposed(1.5, 1.5, 1.5, 1.5)]).toEqual([0, 1]);
  });
  test('is worth a change of five per cent', () => {
    expect([proposed(1.045, 1.045, 1.045, 1.045), proposed(1.06, 1.06, 1.06, 1.06)]).toEqual([0, 1]);
  });
  test('is not made of readings that lie a quarter apart', () => {
    // Two readings either side of 1.5: their relative deviation is what they are off by.
    const apart = (s: number) => proposed(1.5 * (1 - s), 1.5 * (1 + s), 1.5 * (1 - s), 1.5 * (1 + s));
    expect([apart(0.24), apart(0.26)]).toEqual([1, 0]);
  });
});

describe('a drain', () => {
  const drained = (amountKg: number, expectedKg: number): ExpectedDrain => ({
    stageId: 'receiver',
    drainedAt: '2026-11-24T16:00',
    amountKg,
    expectedKg,
    lowKg: 0.8 * expectedKg,
    highKg: 1.2 * expectedKg,
  });
  test('of less than ten grams, expected and drained, is no judgement', () => {
    expect(verdictOf(drained(0.0095, 0.0079))).toBe('nothing to expect');
    expect(verdictOf(drained(0.0105, 0.0079))).toBe('more');
    expect(verdictOf(drained(0.001, 0.0085))).toBe('less');
  });
  test('names no cause that cannot be: one scored −1 is left out, one of −0.5 stays', () => {
    const causes = (amountKg: number, downstream: ExpectedDrain[]) =>
      judgeDrain({
        entry: { ...drained(amountKg, 1), appearance: 'clear', loadedHours: null },
        drain: 'manual',
        before: [],
        upstream: [],
        downstream,
        coolerBefore: false,
      }).causes.map((c) => c.id);
    // No cooler: −2; that the next point gives more: +1.5; that half came out: +0.5.
    expect(causes(0.3, [])).not.toContain('cooler-fouled');
    expect(causes(0.3, [drained(2, 1)])).toContain('cooler-fouled');
    expect(causes(2, [])).not.toContain('not-only-water'); // clear: −1
  });
});
