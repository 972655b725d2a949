import { hourAt } from './calendar';

/** Water of an hour, kg: the flow while loaded by the share of the hour in which the compressor is. */
const kgOf = (values: ArrayLike<number>, load: ArrayLike<number>, h: number): number =>
  (values[h] || 0) * (load[h] as number) * 3600;

/**
 * Water in all, kg.
 * @example totalKg([0.001, 0.002], [1, 0.5]) // 7.20
 */
export function totalKg(values: ArrayLike<number>, load: ArrayLike<number>): number {
  let sum = 0;
  for (let h = 0; h < load.length; h++) sum += kgOf(values, load, h);
  return sum;
}

/**
 * Water of each day, kg.
 * @example dailyKg(new Array(24).fill(0.001), new Array(24).fill(0.5))[0] // 43.2
 */
export function dailyKg(values: ArrayLike<number>, load: ArrayLike<number>): Float64Array {
  const days = new Float64Array(Math.ceil(load.length / 24));
  for (let h = 0; h < load.length; h++)
    days[Math.floor(h / 24)] = (days[Math.floor(h / 24)] as number) + kgOf(values, load, h);
  return days;
}

/**
 * Water of each month of a year, kg.
 * @example monthlyKg(new Array(8760).fill(0.001), new Array(8760).fill(0.5))[0] // 1339
 */
export function monthlyKg(values: ArrayLike<number>, load: ArrayLike<number>): number[] {
  const months = new Array<number>(12).fill(0);
  for (let h = 0; h < load.length; h++) {
    const { month } = hourAt(h);
    months[month] = (months[month] as number) + kgOf(values, load, h);
  }
  return months;
}

/**
 * Mean of each month of a year, over the hours that are worked; not a number where none is.
 * @example monthlyMean(new Array(8760).fill(3), new Array(8760).fill(0.5))[0] // 3
 */
export function monthlyMean(values: ArrayLike<number>, load: ArrayLike<number>): number[] {
  const sums = Array.from({ length: 12 }, () => ({ sum: 0, hours: 0 }));
  for (let h = 0; h < load.length; h++) {
    const value = values[h] as number;
    if (!((load[h] as number) > 0) || !Number.isFinite(value)) continue;
    const month = sums[hourAt(h).month] as { sum: number; hours: number };
    month.sum += value;
    month.hours++;
  }
  return sums.map(({ sum, hours }) => sum / hours);
}

/**
 * The values of the hours that are worked, from the largest down: entry k is exceeded, or equalled, in k + 1 hours.
 * @example Array.from(durationCurve([1, 3, 2], [1, 1, 1])) // [3,2,1]
 */
export function durationCurve(values: ArrayLike<number>, load: ArrayLike<number>): Float32Array {
  const worked: number[] = [];
  for (let h = 0; h < load.length; h++)
    if ((load[h] as number) > 0 && !Number.isNaN(values[h])) worked.push(values[h] as number);
  return Float32Array.from(worked).sort().reverse();
}

/** Hours of a year by which something may be exceeded that is designed for the worst of it: 0.4 % (ASHRAE’s design days). */
export const DESIGN_EXCEEDED_HOURS = 35;

/** An hour for which something is designed, and in how many worked hours of the year it is exceeded. */
export interface DesignHour {
  readonly hour: number;
  readonly value: number;
  readonly exceededHours: number;
}

/**
 * The hour that is exceeded in a given number of worked hours of the year.
 * @returns `undefined` where no hour is worked
 * @example designHour([1, 3, 2], [1, 1, 1], 1) // {"hour":2,"value":2,"exceededHours":1}
 */
export function designHour(
  values: ArrayLike<number>,
  load: ArrayLike<number>,
  exceededHours: number,
): DesignHour | undefined {
  const worked: number[] = [];
  for (let h = 0; h < load.length; h++) if ((load[h] as number) > 0 && !Number.isNaN(values[h])) worked.push(h);
  worked.sort((a, b) => (values[b] as number) - (values[a] as number));
  const hour = worked[Math.min(Math.max(0, Math.round(exceededHours)), worked.length - 1)];
  if (hour === undefined) return undefined;
  const value = values[hour] as number;
  return { hour, value, exceededHours: worked.filter((h) => (values[h] as number) > value).length };
}

/**
 * The seven days in a row with the most of a quantity; the year goes round.
 * @example worstWeek([0, 0, 1, 1, 1, 1, 1, 1, 1, 0, 0]) // {"firstDay":2,"sum":7}
 */
export function worstWeek(daily: ArrayLike<number>): { firstDay: number; sum: number } {
  const n = daily.length;
  let sum = 0;
  for (let d = 0; d < Math.min(7, n); d++) sum += daily[d] as number;
  let best = { firstDay: 0, sum };
  for (let d = 1; n > 7 && d < n; d++) {
    sum += (daily[(d + 6) % n] as number) - (daily[d - 1] as number);
    if (sum > best.sum) best = { firstDay: d, sum };
  }
  return best;
}

/**
 * The largest value of the worked hours, and when.
 * @example peak([1, 3, 2], [1, 1, 1]) // {"hour":1,"value":3,"exceededHours":0}
 */
export function peak(values: ArrayLike<number>, load: ArrayLike<number>): DesignHour | undefined {
  return designHour(values, load, 0);
}

/** Worked hours in which a condition holds, and the first and last of them. */
export interface HoursWhen {
  readonly hours: number;
  readonly first?: number;
  readonly last?: number;
}

/**
 * Hours in which something holds, with the first and the last of them.
 * @param load left out, idle hours count too
 * @param of hours in all
 * @example hoursWhen([1, 1, 0], 3, (h) => h > 0) // {"hours":1,"first":1,"last":1}
 */
export function hoursWhen(load: ArrayLike<number> | undefined, of: number, holds: (h: number) => boolean): HoursWhen {
  let hours = 0;
  let first: number | undefined;
  let last: number | undefined;
  for (let h = 0; h < of; h++) {
    if ((load && !((load[h] as number) > 0)) || !holds(h)) continue;
    hours++;
    first ??= h;
    last = h;
  }
  return { hours, ...(first !== undefined && { first }), ...(last !== undefined && { last }) };
}
