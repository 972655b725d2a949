import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import type { MonthMeans } from '../plan/survey';
import { inRange } from './air-in-range';
import { hourAt, YEAR_HOURS } from './calendar';
import type { WeatherHours } from './weather';

const COLDEST_HOUR = 5; // of a usual day; the warmest comes ten hours later (estimate)
const WARMEST_HOUR = 15;

/** −½ at the coldest hour, +½ at the warmest, along two half waves. */
function swing(hour: number): number {
  const rising = (hour - COLDEST_HOUR) / (WARMEST_HOUR - COLDEST_HOUR);
  if (rising >= 0 && rising <= 1) return -0.5 * Math.cos(Math.PI * rising);
  const falling = ((hour - WARMEST_HOUR + 24) % 24) / (24 - WARMEST_HOUR + COLDEST_HOUR);
  return 0.5 * Math.cos(Math.PI * falling);
}
const MEAN_SWING = Array.from({ length: 24 }, (_, h) => swing(h)).reduce((a, b) => a + b, 0) / 24;

/**
 * A year of hours from the means of its months: temperature and vapour go in straight lines from the middle of one month
 * to that of the next, the temperature swings once a day, the vapour of a day stays. It has no fronts and no
 * heat waves: peaks come out lower than in a year that was measured.
 *
 * @param months January first
 * @returns hours whose daily means run through the means given
 * @source interpolation; that vapour hardly changes in a day is common practice
 * @example yearOfMonths(new Array(12).fill({ temperatureC: 20, relativeHumidity: 0.5, swingK: 8 }), 101325).temperatureC.length // 8760
 */
export function yearOfMonths(months: readonly MonthMeans[], atmosphericPa: number): WeatherHours {
  const vapour = months.map((m) =>
    vapourFractionFromRelativeHumidity(m.relativeHumidity, m.temperatureC, atmosphericPa),
  );
  const temperatureC = new Float64Array(YEAR_HOURS);
  const relativeHumidity = new Float64Array(YEAR_HOURS);
  for (let h = 0; h < YEAR_HOURS; h++) {
    const { hour } = hourAt(h);
    const along = (h / YEAR_HOURS) * 12 - 0.5;
    const a = (Math.floor(along) + 12) % 12;
    const b = (a + 1) % 12;
    const t = along - Math.floor(along);
    const mix = (x: number, y: number): number => x + (y - x) * t;
    const [one, other] = [months[a] as MonthMeans, months[b] as MonthMeans];
    const c = mix(one.temperatureC, other.temperatureC) + mix(one.swingK, other.swingK) * (swing(hour) - MEAN_SWING);
    const air = inRange(c, mix(vapour[a] as number, vapour[b] as number), atmosphericPa);
    temperatureC[h] = air.temperatureC;
    relativeHumidity[h] = air.relativeHumidity;
  }
  return { temperatureC, relativeHumidity };
}
