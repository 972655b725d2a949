import { walk } from '../line/walk';
import { goodShop } from '../test/good-lines';
import { loggedReading } from '../test/logged-reading';
import { calibrations } from './calibrate';
import { driftOf } from './drift';
import { expectDrain } from './expect-drain';
import { type ExpectedDrain, judgeDrain, verdictOf } from './judge-drain';

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
  const running = (n: number, z = 0.9) => driftOf([...steady(24), ...Array(n).fill(Math.exp(-z * SCATTER))])?.rule;
  expect([running(8), running(9)]).toEqual([undefined, 'run']);
  expect([running(9, 0.79), running(9, 0.81)]).toEqual([undefined, 'run']);
});

test('readings together: over 3.3 deviations once half a shift of 15 % is taken off each (CUSUM, tuned as stated there)', () => {
  const half = 0.15 / SCATTER / 2;
  const together = (n: number, z: number) => driftOf([...steady(24), ...Array(n).fill(Math.exp(z * SCATTER))])?.rule;
  for (const n of [2, 6]) {
    const limit = half + 3.3 / n;
    expect([together(n, 0.995 * limit), together(n, 1.005 * limit)]).toEqual([undefined, 'cusum']);
  }
  // Of what has gathered, no more than 1.5 over the alarm is kept: so soon a repair shows.
  const repaired = (z: number) => driftOf([...steady(24), ...Array(8).fill(1.4), Math.exp(z * SCATTER)])?.rule;
  expect([repaired(half - 1.49), repaired(half - 1.51)]).toEqual(['cusum', undefined]);
});

test('what is usual is the mean of the first twelve, without what lies three deviations off', () => {
  const last = (before: number, z = 2) =>
    driftOf(
      [...Array(before).fill(1), Math.exp(z * SCATTER), ...Array(23 - before).fill(1), Math.exp(-3.9 * SCATTER)],
      SCATTER * 0.9999,
    )?.rule;
  expect([last(11), last(12)]).toEqual(['far', undefined]);
  expect([last(5, 2.98), last(5, 3.02)]).toEqual(['far', undefined]);
});

test('four readings are the least that drift is told from', () => {
  expect(driftOf([1, 1, 0.4])).toBeUndefined();
  expect(driftOf([1, 1, 1, 0.4])).toBeDefined();
});

describe('a calibration', () => {
  const plan = goodShop();
  const drop =
    (walk(plan).at('isolating-valve')?.pressurePa as number) -
    (walk(plan).at('coalescing-filter')?.pressurePa as number);
  const proposed = (...factors: number[]) =>
    calibrations(
      plan,
      [],
      factors.map((f) => loggedReading(plan, { readings: [{ of: 'pressure-drop', value: f * drop }] })),
    );

  test('rests on four entries at least', () => {
    expect([proposed(1.5, 1.5, 1.5), proposed(1.5, 1.5, 1.5, 1.5)]).toMatchObject([[], [{ entries: 4 }]]);
  });
  test('is worth a change of five per cent', () => {
    const changed = (f: number) => proposed(f, f, f, f).length;
    expect([changed(1.049), changed(1.051)]).toEqual([0, 1]);
  });
  test('counts the newest eight', () => {
    const entries = (of: number) => proposed(...Array(of).fill(1.5))[0]?.entries;
    expect([entries(7), entries(8), entries(9)]).toEqual([7, 8, 8]);
  });
  test('is not made of readings that lie a quarter apart', () => {
    // Two readings either side of 1.5: their relative deviation is what they are off by.
    const apart = (s: number) => proposed(1.5 * (1 - s), 1.5 * (1 + s), 1.5 * (1 - s), 1.5 * (1 + s)).length;
    expect([apart(0.24), apart(0.26)]).toEqual([1, 0]);
  });
});

test('oil of the air is known to a factor of three', () => {
  const shop = goodShop();
  const { expected } = loggedReading(shop, { stageId: 'fine', readings: [{ of: 'oil-content', value: 1e-8 }] });
  const { value, low, high } = expected[0] ?? { value: 0, low: 0, high: 0 };
  expect([value / low, high / value]).toEqual([expect.closeTo(3, 1), expect.closeTo(3, 1)]);
});

describe('a drain', () => {
  test('is measured to 7 %, hours from a meter to 2 %', () => {
    const conditions = { intakeTemperatureC: 24, intakeRelativeHumidity: 0.5, loadedHours: 5 };
    const times = { sinceAt: '2026-11-23T16:00', drainedAt: '2026-11-24T16:00' };
    const x = expectDrain(goodShop(), { stageId: 'separator', ...times, ...conditions });
    const share = (label: string) => (x?.drivers.find((d) => d.label === label)?.effect ?? 0) / (x?.expectedKg ?? 1);
    expect(share('Measuring the amount')).toBeCloseTo(0.07, 9);
    expect(share('Hours from the meter')).toBeCloseTo(0.02, 9);
  });

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
    // Drier air: 1.5; that the next point gives more: −2. A fouled cooler: never where there is none.
    expect(causes(0.3, [drained(2, 1)])).toContain('drier-air');
    expect(causes(0.3, [drained(2, 1)])).not.toContain('cooler-fouled');
    expect(causes(2, [])).not.toContain('not-only-water'); // clear: −1
  });
  test('of which under 35 % came speaks of the drain itself', () => {
    const because = (amountKg: number) =>
      judgeDrain({
        entry: { ...drained(amountKg, 1), appearance: 'clear', loadedHours: null },
        drain: 'manual',
        before: [],
        upstream: [],
        downstream: [],
        coolerBefore: true,
      }).causes.find((c) => c.id === 'drain-stuck')?.because;
    expect(because(0.349)).toContain('35 % came out');
    expect(because(0.351)).not.toContain('came out');
  });
});
