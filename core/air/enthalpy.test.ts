import psychrolib from 'psychrolib';
import { HEAT_OF_MELTING, iceEnthalpy, latentHeat, moistEnthalpy, saturationSlope, waterEnthalpy } from './enthalpy';
import { saturatedHumidityRatio } from './humidity';

psychrolib.SetUnitSystem(psychrolib.SI);

test.each([
  [-20, 0.0006],
  [0, 0.003],
  [25, 0.0199],
  [60, 0.1],
  [120, 0.02],
])('moist air at %d °C and %d kg/kg as psychrolib has it', (c, ratio) => {
  expect(moistEnthalpy(1, ratio, 0, c) / psychrolib.GetMoistAirEnthalpy(c, ratio)).toBeCloseTo(1, 6);
});

test('latent heat, melting and ice as handbook tables have them (ASHRAE Fundamentals ch. 1, table 3, recalled)', () => {
  expect(latentHeat(0) / 2.5009e6).toBeCloseTo(1, 3);
  expect(latentHeat(25) / 2.4417e6).toBeCloseTo(1, 3);
  expect(Math.abs(latentHeat(100) / 2.2565e6 - 1)).toBeLessThan(0.006); // constant heat capacities
  expect(waterEnthalpy(0) - iceEnthalpy(0)).toBe(HEAT_OF_MELTING);
});

test.each([-40, -5, 5, 25, 60, 95])('the slope of saturation at %d °C is that of the curve', (c) => {
  const ratio = (t: number): number => saturatedHumidityRatio(t, 8e5);
  const slope = (ratio(c + 0.01) - ratio(c - 0.01)) / 0.02;
  expect(saturationSlope(ratio(c), c) / slope).toBeGreaterThan(0.98);
  expect(saturationSlope(ratio(c), c) / slope).toBeLessThan(1.02);
});
