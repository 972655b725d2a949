import fc from 'fast-check';
import { type ChargeAtPlace, capacityOf, FACTOR_BEFORE, learnFactor, lifeBand, predictChange } from './charge-life';

// The truth of these simulations is drawn here, by other means than the core draws with: a sum of twelve even numbers is
// normal enough (central limit theorem), from a generator of its own (Lehmer 1951, Park & Miller’s multiplier).
function nature(seed: number) {
  let state = seed;
  const even = (): number => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  const normal = (): number => Array.from({ length: 12 }, even).reduce((sum, x) => sum + x, -6);
  return { even, normal };
}

/** A charge run in nature: water a day until it is spent, and what an eye reads of it on a day. */
function runCharge({ normal }: ReturnType<typeof nature>, factor: number, handbookKg: number, estimatedKg: number) {
  const holds = handbookKg * factor * Math.exp(0.12 * normal());
  const use = Math.exp(0.1 * normal());
  const days: number[] = [];
  let ends = 0;
  for (let sum = 0; days.length < 150; ) {
    const kg = estimatedKg * use * Math.exp(0.25 * normal() - 0.03125);
    if (sum < holds && sum + kg >= holds) ends = days.length + (holds - sum) / kg;
    days.push(kg);
    sum += kg;
  }
  const read = (spent: number): number => Math.min(1, Math.max(0, spent + 0.1 * normal()));
  return { holds, days, ends: ends || days.length, read };
}

test('500 simulated charges: the band of 80 % holds 75–85 % of the days on which they were spent', () => {
  const chance = nature(20261127);
  let inside = 0;
  const COUNT = 500;
  for (let n = 0; n < COUNT; n++) {
    const factor = Math.exp(0.35 * chance.normal());
    const handbookKg = 2;
    const estimatedKg = 0.05;
    const past: ChargeAtPlace[] = Array.from({ length: n % 4 }, () => {
      const { holds } = runCharge(chance, factor, handbookKg, estimatedKg);
      const spent = 0.7 + 0.3 * chance.even(); // taken out before it was through, and judged by eye
      return { handbookKg, looks: [{ loadKg: holds * spent, spent: spent + 0.1 * chance.normal() }] };
    });
    const charge = runCharge(chance, factor, handbookKg, estimatedKg);
    const now = Math.floor(44 * chance.even()); // by the book it lasts 40 days
    const loadKg = charge.days.slice(0, now).reduce((sum, kg) => sum + kg, 0);
    const looks = n % 2 ? [{ loadKg, spent: charge.read(loadKg / charge.holds) }] : [];
    const capacity = capacityOf(learnFactor(past), { handbookKg, looks });
    const daily = new Float64Array(400).fill(estimatedKg);
    const change = predictChange(capacity, loadKg, daily, { samples: 400, seed: n + 1 });
    const left = Math.max(0, charge.ends - now);
    if (change && left >= change.days[0] && left <= change.days[2]) inside++;
  }
  expect(inside / COUNT).toBeGreaterThan(0.75);
  expect(inside / COUNT).toBeLessThan(0.85);
});

test('a true factor of 0.7 is learned within 5 % after five charges, over 300 places', () => {
  const chance = nature(7);
  let sum = 0;
  const PLACES = 300;
  for (let place = 0; place < PLACES; place++) {
    const past: ChargeAtPlace[] = Array.from({ length: 5 }, () => {
      const { holds } = runCharge(chance, 0.7, 2, 0.05);
      const spent = 0.85 + 0.15 * chance.even();
      return { handbookKg: 2, looks: [{ loadKg: holds * spent, spent: Math.min(1, spent + 0.1 * chance.normal()) }] };
    });
    const learned = learnFactor(past);
    sum += learned.ln;
    expect(learned.variance).toBeLessThan(FACTOR_BEFORE.variance / 10);
  }
  expect(Math.abs(Math.exp(sum / PLACES) / 0.7 - 1)).toBeLessThan(0.05);
  // Read exactly, five alike: within 5 % at each place.
  const exact = learnFactor(Array.from({ length: 5 }, () => ({ handbookKg: 2, looks: [{ loadKg: 1.4, spent: 1 }] })));
  expect(Math.abs(Math.exp(exact.ln) / 0.7 - 1)).toBeLessThan(0.05);
});

test('the update is Bayes’ rule: a posterior drawn on a grid has the same mean and variance', () => {
  const look = { loadKg: 1.2, spent: 0.8 };
  const learned = learnFactor([{ handbookKg: 2, looks: [look] }]);
  // Prior N(0, 0.35²) times likelihood N(ln f; ln(1.2/0.8/2), 0.12² + (0.1/0.8)²), summed up point by point.
  const [m, s2] = [Math.log(1.2 / 0.8 / 2), 0.12 ** 2 + 0.125 ** 2];
  const grid = Array.from({ length: 40_001 }, (_, i) => -2 + i * 1e-4);
  const weights = grid.map((x) => Math.exp(-(x ** 2) / (2 * 0.35 ** 2) - (x - m) ** 2 / (2 * s2)));
  const all = weights.reduce((a, b) => a + b);
  const mean = grid.reduce((sum, x, i) => sum + x * (weights[i] as number), 0) / all;
  const variance = grid.reduce((sum, x, i) => sum + (x - mean) ** 2 * (weights[i] as number), 0) / all;
  expect(learned.ln).toBeCloseTo(mean, 8);
  expect(learned.variance).toBeCloseTo(variance, 8);
});

test('law: a heavier load never puts the change off; looks and history never widen the band; nothing is without a number', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 4, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (loadKg, spent, more) => {
        const charge = { handbookKg: 2, looks: [{ loadKg, spent }] };
        const factor = learnFactor([charge]);
        const capacity = capacityOf(factor, charge);
        expect(factor.variance).toBeLessThanOrEqual(FACTOR_BEFORE.variance);
        expect(capacity.variance).toBeLessThanOrEqual(capacityOf(factor, { handbookKg: 2, looks: [] }).variance);
        const { low, mid, high } = lifeBand(capacity);
        expect(low <= mid && mid <= high && low > 0).toBe(true);
        const daily = new Float64Array(60).fill(0.05);
        const a = predictChange(capacity, loadKg, daily, { samples: 50 });
        const b = predictChange(capacity, loadKg + more, daily, { samples: 50 });
        for (const i of [0, 1, 2] as const) expect(b?.days[i]).toBeLessThanOrEqual(a?.days[i] ?? -1);
      },
    ),
    { numRuns: 40 },
  );
});

test('a run that is cancelled returns nothing', () => {
  expect(predictChange(FACTOR_BEFORE, 0, [1, 1], { onProgress: () => false })).toBeUndefined();
});
