import { DAY_MS, HOUR_MS } from '../quantity/constants';

/** Hours of a year of 365 days. Hour 0 begins at midnight before 1 January, local standard time. */
export const YEAR_HOURS = 8760;

const MONTH_DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;
const MONTH_STARTS = MONTH_DAYS.map((_, m) => MONTH_DAYS.slice(0, m).reduce((sum: number, d) => sum + d, 0));
export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

/** An hour of the year as people say it; months count from 0, days from 1. */
export interface HourOfYear {
  readonly month: number;
  readonly day: number;
  readonly hour: number;
}

/** @returns `undefined` for 29 February, which a year of 365 days has not, and for days that no month has */
export function hourIndex({ month, day, hour }: HourOfYear): number | undefined {
  const days = MONTH_DAYS[month];
  if (days === undefined || day < 1 || day > days || hour < 0 || hour > 23) return undefined;
  return ((MONTH_STARTS[month] as number) + day - 1) * 24 + hour;
}

/**
 * The inverse of {@link hourIndex}.
 * @example hourAt(0) // {"month":0,"day":1,"hour":0}
 */
export function hourAt(index: number): HourOfYear {
  const dayOfYear = Math.floor(index / 24) % 365;
  const month = MONTH_STARTS.findLastIndex((start) => start <= dayOfYear);
  return { month, day: dayOfYear - (MONTH_STARTS[month] as number) + 1, hour: index % 24 };
}

/** Midnight of a day of the year in a real year, on a clock without zones. 29 February is passed over. */
export function midnightMs(dayOfYear: number, year: number): number {
  const { month, day } = hourAt(dayOfYear * 24);
  return Date.UTC(year, month, day);
}

/**
 * The day of the year, 0…364, of a date; 29 February counts as the 28th.
 * @example dayOfYear(Date.UTC(2026, 6, 16)) // 196
 */
export function dayOfYear(ms: number): number {
  const date = new Date(ms);
  const day = Math.min(date.getUTCDate(), MONTH_DAYS[date.getUTCMonth()] as number);
  return (MONTH_STARTS[date.getUTCMonth()] as number) + day - 1;
}

/** @example sayDay(196) // '16 Jul' */
export function sayDay(day: number): string {
  const { month, day: d } = hourAt((((day % 365) + 365) % 365) * 24);
  return `${d} ${MONTHS[month]}`;
}

/**
 * Day and hour of an hour of the year, in words.
 * @example sayHour(4695) // '15 Jul, 15:00'
 */
export function sayHour(index: number): string {
  const { month, day, hour } = hourAt(index);
  return `${day} ${MONTHS[month]}, ${String(hour).padStart(2, '0')}:00`;
}

/**
 * Hours 0…8759 of the hour that a clock shows now.
 * @example hourOf(Date.UTC(2026, 6, 16, 13, 30)) // 4717
 */
export function hourOf(ms: number): number {
  return dayOfYear(ms) * 24 + Math.floor((ms % DAY_MS) / HOUR_MS);
}

/**
 * The midnight before a time, on a clock without zones.
 * @returns ms since 1970
 * @example midnightOf(Date.UTC(1970, 0, 2, 13)) // 86400000
 */
export function midnightOf(ms: number): number {
  return Math.floor(ms / DAY_MS) * DAY_MS;
}
