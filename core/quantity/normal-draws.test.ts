import { mean, quantileSorted, sampleStandardDeviation } from 'simple-statistics';
import { normalDraws } from './normal-draws';

const draw = (seed: number, count: number): number[] => {
  const next = normalDraws(seed);
  return Array.from({ length: count }, next);
};

// Tables of the normal distribution: 5 % lie below −1.645, 97.5 % below 1.960. Some four standard errors of 20 000 draws.
test('draws have the mean, the spread and the tails of the normal distribution', () => {
  const all = draw(1, 20_000).sort((a, b) => a - b);
  expect(Math.abs(mean(all))).toBeLessThan(0.03);
  expect(Math.abs(sampleStandardDeviation(all) - 1)).toBeLessThan(0.02);
  expect(Math.abs(quantileSorted(all, 0.05) + 1.645)).toBeLessThan(0.06);
  expect(Math.abs(quantileSorted(all, 0.975) - 1.96)).toBeLessThan(0.08);
});

test('one seed gives one row of draws, another another', () => {
  expect(draw(7, 5)).toEqual(draw(7, 5));
  expect(draw(7, 5)).not.toEqual(draw(8, 5));
});
