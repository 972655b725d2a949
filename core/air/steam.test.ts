import { saturationPressurePa } from './saturation';
import { MOST_STEAM_C, steamPressurePa } from './steam';

// IAPWS-IF97 steam tables (table 35 of the release, and 100 °C; recalled), MPa.
test.each([
  [26.85, 0.00353658941],
  [100, 0.101418],
  [226.85, 2.63889776],
  [300, 8.58771],
  [326.85, 12.3443146],
])('at %d °C as steam tables have it', (c, mpa) => {
  expect(steamPressurePa(c) / 1e6 / mpa).toBeCloseTo(1, 3);
});

test('goes on from the equation of moist air, and ends at the critical point', () => {
  expect(steamPressurePa(200) / saturationPressurePa(200)).toBeCloseTo(1, 3);
  expect(steamPressurePa(MOST_STEAM_C) / 22.064e6).toBeCloseTo(1, 3);
  expect(() => steamPressurePa(375)).toThrow(/temperature of steam/);
});
