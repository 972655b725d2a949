import psychrolib from 'psychrolib';
import { CFM, PSI } from '../quantity/constants';
import { type Check, checksOf } from '../test/reference';
import { coolerByUa, coolerUa } from './own-cooler';
import { sizeAftercooler } from './size-aftercooler';
import { sizeCompressor } from './size-compressor';
import { sizeReceiver } from './size-receiver';
import { sizeSeparator } from './size-separator';

const GAL = 3.785412e-3;
const reference = (name: string): Check => checksOf(7).find((c) => c.id.endsWith(name)) as Check;

test('a spray gun of 14 cfm at 45 %: 6.3 cfm, 8.0 with leaks and growth, 13.3 at a duty of 60 %: 5 hp of one stage', () => {
  // By hand: 14 · 0.45 · 1.1 · 1.15 / 0.6 = 13.28 cfm; 3 hp give 10.5, 5 hp 17.5 (trade handbook, 3.5 cfm/hp).
  const need = {
    type: 'piston1',
    averageM3PerS: 6.3 * CFM,
    peakM3PerS: 14 * CFM,
    peakLastsS: 120,
    storedM3: 0.4,
    leakShare: 0.1,
    growthShare: 0.15,
  } as const;
  const sized = sizeCompressor(need);
  expect(sized.neededM3PerS / CFM).toBeCloseTo(13.28, 2);
  expect([sized.beside.down?.hp, sized.hp, sized.beside.up?.hp, sized.by]).toEqual([3, 5, 7.5, 'average']);
  expect(sized.beside.down?.loadedShare).toBeGreaterThan(0.6);
  // Two stages bear more and give more; an hour of full blast leaves nothing to the tank: 14 cfm less 0.4 m³ an hour.
  expect(sizeCompressor({ ...need, type: 'piston2' }).hp).toBe(3);
  const blast = sizeCompressor({ ...need, peakLastsS: 3600 });
  expect([blast.by, blast.neededM3PerS / CFM]).toEqual(['peak', expect.closeTo(14 - 0.235, 2)]);
  expect(sizeCompressor({ ...need, averageM3PerS: 2 }).fits).toBe(false);
  // At 5,000 ft air has 0.832 of its pressure (ICAO): 13.28 / 0.832 = 15.96 cfm of it carry the same mass.
  const high = sizeCompressor({ ...need, atmosphericPa: 12.23 * PSI });
  expect(high.neededM3PerS / CFM).toBeCloseTo(15.96, 1);
  expect(high.loadedShare / sized.loadedShare).toBeCloseTo(1 / 0.832, 2);
});

test('the receiver by starts and by a burst is that of the reference, turned round (group 7)', () => {
  const most = reference('cyc_max');
  const burst = reference('drawdown60gal');
  const need = {
    deliversM3PerS: 25 * CFM,
    bandPa: 25 * PSI,
    startsPerHour: most.expected.cycles_per_h as number,
    burstM3PerS: 20 * CFM,
    burstLastsS: burst.expected.time_s as number,
    burstFallsPa: 35 * PSI,
    atmosphericPa: 101_325,
  };
  const sized = sizeReceiver(need);
  expect(sized.byStartsM3 / GAL).toBeCloseTo(120, 0);
  expect(sized.byBurstM3 / GAL).toBeCloseTo(60, 0);
  expect(
    [sized.beside.down?.volumeM3, sized.volumeM3, sized.beside.up?.volumeM3].map((v) => Math.round((v ?? 0) / GAL)),
  ).toEqual([80, 120, 240]);
  expect(sized.startsPerHour).toBeCloseTo(most.expected.cycles_per_h as number, 1);
  expect(sizeReceiver({ ...need, startsPerHour: need.startsPerHour * 0.99 }).volumeM3 / GAL).toBeCloseTo(240, 0);
  expect(sizeReceiver({ ...need, burstLastsS: 200 }).byBurstM3).toBeGreaterThan(sized.byStartsM3);
});

test('an aftercooler: heat is the enthalpy of moist air by psychrolib; the approach is what the hottest day leaves', () => {
  psychrolib.SetUnitSystem(psychrolib.SI);
  const need = {
    dryAirKgPerS: 0.0532, // 100 scfm
    humidityRatio: 0.0206,
    inletC: 150,
    pressurePa: 790_801,
    coolingC: 35,
    hottestOutC: 49,
  };
  const sized = sizeAftercooler(need);
  expect(sized.approachK).toBeCloseTo(25 / 1.8, 9); // 48.9 °C, of 49 that a refrigerated dryer bears
  expect(sizeAftercooler({ ...need, hottestOutC: 48.8 }).approachK).toBeCloseTo(20 / 1.8, 9);
  expect(sizeAftercooler({ ...need, coolingC: 47 }).fits).toBe(false);
  const holds = psychrolib.GetSatHumRatio(sized.outletC, need.pressurePa);
  expect(sized.condensesKgPerS / (need.dryAirKgPerS * (need.humidityRatio - holds))).toBeCloseTo(1, 1);
  const drops = (need.humidityRatio - holds) * 4186 * sized.outletC;
  const heat =
    psychrolib.GetMoistAirEnthalpy(need.inletC, need.humidityRatio) -
    psychrolib.GetMoistAirEnthalpy(sized.outletC, holds) -
    drops;
  expect(sized.heatW / (need.dryAirKgPerS * heat)).toBeCloseTo(1, 1);
  // A closer approach: more water, more surface.
  expect(sized.beside.up?.condensesKgPerS).toBeGreaterThan(sized.condensesKgPerS);
  expect(sized.beside.up?.uaWPerK).toBeGreaterThan(sized.uaWPerK);
  expect(sized.beside.down).toBeUndefined();
});

test('a cooler by its plate: dry air leaves as T_c + ΔT·e^(−UA/C) says, moist air warmer, and its size comes back', () => {
  const need = {
    dryAirKgPerS: 0.0532,
    humidityRatio: 0,
    inletC: 150,
    pressurePa: 790_801,
    coolingC: 35,
    hottestOutC: 49,
  };
  // 3 kW at 50 K of oil: 30 W/K for air. By hand (any handbook of heat transfer): 35 + 115·exp(−30/(0.0532·1006)) = 100.7 °C.
  const ua = coolerUa({ heatW: 3000, differenceK: 50, madeFor: 'oil' });
  expect(ua).toBe(30);
  const dry = coolerByUa(need, ua);
  expect(dry.outletC).toBeCloseTo(35 + 115 * Math.exp(-30 / (0.0532 * 1006)), 1);
  const moist = { ...need, humidityRatio: 0.0206 };
  expect(coolerByUa(moist, ua).outletC).toBeGreaterThan(dry.outletC);
  const sized = sizeAftercooler(moist);
  expect(coolerByUa(moist, sized.uaWPerK).approachK).toBeCloseTo(sized.approachK, 6);
});

test('a separator works between a third of its plate and all of it; its drain passes twice what comes', () => {
  const need = { passesM3PerS: 30 * CFM, pressurePa: 801_325, dropsKgPerS: 1e-6 };
  const sized = sizeSeparator(need);
  expect([sized.ratedM3PerS / CFM, sized.loadShare]).toEqual([expect.closeTo(35, 6), expect.closeTo(30 / 35, 6)]);
  expect(sized.catchesShare).toBeCloseTo(0.95, 2); // 0.95 at 0.4–1.0 of its rating (trade handbook)
  const drainFor = (kgPerH: number) => sizeSeparator({ ...need, dropsKgPerS: kgPerH / 3600 }).drain;
  // Twice 95 % of it: by hand half a litre in eight hours, a float 30 L/h (trade handbook).
  expect([0.032, 0.034, 15.7, 15.9].map(drainFor)).toEqual(['manual', 'float', 'float', 'level']);
  const half = sizeSeparator({ ...need, pressurePa: 801_325 / 2 });
  expect(half.ratedM3PerS / CFM).toBeCloseTo(75, 6);
});
