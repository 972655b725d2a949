import { z } from 'zod';
import { KINDS, type KindName } from '../equipment/index';
import { END_FAMILIES, endSchema } from '../piping/ends';
import { legsSchema } from '../piping/legs';
import { timeField } from './date-fields';
import { filesSchema } from './file-fields';
import { thingSchema } from './thing-fields';

/** How a stage is joined to what is before it and behind it, as far as somebody looked; the rest is typical of its kind. */
export const fitSchema = z.strictObject({
  /** What is on the thing in hand. */
  in: endSchema.optional(),
  out: endSchema.optional(),
  drain: endSchema.optional(),
  /** The tube between it and the stage before, by its outside diameter; “close”, screwed together without one. */
  tube: z.enum(['close', ...END_FAMILIES.tube.sizes]).optional(),
  /** Length of that tube. */
  tubeM: z.number().min(0.05).max(20).optional(),
  /** The run of a pipe, a hose or a cooling run, as it is drawn; of another thing, that of the tube to it. */
  legs: legsSchema.optional(),
  /** The narrowest that the parts to it may be, m; otherwise as narrow as the narrower of the ends that meet. */
  leastBoreM: z.number().min(0.002).max(0.3).optional(),
  /** Chains chosen in place of the best, by the joint. */
  chains: z.partialRecord(z.enum(['in', 'out', 'tube']), z.string().max(600)).optional(),
});
export type Fit = z.infer<typeof fitSchema>;

/** What has been done about a row of the bill, or a step of the assembly. */
export const TICKS = ['bought', 'waiting', 'returned', 'shelf', 'fitted'] as const;
export type TickName = (typeof TICKS)[number];
const tickSchema = z.strictObject({
  as: z.enum(TICKS),
  count: z.int().min(1).max(100_000),
  /** What the row was called, so that it can be put on the shelf once the line needs it no more. */
  label: z.string().max(200).optional(),
});
export type Tick = Readonly<z.infer<typeof tickSchema>>;

const MOST_ROWS = 1000;
const byRow = <T extends z.ZodType>(value: T) =>
  z
    .record(z.string().max(400), value)
    .refine((rows) => Object.keys(rows).length <= MOST_ROWS, `At most ${MOST_ROWS} rows.`)
    .default({});

/** What was installed at a stage that is gone: it lies somewhere until it is put on a shelf or installed again. */
const takenOutSchema = z.strictObject({
  /** Of the stage. */
  id: z.string().max(64),
  name: z.string().max(60),
  kind: z.enum(Object.keys(KINDS) as [KindName, ...KindName[]]),
  thing: thingSchema,
});

/** What is true of all joints of a line. */
export const fittingSchema = z.strictObject({
  /** The pipe thread of the site. */
  thread: z.enum(['npt', 'bspt']).default('npt'),
  /** The profile of its couplers. */
  coupler: z.enum(['coupler-a', 'coupler-b', 'coupler-c', 'coupler-7.2', 'coupler-full']).default('coupler-b'),
  /** What of the bill is ticked, by its key, and how many of it: what a later change needs more is open again. */
  ticks: byRow(tickSchema),
  /** Prices of one’s own, of one piece, by the key of the row. */
  prices: byRow(z.number().min(0).max(1e6)),
  /** When the line was put into service: readings from then on are the base line that drift is judged by. */
  inServiceSince: timeField.optional(),
  /** What was taken out of the line with its stage, the newest last. */
  takenOut: z.array(takenOutSchema).max(60, 'At most 60 things.').default([]),
  /** Pictures of steps of the assembly, by the step. */
  pictures: byRow(filesSchema),
});
export type TakenOut = z.infer<typeof takenOutSchema>;
export type Fitting = z.infer<typeof fittingSchema>;
