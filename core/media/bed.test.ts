import { saturatedHumidityRatio } from '../air/humidity';
import { type Bed, freshBed, stepBed } from './bed';
import { heldWater } from './isotherm';

/** Complementary error function, Abramowitz & Stegun 7.1.26, within 1.5e-7. */
function erfc(x: number): number {
  const z = Math.abs(x);
  const t = 1 / (1 + 0.3275911 * z);
  const poly = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t;
  const value = poly * Math.exp(-z * z);
  return x >= 0 ? value : 2 - value;
}

/** What leaves a bed with a linear isotherm over what enters (Klinkenberg 1954, within 0.6 % for ξ above 2). */
const klinkenberg = (xi: number, tau: number): number =>
  erfc(Math.sqrt(xi) - Math.sqrt(tau) - 1 / (8 * Math.sqrt(xi)) - 1 / (8 * Math.sqrt(tau))) / 2;

const linear: Bed = {
  lengthM: 0.3,
  bulkKgPerM3: 750,
  heatCapacity: 920,
  ratePerS: 0.01,
  balance: (w) => 20 * w,
  heatOfUptake: 0,
};
const gel: Bed = {
  ...linear,
  heatOfUptake: 2.6e6,
  balance: (w, c) => heldWater('silica', w / saturatedHumidityRatio(Math.min(c, 150), 8e5)),
};

test.each([5, 20])('a linear isotherm follows Klinkenberg within 2 %, ξ = %d', (xi) => {
  const dryAirKgPerS = (linear.ratePerS * linear.bulkKgPerM3 * 20 * linear.lengthM) / xi;
  const state = freshBed(200, 0, 25);
  const dt = 2;
  for (let s = dt; s <= (2 * xi) / linear.ratePerS; s += dt) {
    const out = stepBed(linear, state, { dryAirKgPerS, humidityRatio: 0.002, temperatureC: 25 }, dt);
    const tau = linear.ratePerS * s;
    if (tau > 1) expect(Math.abs(out.humidityRatio / 0.002 - klinkenberg(xi, tau))).toBeLessThan(0.02);
  }
});

test('water and heat balance to 1e-6, through taking up, and giving back to dry air', () => {
  const state = freshBed(60, 0.02, 25);
  const beadsKg = (gel.bulkKgPerM3 * gel.lengthM) / 60;
  const stored = () => ({
    water: state.held.reduce((sum, q) => sum + q * beadsKg, 0),
    heat: state.temperatureC.reduce((sum, t) => sum + t * beadsKg * gel.heatCapacity, 0),
  });
  const before = stored();
  let [water, heat, passed] = [0, 0, 0];
  for (let n = 0; n < 600; n++) {
    const air = { dryAirKgPerS: 0.8, humidityRatio: n < 360 ? 0.003 : 1e-5, temperatureC: n < 360 ? 30 : 40 };
    const out = stepBed(gel, state, air, 15);
    water += 12 * (air.humidityRatio - out.humidityRatio);
    heat += 12 * 1006 * (air.temperatureC - out.temperatureC);
    passed += 12 * air.humidityRatio;
    expect(out.humidityRatio).toBeGreaterThanOrEqual(0);
  }
  const after = stored();
  expect(Math.abs(after.water - before.water - water) / passed).toBeLessThan(1e-6);
  const freed = 2.6e6 * (after.water - before.water);
  expect(Math.abs(after.heat - before.heat - heat - freed) / Math.abs(heat)).toBeLessThan(1e-6);
});

test('at slow flow the bed is full when balance says so', () => {
  const state = freshBed(40, 0, 25);
  const air = { dryAirKgPerS: 0.02, humidityRatio: 0.001, temperatureC: 25 };
  const slow = { ...gel, heatOfUptake: 0 };
  const fullS =
    (slow.bulkKgPerM3 * slow.lengthM * slow.balance(air.humidityRatio, 25)) / (air.dryAirKgPerS * air.humidityRatio);
  let halfS = 0;
  for (let s = 0; s < 2 * fullS && halfS === 0; s += 1000)
    if (stepBed(slow, state, air, 1000).humidityRatio > air.humidityRatio / 2) halfS = s;
  expect(halfS / fullS).toBeGreaterThan(0.9);
  expect(halfS / fullS).toBeLessThan(1.05);
});

test('a warm bed holds less, and warms where the front is', () => {
  const state = freshBed(100, 0, 25);
  let hottest = 0;
  for (let n = 0; n < 300; n++) {
    stepBed(gel, state, { dryAirKgPerS: 0.8, humidityRatio: 0.003, temperatureC: 25 }, 5);
    hottest = Math.max(hottest, ...state.temperatureC);
  }
  // At most the heat of all that comes in the air that carries it: 0.003 · 2.6 MJ / 1006 = 7.8 K (by hand).
  expect(hottest).toBeGreaterThan(28);
  expect(hottest).toBeLessThan(25 + 7.8 + 0.1);
});
