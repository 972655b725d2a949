import { z } from 'zod';
import { END_FAMILIES, endSchema } from '../piping/ends';
import { legsSchema } from '../piping/legs';

/** How a stage is joined to what is before it and behind it, as far as somebody looked; the rest is typical of its kind. */
export const fitSchema = z.strictObject({
  /** What is on the thing in hand. */
  in: endSchema.optional(),
  out: endSchema.optional(),
  /** The tube between it and the stage before, by its outside diameter; “close”, screwed together without one. */
  tube: z.enum(['close', ...END_FAMILIES.tube.sizes]).optional(),
  /** Length of that tube. */
  tubeM: z.number().min(0.05).max(20).optional(),
  /** The run of a pipe, a hose or a cooling run, as it is drawn; of another thing, that of the tube to it. */
  legs: legsSchema.optional(),
  /** Chains chosen in place of the best, by the joint. */
  chains: z.partialRecord(z.enum(['in', 'out', 'tube']), z.string().max(600)).optional(),
});
export type Fit = z.infer<typeof fitSchema>;

/** What has been done about a row of the bill, or a step of the assembly. */
export const TICKS = ['bought', 'shelf', 'fitted'] as const;
export type TickName = (typeof TICKS)[number];
export interface Tick {
  readonly as: TickName;
  readonly count: number;
}

/** What is true of all joints of a line. */
export const fittingSchema = z.strictObject({
  /** The pipe thread of the site. */
  thread: z.enum(['npt', 'bspt']).default('npt'),
  /** The profile of its couplers. */
  coupler: z.enum(['coupler-a', 'coupler-b', 'coupler-c', 'coupler-7.2', 'coupler-full']).default('coupler-b'),
  /** What of the bill is ticked, by its key, and how many of it: what a later change needs more is open again. */
  ticks: z
    .record(z.string().max(400), z.strictObject({ as: z.enum(TICKS), count: z.int().min(1).max(100_000) }))
    .refine((ticks) => Object.keys(ticks).length <= 1000, 'At most 1000 rows can be ticked.')
    .default({}),
});
export type Fitting = z.infer<typeof fittingSchema>;
