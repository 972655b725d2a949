import fc from 'fast-check';
import { axisOf, decimalsOf } from './axis';

test('an axis encloses its values, ends at ticks, and has few of them', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -200, max: 5000, noNaN: true }),
      fc.double({ min: 0.01, max: 5000, noNaN: true }),
      (low, span) => {
        const { at, ticks } = axisOf(low, low + span, 0, 100);
        expect(at(low)).toBeGreaterThanOrEqual(-1e-6);
        expect(at(low + span)).toBeLessThanOrEqual(100 + 1e-6);
        expect(at(ticks[0] as number)).toBeCloseTo(0, 6);
        expect(at(ticks.at(-1) as number)).toBeCloseTo(100, 6);
        expect(ticks.length).toBeLessThanOrEqual(5);
      },
    ),
  );
});

test('a flat line has a scale too', () => {
  const { at, ticks } = axisOf(3, 3, 0, 100);
  expect(ticks.length).toBeGreaterThan(1);
  expect(at(3)).toBeCloseTo(50, 6);
});

test('of few steps it has no more, whatever the unit: 118 to 152 psi in three', () => {
  expect(axisOf(118, 152, 0, 60, 3).ticks).toEqual([100, 120, 140, 160]);
  expect(axisOf(8.2, 10.5, 0, 60, 3).ticks.length).toBeLessThanOrEqual(4);
});

test('ticks are written with as many decimals as tell them apart', () => {
  expect([[0, 0.05, 0.1], [0, 0.2], [0, 0.5, 1], [0, 50], [7]].map(decimalsOf)).toEqual([2, 1, 1, 0, 0]);
});
