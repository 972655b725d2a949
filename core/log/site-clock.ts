import type { Working } from '../plan/survey';
import { calendarDayOf, spansOf, workedBetween } from '../plan/working-time';
import { HOUR_MS } from '../quantity/constants';

/**
 * Times of the log are the shop's own wall clock, `YYYY-MM-DDTHH:mm`, without a zone: what the person saw on the wall.
 * They sort as text.
 */
export type SiteTime = string;

const PATTERN = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;
const DAY_MS = 24 * HOUR_MS;

/**
 * Milliseconds on a clock without zones or leap hours, for differences only; NaN if the text is no real time.
 * @example siteTimeMs('1970-01-01T00:01') // 60000
 */
export function siteTimeMs(time: SiteTime): number {
  const m = PATTERN.exec(time);
  if (!m) return Number.NaN;
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0] = m.slice(1).map(Number);
  const ms = Date.UTC(year, month - 1, day, hour, minute);
  return siteTimeOf(ms) === time ? ms : Number.NaN; // 31 February and 25 o'clock come back as another time
}

/**
 * The inverse of {@link siteTimeMs}.
 * @example siteTimeOf(60000) // '1970-01-01T00:01'
 */
export function siteTimeOf(ms: number): SiteTime {
  return new Date(ms).toISOString().slice(0, 16);
}

/**
 * The clock on the wall in a time zone at a moment.
 * @param zone of the IANA time zone database; empty for that of the machine
 * @param ms since 1970 in universal time
 * @throws RangeError where there is no such zone
 * @example clockIn('Asia/Tokyo', 0) // '1970-01-01T09:00'
 */
export function clockIn(zone: string, ms: number): SiteTime {
  // Swedish writes a date as ISO 8601 does.
  const written = new Intl.DateTimeFormat('sv-SE', {
    dateStyle: 'short',
    timeStyle: 'short',
    ...(zone !== '' && { timeZone: zone }),
  });
  return written.format(ms).replace(/\s/, 'T');
}

/**
 * Whether a time zone is known here.
 * @param zone of the IANA time zone database
 * @example isZone('Mars/Olympus') // false
 */
export function isZone(zone: string): boolean {
  try {
    return clockIn(zone, 0) !== '';
  } catch {
    return false;
  }
}

/**
 * Working hours between two times by the weekly pattern, its shifts and holidays.
 * @returns hours ≥ 0
 * @example workingHoursBetween('2026-11-16T08:00', '2026-11-17T12:00', { days: [1,2,3,4,5], startsAtH: 8, endsAtH: 17 }) // 13
 */
export function workingHoursBetween(
  since: SiteTime,
  until: SiteTime,
  working: Pick<Working, 'days' | 'startsAtH' | 'endsAtH' | 'shifts' | 'holidays'>,
): number {
  const from = siteTimeMs(since);
  const to = siteTimeMs(until);
  if (!(to > from)) return 0;
  let hours = 0;
  for (let midnight = Math.floor(from / DAY_MS) * DAY_MS; midnight < to; midnight += DAY_MS) {
    const spans = spansOf(working, calendarDayOf(midnight), calendarDayOf(midnight - DAY_MS));
    hours += workedBetween(spans, (from - midnight) / HOUR_MS, (to - midnight) / HOUR_MS);
  }
  return hours;
}
