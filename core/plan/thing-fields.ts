import { z } from 'zod';
import { dayField, timeField } from './date-fields';
import { filesSchema } from './file-fields';

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`).default('');

/** A setting as it was last found: of a regulator, a switch, a timer, a valve. */
const settingSchema = z.strictObject({
  what: z.string().trim().min(1, 'Say what is set.').max(60, 'At most 60 characters.'),
  value: z.string().trim().min(1, 'Say how it is set.').max(80, 'At most 80 characters.'),
  foundOn: dayField,
});

/** A time that a thing spent in a line: its log there is found by the line and the stage. */
const staySchema = z.strictObject({
  planId: z.uuid(),
  stageId: z.string().max(64),
  /** What line and stage were called. */
  line: z.string().max(80),
  stage: z.string().max(60),
  from: dayField.optional(),
  to: dayField,
});

/** What was done to a thing, or read at it, in a line where it is no longer: its log there, as it was when it left. */
const pastSchema = z.strictObject({
  at: timeField,
  kind: z.string().max(20),
  task: z.string().max(8).nullable(),
  result: z.string().max(20).nullable(),
  what: z.string().max(500),
  who: z.string().max(60),
  readings: z.array(z.strictObject({ of: z.string().max(20), value: z.number() })).max(12),
});
export type Past = z.infer<typeof pastSchema>;
/** So much of its log a thing takes along: the newest. */
export const MOST_PAST = 80;

/** What is installed, as its plate and its owner tell it. None of it changes a figure. */
export const thingSchema = z
  .strictObject({
    maker: text(80),
    model: text(80),
    serial: text(80),
    installedOn: dayField.optional(),
    warrantyUntil: dayField.optional(),
    /** How this one opens. */
    opens: text(300),
    settings: z.array(settingSchema).max(12, 'At most 12 settings.').default([]),
    /** Room that its plate asks for round it, m. */
    clearanceM: z.number().min(0).max(5, 'At most {5 m}.').optional(),
    /** Length of its cord, m, and whether something else is on its outlet. */
    cordM: z.number().min(0).max(50, 'At most {50 m}.').optional(),
    outlet: z.enum(['own', 'shared']).optional(),
    /** Its plate, its manual, its certificates. */
    files: filesSchema.default([]),
    /** Where it was before, the oldest first. */
    stays: z.array(staySchema).max(60, 'At most 60 places.').default([]),
    /** Its log there, the newest first. */
    past: z.array(pastSchema).max(MOST_PAST).default([]),
  })
  // A thing that was elsewhere before may be installed after its warranty.
  .refine(
    ({ installedOn, warrantyUntil, stays }) =>
      !installedOn || !warrantyUntil || stays.length > 0 || warrantyUntil >= installedOn,
    {
      path: ['warrantyUntil'],
      message: 'Before the day on which it was installed.',
    },
  );
export type Thing = z.infer<typeof thingSchema>;
