import type { Working } from './survey';

/** Part of a day of the calendar that is worked, in hours of its clock. */
export interface Span {
  readonly fromH: number;
  readonly toH: number;
}

/** A day of the calendar: the day of the week, 1 = Monday, and `MM-DD`. */
export interface CalendarDay {
  readonly isoDay: number;
  readonly monthDay: string;
}

type Pattern = Pick<Working, 'days' | 'startsAtH' | 'endsAtH'> & Partial<Pick<Working, 'shifts' | 'holidays'>>;

/**
 * The day of a midnight, on a clock without zones.
 * @example calendarDayOf(0) // {"isoDay":4,"monthDay":"01-01"}
 */
export function calendarDayOf(midnightMs: number): CalendarDay {
  const date = new Date(midnightMs);
  return { isoDay: ((date.getUTCDay() + 6) % 7) + 1, monthDay: date.toISOString().slice(5, 10) };
}

function isHoliday({ holidays = [] }: Pattern, { monthDay }: CalendarDay): boolean {
  return holidays.some(({ from, to }) =>
    from <= to ? monthDay >= from && monthDay <= to : monthDay >= from || monthDay <= to,
  );
}

/**
 * What of a day is worked, in order and without overlap; a shift over midnight goes on in the next day.
 * @example spansOf({ days: [1], startsAtH: 8, endsAtH: 17 }, { isoDay: 1, monthDay: '06-01' }, { isoDay: 7, monthDay: '05-31' }) // [{"fromH":8,"toH":17}]
 */
export function spansOf(working: Pattern, day: CalendarDay, dayBefore: CalendarDay): Span[] {
  const spans: Span[] = [];
  const shifts = [working, ...(working.shifts ?? [])];
  for (const { days, startsAtH, endsAtH } of shifts) {
    if (days.includes(day.isoDay) && !isHoliday(working, day))
      spans.push({ fromH: startsAtH, toH: endsAtH > startsAtH ? endsAtH : 24 });
    if (endsAtH <= startsAtH && days.includes(dayBefore.isoDay) && !isHoliday(working, dayBefore))
      spans.push({ fromH: 0, toH: endsAtH });
  }
  spans.sort((a, b) => a.fromH - b.fromH);
  const apart: Span[] = [];
  for (const span of spans) {
    const last = apart.at(-1);
    if (last && span.fromH <= last.toH) apart[apart.length - 1] = { ...last, toH: Math.max(last.toH, span.toH) };
    else if (span.toH > span.fromH) apart.push(span);
  }
  return apart;
}

/**
 * Hours worked between two hours of a day.
 * @example workedBetween([{ fromH: 8, toH: 12 }, { fromH: 13, toH: 17 }], 10, 14) // 3
 */
export function workedBetween(spans: readonly Span[], fromH: number, toH: number): number {
  return spans.reduce((sum, s) => sum + Math.max(0, Math.min(toH, s.toH) - Math.max(fromH, s.fromH)), 0);
}

const WEEK = [1, 2, 3, 4, 5, 6, 7] as const;

/**
 * Hours worked on each day of a week without holidays, Monday first.
 * @example hoursOfWeek({ days: [1, 2, 3, 4, 5], startsAtH: 8, endsAtH: 17 }) // [9,9,9,9,9,0,0]
 */
export function hoursOfWeek(working: Pattern): number[] {
  const at = (isoDay: number): CalendarDay => ({ isoDay, monthDay: '' });
  const plain = { ...working, holidays: [] };
  return WEEK.map((d) => workedBetween(spansOf(plain, at(d), at(((d + 5) % 7) + 1)), 0, 24));
}

/**
 * Hours that are worked in a week.
 * @example hoursPerWeek({ days: [1, 2, 3, 4, 5], startsAtH: 8, endsAtH: 17 }) // 45
 */
export function hoursPerWeek(working: Pattern): number {
  return hoursOfWeek(working).reduce((sum, h) => sum + h, 0);
}

/**
 * Share of each hour of the clock in which the compressor runs loaded while that hour is worked: the survey's share, more in
 * the hours that are busier than the mean of all worked ones, at most 1.
 * @example loadByHour(plan.survey.working)[9] // 0.4
 */
export function loadByHour(working: Working): number[] {
  const at = (isoDay: number): CalendarDay => ({ isoDay, monthDay: '' });
  const busy = working.busyByHour;
  const all = Array.from({ length: 24 }, (_, h) => busy?.[h] ?? 1);
  let worked = 0;
  let weighed = 0;
  for (const d of WEEK) {
    const spans = spansOf({ ...working, holidays: [] }, at(d), at(((d + 5) % 7) + 1));
    for (let h = 0; h < 24; h++) {
      const hours = workedBetween(spans, h, h + 1);
      worked += hours;
      weighed += hours * (all[h] as number);
    }
  }
  const mean = worked > 0 ? weighed / worked : 1;
  return all.map((b) => Math.min(1, mean > 0 ? (working.loadedShare * b) / mean : 0));
}

/** Less of the time than this is not told apart: it is a start now and then (estimate). */
const LEAST_LOADED_SHARE = 0.01;

/**
 * The share of the time that a compressor runs loaded, where so much is asked of it.
 * @param asked air asked for over air delivered; over 1 it never rests
 * @example loadedShareFor(0.4) // 0.4
 */
export const loadedShareFor = (asked: number): number => Math.min(1, Math.max(LEAST_LOADED_SHARE, asked));
