import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { WeatherHours } from '../year/weather';

/** A made-up year as this program does not read it: straight from the columns. */
export interface RawYear {
  readonly dryC: readonly number[];
  readonly dewC: readonly number[];
}

export function rawYear(name: 'merrow-delta-humid' | 'kestrin-plateau-cold-dry'): RawYear {
  const text = readFileSync(path.join(__dirname, `../../weather/${name}.synthetic.epw`), 'utf8');
  const rows = text.split('\n').slice(8).filter(Boolean);
  const column = (i: number): number[] => rows.map((r) => Number(r.split(',')[i]));
  return { dryC: column(6), dewC: column(7) };
}

/** Hours that are the same all year. */
export const steady = (temperatureC: number, relativeHumidity: number, hours = 8760): WeatherHours => ({
  temperatureC: new Float64Array(hours).fill(temperatureC),
  relativeHumidity: new Float64Array(hours).fill(relativeHumidity),
});
