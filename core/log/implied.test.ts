import { CFM, PSI } from '../quantity/constants';
import { all, but, goodShop } from '../test/good-lines';
import { implied } from './implied';

const GALLON = 231 * 0.0254 ** 3;
const plan = (gallons: number) => all(goodShop(), but('receiver', { volumeM3: gallons * GALLON }));
const entry = (task: string, fromPsi: number, toPsi: number, seconds: number) => ({
  task,
  intakeTemperatureC: 24,
  readings: [
    { of: 'pressure-from' as const, value: fromPsi * PSI + 101325 },
    { of: 'pressure-to' as const, value: toPsi * PSI + 101325 },
    { of: 'seconds' as const, value: seconds },
  ],
});

// Trade handbook, computed there.
test.each([
  ['M31', 80, 90, 150, 75, 34.9],
  ['M31', 60, 100, 150, 112, 14.6],
  ['M32', 400, 100, 90, 95, 23.0],
])('%s: %d gal, %d to %d psi in %d s: %d cfm', (task, gallons, from, to, seconds, cfm) => {
  const got = implied(plan(gallons), entry(task, from, to, seconds));
  expect(Math.abs((got?.flowM3PerS ?? 0) / CFM / cfm - 1)).toBeLessThan(0.01);
  expect(got?.ofDelivery).toBeCloseTo((got?.flowM3PerS ?? 0) / 0.01, 9);
});

test('a pressure that goes the wrong way, or is missing, means nothing', () => {
  expect(implied(plan(80), entry('M31', 150, 90, 75))).toBeUndefined();
  expect(implied(plan(80), entry('M32', 90, 100, 75))).toBeUndefined();
  expect(implied(plan(80), { task: 'M31', intakeTemperatureC: null, readings: [] })).toBeUndefined();
});
