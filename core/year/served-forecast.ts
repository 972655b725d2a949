import { z } from 'zod';
import { timeOf } from './read-csv';
import { airOfReadings, type Sample } from './sample';
import type { RowNote } from './weather';

/** What a forecast service answers: open JSON, hours on the clock of the place. */
export const servedForecastSchema = z.object({
  place: z.string().max(120),
  places: z
    .array(z.object({ id: z.string().max(60), name: z.string().max(120) }))
    .max(500)
    .default([]),
  hours: z
    .array(z.object({ time: z.string().max(40), temperatureC: z.number(), relativeHumidity: z.number() }))
    .min(1)
    .max(1000),
});
export type ServedForecast = z.infer<typeof servedForecastSchema>;

/**
 * The samples of an answer, and which of its hours make no sense.
 * @example samplesOf({ hours: [] }).samples.length // 0
 */
export function samplesOf({ hours }: ServedForecast): { samples: Sample[]; notes: RowNote[] } {
  const samples: Sample[] = [];
  const notes: RowNote[] = [];
  hours.forEach(({ time, temperatureC, relativeHumidity }, i) => {
    const at = timeOf(time, 'day-first');
    const air = airOfReadings({ temperatureC, relativeHumidity, dewPointC: Number.NaN });
    if (!at) notes.push({ row: i + 1, message: `no such time: “${time.slice(0, 25)}”` });
    else if (typeof air === 'string') notes.push({ row: i + 1, message: air });
    else samples.push({ row: i + 1, ...at, ...air });
  });
  return { samples, notes };
}
