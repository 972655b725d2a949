import { airOfReadings, type Sample } from './sample';
import { WeatherRefused } from './weather';

/** Which columns of a table are what, and in what units: found by name, and asked where the names do not tell. */
export interface CsvLayout {
  readonly time: number;
  /** Where the date has a column of its own; else −1. */
  readonly date: number;
  readonly temperature: number;
  /** −1 where there is none. */
  readonly humidity: number;
  readonly dewPoint: number;
  readonly unit: 'C' | 'F';
  readonly order: 'day-first' | 'month-first';
  /** What could not be told from the names and values, so that it is asked. */
  readonly asks: readonly ('unit' | 'order')[];
}

const NAMES = {
  dewPoint: /dew|taupunkt|ros[ée]e|td\b|dwpt|dpt/i,
  humidity: /humid|feucht|humedad|\brh\b|\brf\b|\bhr\b|relhum/i,
  temperature: /temp|dry.?bulb|lufttemp|\bt2m\b|\btmp\b|\bt\b|\bta\b|\btt\b|°[cf]/i,
  time: /time|zeit|hour|stunde|heure|hora|stamp|valid/i,
  date: /date|datum|fecha|\bday\b|\btag\b/i,
} as const;

/** A cell as a number, with a decimal point or comma. */
export function numberOf(text: string | undefined): number {
  const plain = (text ?? '').trim().replace(/[°%cCfF\s]+$/u, '');
  if (plain === '') return Number.NaN;
  const value = Number(/^-?\d{0,4},\d+$/.test(plain) ? plain.replace(',', '.') : plain);
  return Math.abs(value) >= 998 ? Number.NaN : value; // 999, −999, 9999: the usual words for “missing”
}

/**
 * Finds the columns of a table of weather by their names.
 * @param head the first row, @param sample some rows below it
 * @throws WeatherRefused where there is no column of times, or none of temperature, or neither humidity nor dew point
 * @example layoutOf(['time', 'temperature', 'humidity'], [['2026-01-01 00:00', '12', '60']]).temperature // 1
 */
export function layoutOf(head: readonly string[], sample: readonly (readonly string[])[]): CsvLayout {
  const taken = new Set<number>();
  const find = (pattern: RegExp): number => {
    const i = head.findIndex((name, k) => !taken.has(k) && pattern.test(name.replaceAll('_', ' ')));
    if (i >= 0) taken.add(i);
    return i;
  };
  const dewPoint = find(NAMES.dewPoint);
  const humidity = find(NAMES.humidity);
  const date = find(NAMES.date);
  const time = find(NAMES.time);
  const temperature = find(NAMES.temperature);
  const given = `Its columns are: ${head.map((h) => h.trim() || '–').join(', ')}.`;
  if (time < 0 && date < 0) throw new WeatherRefused(`No column is named for the time. ${given}`);
  if (temperature < 0) throw new WeatherRefused(`No column is named for the temperature. ${given}`);
  if (humidity < 0 && dewPoint < 0)
    throw new WeatherRefused(`No column is named for the humidity or the dew point. ${given}`);
  const label = head[temperature] ?? '';
  const named = /fahrenheit|°\s*f|[([ _]f[)\] ]?$/i.test(label)
    ? 'F'
    : /celsius|°\s*c|[([ _]c[)\] ]?$/i.test(label)
      ? 'C'
      : undefined;
  const at = time >= 0 ? time : date;
  const dates = sample.map((r) => r[date >= 0 ? date : at] ?? '');
  const parts = dates.map((d) => /^\s*(\d{1,2})[./-](\d{1,2})[./-]\d{4}/.exec(d)).filter((m) => m !== null);
  const dayFirst = parts.some((m) => Number(m[1]) > 12) || dates.some((d) => /^\s*\d{1,2}\.\d/.test(d));
  const monthFirst = parts.some((m) => Number(m[2]) > 12);
  const hottest = Math.max(...sample.map((r) => numberOf(r[temperature])).filter(Number.isFinite), -99);
  return {
    time: at,
    date: time >= 0 ? date : -1,
    temperature,
    humidity,
    dewPoint,
    unit: named ?? (hottest > 55 ? 'F' : 'C'),
    order: monthFirst && !dayFirst ? 'month-first' : 'day-first',
    asks: [
      ...(named === undefined ? (['unit'] as const) : []),
      ...(parts.length > 0 && !dayFirst && !monthFirst ? (['order'] as const) : []),
    ],
  };
}

interface Time {
  year: number;
  month: number;
  day: number;
  hour: number;
  minute: number;
}

const ISO = /^(\d{4})[-/.]?(\d{2})[-/.]?(\d{2})[T ]?(?:(\d{1,2}):?(\d{2})?)?/;
const OTHER = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})(?:[ T]+(\d{1,2})[:.]?(\d{2})?)?/;
const CLOCK = /^(\d{1,2})[:.h]?(\d{2})?/;

/**
 * The wall clock of a row, as it stands there: zones and seconds are left aside.
 * @example timeOf('2026-07-16 13:00', 'day') // {"year":2026,"month":6,"day":16,"hour":13,"minute":0}
 */
export function timeOf(text: string, order: CsvLayout['order'], clock?: string): Time | undefined {
  const s = text.trim();
  const iso = ISO.exec(s);
  const other = iso ? null : OTHER.exec(s);
  const m = iso ?? other;
  if (!m) return undefined;
  const [, a, b, c, h, min] = m;
  const [year, month, day] = iso ? [a, b, c] : order === 'month-first' ? [c, a, b] : [c, b, a];
  const own = clock === undefined ? undefined : CLOCK.exec(clock.trim());
  const pm = /p\.?m\.?\s*$/i.test(clock ?? s);
  const am = /a\.?m\.?\s*$/i.test(clock ?? s);
  let hour = Number(own?.[1] ?? h ?? 0);
  if (pm && hour < 12) hour += 12;
  if (am && hour === 12) hour = 0;
  const time = {
    year: Number(year),
    month: Number(month) - 1,
    day: Number(day),
    hour,
    minute: Number(own?.[2] ?? min ?? 0),
  };
  // 24:00 is the next midnight; any other time must exist.
  const ms = Date.UTC(time.year, time.month, time.day, time.hour, time.minute);
  const back = new Date(ms);
  if (
    time.hour > (time.minute === 0 ? 24 : 23) ||
    time.minute > 59 ||
    new Date(Date.UTC(time.year, time.month, time.day)).getUTCDate() !== time.day
  )
    return undefined;
  return {
    year: back.getUTCFullYear(),
    month: back.getUTCMonth(),
    day: back.getUTCDate(),
    hour: back.getUTCHours(),
    minute: back.getUTCMinutes(),
  };
}

/**
 * What a row of a table gives: a sample, or what is wrong with it; nothing for an empty row.
 * @param row its number in the table, for what is said of it
 * @example sampleOfRow(['2026-01-01 00:00', '12', '60'], 2, layoutOf(['time', 'temperature', 'humidity'], [['2026-01-01 00:00', '12', '60']])).relativeHumidity // 0.6
 */
export function sampleOfRow(cells: readonly string[], row: number, layout: CsvLayout): Sample | string | undefined {
  if (cells.every((c) => c.trim() === '')) return undefined;
  const { date, time, unit } = layout;
  const stamp = cells[date >= 0 ? date : time] ?? '';
  const at = timeOf(stamp, layout.order, date >= 0 ? cells[time] : undefined);
  if (!at) return `no such time: “${stamp.slice(0, 25)}”`;
  const celsius = (column: number): number => {
    const value = column < 0 ? Number.NaN : numberOf(cells[column]);
    return unit === 'F' ? (value - 32) / 1.8 : value;
  };
  const air = airOfReadings({
    temperatureC: celsius(layout.temperature),
    dewPointC: celsius(layout.dewPoint),
    relativeHumidity: layout.humidity < 0 ? Number.NaN : numberOf(cells[layout.humidity]) / 100,
  });
  return typeof air === 'string' ? air : { row, ...at, ...air };
}
