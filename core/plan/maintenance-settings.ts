import { z } from 'zod';
import { dayField } from './date-fields';
import { idField } from './survey';

/** How much of the usual routine a shop does. What prevents danger is done at its usual interval at every level. */
export const LEVELS = {
  essential: 'essential: what keeps it safe and dry',
  normal: 'normal: what most shops keep up',
  thorough: 'thorough: as in handbooks',
} as const;
export type Level = keyof typeof LEVELS;

const taskId = z.string().regex(/^[A-Z]\d{2}[A-Z]?$/, 'Not a task.');
const who = z.string().trim().max(60, 'At most 60 characters.');

/** What a person decides of the routine: when it began, what is pinned, left out, who does what, and the route. */
export const maintenanceSchema = z.strictObject({
  /** Shop day on which the routine was begun; what was never logged counts from here. */
  startedOn: dayField.nullable().default(null),
  /** How much of it is done; older lines do all of it. */
  level: z.enum(Object.keys(LEVELS) as [Level]).default('thorough'),
  /** Intervals that a person holds fast, days. */
  pins: z
    .array(
      z.strictObject({
        stageId: idField,
        task: taskId,
        days: z.number().min(0.1, 'At least a tenth of a day.').max(3660, 'At most ten years.'),
      }),
    )
    .max(400)
    .default([]),
  /** Tasks that are not done here, with the reason. */
  leftOut: z
    .array(z.strictObject({ stageId: idField, task: taskId, reason: z.string().trim().min(1, 'Say why.').max(300) }))
    .max(400)
    .default([]),
  /** Who does the rounds, and who what needs a shutdown. */
  rounds: who.default(''),
  shutdowns: who.default(''),
  /** The route on foot, by stages; those that are not named come behind, in the order of flow. */
  way: z.array(idField).max(200).default([]),
});
export type MaintenanceSettings = z.infer<typeof maintenanceSchema>;
