import { format } from 'date-fns';
import { clockIn, type SiteTime, siteTimeMs } from '@/core/log/site-clock';

/**
 * A shop time in words: “Mon 16 Nov, 16:05”. The shop's clock has no zone: the day is read at noon, which every zone has,
 * and the hour is taken as it stands, even where summer time leaves it out.
 */
export function sayTime(time: SiteTime): string {
  if (!Number.isFinite(siteTimeMs(time))) return time;
  const [day, hour] = time.split('T');
  return `${format(new Date(`${day}T12:00`), 'EEE d MMM')}, ${hour}`;
}

/** A moment in words, on the clock of this device: “16 Nov 2026, 16:05”. */
export const sayMoment = (at: string): string => format(new Date(at), 'd MMM yyyy, HH:mm');

let siteZone = '';
/** Whose clock counts while a line is open: that of its site, or where none is said that of this device. */
export function setSiteZone(zone: string): void {
  siteZone = zone;
}

/** Now, on the clock of the site whose line is open. */
export const nowOnTheWall = (): SiteTime => clockIn(siteZone, Date.now());
