import { driftOf } from './drift';

/** Normal numbers, the same in every run. */
function normal(seed: number): () => number {
  let a = seed;
  const next = (): number => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}
const SCATTER = 0.07;
const SERIES = 400;
const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] as number;

describe('drift, on simulated series with the scatter of a hand', () => {
  test('a loss of 15 % of the catch is found within six drains, in nine series of ten', () => {
    const within = Array.from({ length: SERIES }, (_, s) => {
      const z = normal(s + 1);
      const ratios = Array.from({ length: 12 }, () => Math.exp(SCATTER * z()));
      for (let n = 1; n <= 6; n++) {
        ratios.push(0.85 * Math.exp(SCATTER * z()));
        if (driftOf(ratios)?.direction === 'less') return n;
      }
      return 99;
    });
    expect(median(within)).toBeLessThanOrEqual(4);
    expect(within.filter((n) => n <= 6).length / SERIES).toBeGreaterThan(0.9);
  });

  test('of 200 drains of a line that does not change at most one raises an alarm', () => {
    let [alarms, looked] = [0, 0];
    for (let s = 0; s < 100; s++) {
      const z = normal(1000 + s);
      const ratios: number[] = Array.from({ length: 12 }, () => Math.exp(SCATTER * z()));
      for (let i = 0; i < 60; i++) {
        ratios.push(Math.exp(SCATTER * z()));
        looked++;
        if (driftOf(ratios)) {
          alarms++;
          ratios.splice(0, ratios.length - 12); // looked into, and found to be nothing: the watch begins anew
        }
      }
    }
    expect(alarms / looked).toBeLessThanOrEqual(1 / 200);
  });

  test('a plan that is always off by a tenth is no drift; one that then changes is, from where it changed', () => {
    const z = normal(5);
    const steady = Array.from({ length: 14 }, () => 1.1 * Math.exp(0.03 * z()));
    expect(driftOf(steady)).toBeUndefined();
    const found = driftOf([...steady, 0.85, 0.86, 0.84, 0.87]);
    expect(found).toMatchObject({ rule: 'cusum', direction: 'less' });
    expect(found?.since).toBeGreaterThanOrEqual(13);
    expect(found?.ratio).toBeCloseTo(0.855 / 1.1, 1);
    expect(found?.says).toMatch(/last \d readings together are 2\d % less than before/);
  });

  test('up is the mirror of down, from where it began', () => {
    const steady = [1.02, 0.98, 1.01, 0.99, 1, 1.01, 0.99, 1, 1.02, 0.98, 1, 1];
    const step = [1.2, 1.2, 1.2, 1.2];
    const [up, down] = [driftOf([...steady, ...step]), driftOf([...steady, ...step.map((x) => 1 / x)])];
    expect(up).toMatchObject({ direction: 'more', since: 12 });
    expect(down).toMatchObject({ direction: 'less', since: 12 });
    expect((up?.ratio ?? 0) * (down?.ratio ?? 0)).toBeCloseTo(1, 3);
    expect(up?.says).toMatch(/20 % more than before/);
    expect(driftOf([...steady, 1.33])).toMatchObject({ rule: 'far', direction: 'more', since: 12 });
    expect(driftOf([...steady, 1 / 1.33])).toMatchObject({ rule: 'far', direction: 'less', since: 12 });
  });

  test('one reading far outside speaks at once; too few say nothing', () => {
    expect(driftOf([1, 1.02, 0.98, 1.01, 0.1])).toMatchObject({ direction: 'less' });
    expect(driftOf([1, 0.2, 1])).toBeUndefined();
    expect(driftOf([])).toBeUndefined();
  });
});
