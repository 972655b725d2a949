import { HOUR_MS } from '../quantity/constants';
import { midnightOf } from './calendar';
import type { Sample } from './sample';
import { type RowNote, type WeatherHours, WeatherRefused } from './weather';

const MOST_HOURS = 24 * 8; // seven days, and the part of a day in which they begin
const LONGEST_STEP_H = 12; // forecasts come by the hour or in steps of three or six
const LEAST_HOURS = 24; // less is no day to plan by (estimate)

/** Hours to come, from a midnight on. */
export interface Forecast {
  /** Midnight before its first hour, on the shop's clock. */
  readonly startMs: number;
  /** The first hour that was forecast; those before it are as that one. */
  readonly firstHour: number;
  readonly hours: WeatherHours;
  readonly notes: readonly RowNote[];
}

/**
 * Hours to come from samples in any order, straight lines between them.
 * @param nowMs the shop's clock: what lies more than a day back is left aside
 * @throws WeatherRefused where there is less than a day of it, or a gap of more than twelve hours
 * @example forecastOf(Array.from({ length: 24 }, (_, hour) => ({ row: hour, year: 2026, month: 7, day: 1, hour, minute: 0, temperatureC: 20, relativeHumidity: 0.5 })), Date.UTC(2026, 6, 1)).hours.temperatureC[1] // 20
 */
export function forecastOf(samples: readonly Sample[], nowMs: number, notes: readonly RowNote[] = []): Forecast {
  const timed = samples
    .map((s) => ({ ms: Date.UTC(s.year, s.month, s.day, s.hour, s.minute), s }))
    .filter(({ ms }) => ms > nowMs - 24 * HOUR_MS)
    .sort((a, b) => a.ms - b.ms)
    .filter(({ ms }, i, all) => i === 0 || ms > (all[i - 1] as { ms: number }).ms);
  const [first] = timed;
  const last = timed.at(-1);
  if (!first || !last)
    throw new WeatherRefused(
      samples.length > 0 ? 'All of it lies in the past: a forecast begins today.' : 'No row of it could be read.',
      notes,
    );
  const startMs = midnightOf(first.ms);
  const firstHour = Math.floor((first.ms - startMs) / HOUR_MS);
  const length = Math.min(MOST_HOURS, Math.floor((last.ms - startMs) / HOUR_MS) + 1);
  if (length - firstHour < LEAST_HOURS)
    throw new WeatherRefused(`It covers ${length - firstHour} h. A day is the least, seven days are better.`, notes);
  const temperatureC: number[] = [];
  const relativeHumidity: number[] = [];
  let k = 0;
  for (let h = 0; h < length; h++) {
    const ms = startMs + h * HOUR_MS;
    while (k + 1 < timed.length && (timed[k + 1] as { ms: number }).ms <= ms) k++;
    const a = timed[k] as (typeof timed)[number];
    const b = timed[k + 1] ?? a;
    if (b.ms - a.ms > LONGEST_STEP_H * HOUR_MS)
      throw new WeatherRefused(
        `Between rows ${a.s.row} and ${b.s.row} there are ${Math.round((b.ms - a.ms) / HOUR_MS)} h without a forecast.`,
        notes,
      );
    const t = b.ms === a.ms ? 0 : Math.min(1, Math.max(0, (ms - a.ms) / (b.ms - a.ms)));
    temperatureC.push(a.s.temperatureC + (b.s.temperatureC - a.s.temperatureC) * t);
    relativeHumidity.push(a.s.relativeHumidity + (b.s.relativeHumidity - a.s.relativeHumidity) * t);
  }
  return { startMs, firstHour, hours: { temperatureC, relativeHumidity }, notes };
}
