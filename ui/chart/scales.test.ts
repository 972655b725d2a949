import fc from 'fast-check';
import { linear, niceTicks } from './scales';

test('ticks are round, rise evenly, enclose the range and are few', () => {
  const number = fc.double({ min: -200, max: 5000, noNaN: true });
  fc.assert(
    fc.property(number, fc.double({ min: 0.01, max: 5000, noNaN: true }), (low, span) => {
      const ticks = niceTicks(low, low + span);
      const step = (ticks[1] as number) - (ticks[0] as number);
      expect(ticks[0]).toBeLessThanOrEqual(low + 1e-6);
      expect(ticks.at(-1)).toBeGreaterThanOrEqual(low + span - 1e-6 * Math.max(1, Math.abs(low)));
      expect(ticks.length).toBeLessThanOrEqual(7);
      expect([1, 2, 5, 10]).toContain(Number((step / 10 ** Math.floor(Math.log10(step * 1.000001))).toPrecision(4)));
    }),
  );
  expect(niceTicks(3, 3).length).toBeGreaterThan(1);
});

test('a scale hits both ends', () => {
  const y = linear(0, 40, 160, 20);
  expect([y(0), y(40), y(20)]).toEqual([160, 20, 90]);
});
