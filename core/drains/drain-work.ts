import type { Drain } from '../equipment/shared/drain-fields';

/** A task that a drain brings: for which drains, how long it takes, and how often it comes at least. */
export interface DrainWork {
  readonly drains: readonly Drain[];
  readonly minutes: number;
  readonly days: number;
}

/** Tasks of drains by their ids; minutes and intervals are common practice, estimates. */
export const DRAIN_WORK = {
  M01: { drains: ['manual'], minutes: 3, days: 1 },
  M02: { drains: ['manual'], minutes: 2, days: 1 },
  M03: {
    drains: ['float', 'timer', 'unloader', 'unloader-start', 'pressure-loss', 'spitter', 'level'],
    minutes: 2,
    days: 7,
  },
  M04: { drains: ['float', 'timer', 'unloader', 'unloader-start', 'spitter'], minutes: 20, days: 150 },
  M24: { drains: ['manual'], minutes: 2, days: 0.5 },
} as const satisfies Record<string, DrainWork>;

/** Of the way to its mark a sump may be when somebody comes (estimate). */
export const COME_AT = 0.8;
/** “Daily unless predicted load < 50 mL/day; then weekly” (trade handbook). */
export const DRY_WEEKLY_KG = 0.05;
const LEAST_DAYS = 1 / 24;
const WEEK = 7;

/**
 * How often a drain is opened by hand.
 * @param usualDays by practice
 * @param fillDays in which its sump fills; left out where nothing comes
 * @param kgPerDay that comes on a working day
 * @returns days, and whether the water decides: `sooner`, or `rarely` where hardly anything comes
 * @example handDays(1, 0.5, 2, false).days // 0.4
 */
export function handDays(
  usualDays: number,
  fillDays: number | undefined,
  kgPerDay: number,
  salty: boolean,
): { readonly days: number; readonly water?: 'sooner' | 'rarely' } {
  if (fillDays !== undefined && fillDays * COME_AT < usualDays)
    return { days: Math.max(LEAST_DAYS, fillDays * COME_AT), water: 'sooner' };
  if (kgPerDay < DRY_WEEKLY_KG && !salty)
    return { days: Math.min(WEEK, fillDays === undefined ? WEEK : fillDays * COME_AT), water: 'rarely' };
  return { days: usualDays };
}

/** Days of the twelve months by which the routine counts its minutes. */
export const YEAR_DAYS = 12 * 30.4;
