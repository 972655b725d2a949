import fc from 'fast-check';
import { CFM } from '../quantity/constants';
import { planOf, stageOf } from '../test/plan-of';
import { airBalance } from './balance';
import { drainAirKgPerS } from './drain-air';
import { walk } from './walk';

const line = (use: number, purge: number, delivery = 100) =>
  planOf(
    { flowM3PerS: delivery * CFM, pressurePa: 8e5, dischargeC: 35 },
    stageOf('twin-tower', { ratedFlowM3PerS: 100 * CFM, purgeM3PerS: purge * CFM, purgeSetPa: 8e5 }),
    stageOf('outlet', { flowM3PerS: use * CFM, usedShare: 1 }),
  );
const of = (use: number, purge: number, delivery = 100) => {
  const plan = line(use, purge, delivery);
  return airBalance(plan, walk(plan));
};

test('15 % purge of 100 scfm leaves 85 for the jobs (pitfall 12); what is over is short', () => {
  const enough = of(80, 15);
  expect(enough.lostM3PerS / CFM).toBeCloseTo(15, 0);
  expect(enough.leftM3PerS / CFM).toBeCloseTo(5, 0);
  expect(enough.fallsToPa).toBeUndefined();
  expect(of(90, 15).leftM3PerS).toBeLessThan(0);
});

test('asked for twice what it delivers, a line falls to half of its absolute cut-in pressure (choked tools)', () => {
  const cutIn = 8e5 - 3e4; // band of planOf
  expect((of(200, 0).fallsToPa ?? 0) / cutIn).toBeCloseTo(0.5, 2);
});

test('more use or more purge never leaves more, and the fall never ends below the atmosphere', () => {
  const cfm = fc.double({ min: 0, max: 80, noNaN: true });
  fc.assert(
    fc.property(cfm, cfm, (use, purge) => {
      const [less, more] = [of(use, purge), of(use + 10, purge)];
      expect(more.leftM3PerS).toBeLessThan(less.leftM3PerS);
      expect(more.fallsToPa ?? 8e5).toBeLessThanOrEqual(less.fallsToPa ?? 8e5);
      expect(of(2000, purge).fallsToPa).toBeGreaterThanOrEqual(101325);
    }),
    { numRuns: 40 },
  );
});

test('a timed drain blows air: ⅛ in at 100 psig passes 17 scfm (trade handbook, Cd 0.65); open 5 s of every 600', () => {
  const stage = stageOf('separator', { drain: 'timer', drainOpenS: 5, drainEveryS: 600, drainBoreM: 3.175e-3 });
  const air = { pressurePa: 114.696 * 6894.757, temperatureC: 21.1 };
  const scfmKgPerS = (0.0749 * 0.45359237) / 60;
  expect(drainAirKgPerS(stage, air, 101325) / scfmKgPerS).toBeCloseTo((17 * 5) / 600, 2);
  expect(drainAirKgPerS(stageOf('separator', { drain: 'float' }), air, 101325)).toBe(0);
  const plan = planOf({ pressurePa: 8e5 }, { ...stage, id: 'trap' } as typeof stage);
  expect(airBalance(plan, walk(plan)).drainsM3PerS).toBeGreaterThan(0);
});
