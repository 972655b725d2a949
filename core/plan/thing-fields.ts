import { z } from 'zod';
import { dayField } from './date-fields';

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`).default('');

/** A setting as it was last found: of a regulator, a switch, a timer, a valve. */
const settingSchema = z.strictObject({
  what: z.string().trim().min(1, 'Say what is set.').max(60, 'At most 60 characters.'),
  value: z.string().trim().min(1, 'Say how it is set.').max(80, 'At most 80 characters.'),
  foundOn: dayField,
});

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
  })
  .refine(({ installedOn, warrantyUntil }) => !installedOn || !warrantyUntil || warrantyUntil >= installedOn, {
    path: ['warrantyUntil'],
    message: 'Before the day on which it was installed.',
  });
export type Thing = z.infer<typeof thingSchema>;
