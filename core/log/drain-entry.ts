import { z } from 'zod';
import { numberField } from '../equipment/shared/kind';
import { placeSchema } from '../plan/survey';
import { DAY_MS, HOUR_MS } from '../quantity/constants';
import { siteTimeMs } from './site-clock';

export const APPEARANCES = {
  clear: 'clear',
  milky: 'milky',
  oily: 'oily',
  rusty: 'rusty',
} as const;

/** Longest time that one drain entry may look back on. */
const LONGEST_DAYS = 366;

const siteTime = z
  .string()
  .refine((t) => Number.isFinite(siteTimeMs(t)), 'Not a date and time. Use the form 2026-11-23T08:30.');

/** What a person says when a drain has been opened. The id is made by the client, so that a repeated write is one write. */
export const drainEntrySchema = z
  .strictObject({
    id: z.uuid('The entry needs an id.'),
    stageId: z.string().min(1, 'Say which drain point.').max(64),
    drainedAt: siteTime,
    /** The time up to which the water before had gone: the drain before this one. */
    sinceAt: siteTime,
    amountM3: numberField({
      label: 'Amount',
      quantity: 'drained',
      least: 0,
      most: 0.2,
      default: 0,
      source: '',
    }).unwrap(),
    appearance: z.enum(['clear', 'milky', 'oily', 'rusty'], {
      error: 'Say how it looked: clear, milky, oily or rusty.',
    }),
    who: z.string().trim().min(1, 'Say who drained it.').max(60, 'At most 60 characters.'),
    note: z.string().trim().max(500, 'At most 500 characters.').default(''),
    /** From the hour meter, where there is one; else the working pattern counts. */
    loadedHours: z
      .number('Not a number of hours.')
      .min(0, 'Hours cannot be negative.')
      .max(9000, 'At most 9000 h.')
      .nullable()
      .default(null),
    /** What the compressor breathed in that time. */
    intakeTemperatureC: placeSchema.shape.temperatureC.unwrap(),
    intakeRelativeHumidity: placeSchema.shape.relativeHumidity.unwrap(),
  })
  .superRefine((entry, ctx) => {
    const refuse = (field: string, message: string) => ctx.addIssue({ code: 'custom', path: [field], message });
    const since = siteTimeMs(entry.sinceAt);
    const at = siteTimeMs(entry.drainedAt);
    if (at < Date.UTC(2000, 0, 1)) refuse('drainedAt', 'That is before the year 2000.');
    else if (since >= at) refuse('sinceAt', 'The drain before must be earlier than this one.');
    else if (at - since > LONGEST_DAYS * DAY_MS) refuse('sinceAt', `More than ${LONGEST_DAYS} days before this drain.`);
    else if (entry.loadedHours !== null && entry.loadedHours > (at - since) / HOUR_MS + 1e-9)
      refuse('loadedHours', 'More loaded hours than have passed between the two drains.');
  });
export type DrainEntry = z.infer<typeof drainEntrySchema>;

/** Allowed lead of a shop's wall clock over the server's UTC: the easternmost zone is UTC+14. */
const CLOCK_LEAD_MS = 14 * HOUR_MS;

/**
 * A message if the time lies ahead of now, whatever the shop's time zone.
 * @example futureMessage('2026-11-27T07:00', Date.UTC(2026, 10, 25)) === undefined // false
 */
export function futureMessage(drainedAt: string, nowMs: number): string | undefined {
  return siteTimeMs(drainedAt) > nowMs + CLOCK_LEAD_MS
    ? 'That lies in the future. Log a drain when it has been done.'
    : undefined;
}
