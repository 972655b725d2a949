import { WATER_KG_PER_M3 } from '../quantity/constants';
import { DRY_WEEKLY_KG } from './drain-work';

/** How long a sump takes to fill, and how often somebody has to come. */
export interface HandDraining {
  /** Of loaded running, and of working time, until the mark is reached, s; infinite where nothing comes. */
  readonly loadedS: number;
  readonly workedS: number;
  /** Visits in a working day that keep it below the mark; less than one where days may be left out. */
  readonly perDay: number;
}

/**
 * @param loadedShare of the working time, 0…1
 * @param workedHoursPerDay h, above 0
 * @example handDraining(2.4 / 3600, 5e-3, 0.5, 8).perDay // 1.92
 */
export function handDraining(
  kgPerS: number,
  sumpM3: number,
  loadedShare: number,
  workedHoursPerDay: number,
): HandDraining {
  const loadedS = kgPerS > 0 ? (sumpM3 * WATER_KG_PER_M3) / kgPerS : Number.POSITIVE_INFINITY;
  const workedS = loadedShare > 0 ? loadedS / loadedShare : Number.POSITIVE_INFINITY;
  return { loadedS, workedS, perDay: (workedHoursPerDay * 3600) / workedS };
}

/** Visits a day by hand, estimates: more often is a burden, and more than hourly is nobody’s routine. */
export const OFTEN_A_DAY = 3;
export const MOST_A_DAY = 8;
/** Fills so slowly, in visits a day, that a day may be left out where little comes (estimate). */
const SLOW_A_DAY = 0.2;

/**
 * How often, in words, from visits a day and water a day.
 * @example howOften(1.3, 0.9) // 'twice a day'
 */
export function howOften(perDay: number, kgPerDay: number, salty = false): string {
  if (salty) return perDay > OFTEN_A_DAY ? 'every hour, also while it idles' : 'each shift, also while it idles';
  if (perDay > MOST_A_DAY) return 'more often than is practical: fit an automatic drain';
  if (perDay > OFTEN_A_DAY) return `every ${Math.max(1, Math.floor(8 / perDay))} h`;
  if (perDay > 2) return 'three times a day';
  if (perDay > 1) return 'twice a day';
  if (kgPerDay >= DRY_WEEKLY_KG || perDay > SLOW_A_DAY) return 'daily';
  return kgPerDay > 0 ? 'weekly' : 'look weekly; nothing is expected';
}

/**
 * Water that stands under the mark of a round bowl.
 * @source volume of a cylinder; a tapered or domed bowl holds a tenth less (estimate)
 * @example bowlMarkM3(0.05, 0.02) // 0.0000353
 */
export function bowlMarkM3(boreM: number, markM: number): number {
  return 0.9 * (Math.PI / 4) * boreM ** 2 * markM;
}
