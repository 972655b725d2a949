import fc from 'fast-check';
import { newStage } from '../plan/edit';
import { AirStream } from '../stream/air-stream';
import { MovingTank } from './moving-tank';

const AROUND = {
  basis: 'real',
  atmosphericPa: 101325,
  roomTemperatureC: 20,
  intakeTemperatureC: 25,
  intakeRelativeHumidity: 0.6,
  loadedShare: 0.5,
} as const;

test('water in the tank balances to 1e-9 at every second, whatever share settles, and no amount is negative', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const second = fc.record({
    flow: number(0, 0.02),
    water: number(0, 0.03),
    c: number(5, 120),
    out: number(0, 0.002),
    stands: fc.boolean(),
  });
  const share = fc.oneof(fc.constantFrom(0, 0.995, 1), number(0, 1));
  fc.assert(
    fc.property(share, fc.array(second, { minLength: 1, maxLength: 120 }), (settlingEfficiency, seconds) => {
      const p = { ...newStage('receiver', 'tank').parameters, settlingEfficiency };
      const tank = new MovingTank(p, 0.05, AROUND, 5, 7e5, 8e5, 8e5, 0.004);
      for (const { flow, water, c, out, stands } of seconds) {
        const before = tank.waterKg;
        let [came, left] = [0, 0];
        if (stands) tank.stand();
        else {
          const air = new AirStream('real', flow, flow * water, c, 8e5);
          tank.outKgPerS = out;
          came = flow * water;
          tank.pass(air);
          left = air.vapourKgPerS + air.liquidKgPerS + air.caughtKgPerS;
          expect(Math.min(air.liquidKgPerS, air.vapourKgPerS, air.caughtKgPerS)).toBeGreaterThanOrEqual(0);
        }
        left += tank.settle();
        expect(Math.abs(tank.waterKg - before - came + left)).toBeLessThan(1e-9 * Math.max(1e-3, before));
        expect(Math.min(tank.dropsKg, tank.vapourKg)).toBeGreaterThanOrEqual(0);
      }
    }),
    { numRuns: 200 },
  );
});
