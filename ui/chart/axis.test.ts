import fc from 'fast-check';
import { axisOf } from './axis';

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
        expect(ticks.length).toBeLessThanOrEqual(8);
      },
    ),
  );
});

test('a flat line has a scale too', () => {
  const { at, ticks } = axisOf(3, 3, 0, 100);
  expect(ticks.length).toBeGreaterThan(1);
  expect(at(3)).toBeCloseTo(50, 6);
});
