import psychrolib from 'psychrolib';
import { YEAR_HOURS } from './calendar';
import { warmDayOf } from './warm-day';

/** A year of 15 °C and 50 %, but for the hours that are given. */
function year(...spells: readonly (readonly [hours: number, temperatureC: number, relativeHumidity: number])[]) {
  const temperatureC = new Float64Array(YEAR_HOURS).fill(15);
  const relativeHumidity = new Float64Array(YEAR_HOURS).fill(0.5);
  let from = 1000;
  for (const [hours, c, rh] of spells) {
    temperatureC.fill(c, from, from + hours);
    relativeHumidity.fill(rh, from, from + hours);
    from += 100;
  }
  return { temperatureC, relativeHumidity };
}

test('what 35 hours of a year exceed: the humid hour with its usual temperature, the hot hour, and the coldest', () => {
  psychrolib.SetUnitSystem(psychrolib.SI);
  // 36 hours of thunderstorms, 35 just below them, a dry heat wave, a cold night.
  const day = warmDayOf(year([36, 28, 0.8], [35, 26, 0.85], [36, 38, 0.15], [1, -12, 0.9]), 101_325);
  const intakeC = (36 * 28 + 35 * 26) / 71;
  const ratio = psychrolib.GetHumRatioFromRelHum(28, 0.8, 101_325);
  expect(day.intakeC).toBeCloseTo(intakeC, 9);
  expect(day.intakeHumidity).toBeCloseTo(psychrolib.GetRelHumFromHumRatio(intakeC, ratio, 101_325), 3);
  expect([day.hottestC, day.coldestC]).toEqual([38, -12]);
});

test('what comes for 35 hours only is exceeded: it is not designed for', () => {
  const day = warmDayOf(year([35, 28, 0.8], [35, 38, 0.15]), 101_325);
  expect(day.hottestC).toBe(28);
  const ratio = psychrolib.GetHumRatioFromRelHum(38, 0.15, 101_325); // the next most humid
  const had = psychrolib.GetHumRatioFromRelHum(day.intakeC, day.intakeHumidity, 101_325);
  expect(had / ratio).toBeCloseTo(1, 3);
});
