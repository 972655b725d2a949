import { relativeHumidity } from '../air/humidity';
import { WEATHER_RANGE } from './weather';

/** Air of a temperature and a mole fraction of vapour, brought into the range of the readings: what it cannot hold is fog. */
export function inRange(
  temperatureC: number,
  vapourFraction: number,
  atmosphericPa: number,
): { temperatureC: number; relativeHumidity: number } {
  const c = Math.min(WEATHER_RANGE.mostC, Math.max(WEATHER_RANGE.leastC, temperatureC));
  const rh = relativeHumidity(vapourFraction, c, atmosphericPa);
  return { temperatureC: c, relativeHumidity: Math.min(1, Math.max(WEATHER_RANGE.leastRh, rh)) };
}
