import { z } from 'zod';

// Far enough on both sides for any compressor that still runs, and for what is planned with it.
const FIRST_YEAR = 1990;
const LAST_YEAR = 2100;

/** Whether a text that begins with YYYY-MM-DD names a day that there is, in the years of the program. */
function isDay(text: string): boolean {
  const day = text.slice(0, 10);
  const ms = Date.parse(`${day}T00:00Z`);
  const year = Number(day.slice(0, 4));
  // A 31 February comes back as another day.
  return year >= FIRST_YEAR && year <= LAST_YEAR && !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(day);
}
const NO_SUCH_DAY = `There is no such day between ${FIRST_YEAR} and ${LAST_YEAR}.`;

/** A day on the shop’s calendar. */
export const dayField = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'A day, YYYY-MM-DD.')
  .refine(isDay, NO_SUCH_DAY);

/** A time on the shop’s clock. */
export const timeField = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d$/, 'A time of the shop’s clock, YYYY-MM-DDTHH:mm.')
  .refine(isDay, NO_SUCH_DAY);

/** A day of any year; 29 February is one. */
export const monthDayField = z
  .string()
  .regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'A day of the year, MM-DD.')
  .refine((day) => isDay(`2000-${day}`), 'There is no such day.');
