import { z } from 'zod';
import { chargeSchema } from '../../core/log/charge';
import { drainEntrySchema } from '../../core/log/drain-entry';
import { logEntrySchema } from '../../core/log/log-entry';
import { planSchema, revisionNameSchema } from '../../core/plan/plan';
import { QUANTITIES, type QuantityName } from '../../core/quantity/units';

export const COPY_FORMAT = 'cool-dram-line';
export const COPY_VERSION = 1;

const at = z.iso.datetime();
const number = z.number();
const stageName = z.string().max(60);
const quantity = z.enum(['number', ...(Object.keys(QUANTITIES) as QuantityName[])]);
const text = z.string().max(2000);
const driver = z.strictObject({ label: text, effect: number });
/** “Why?” of a figure, as it was answered on the day. */
const why = z.strictObject({
  title: text,
  quantity,
  value: number,
  words: text.optional(),
  formula: text,
  source: text,
  note: text.optional(),
  inputs: z.array(z.strictObject({ label: text, quantity, value: number, from: text })).max(100),
  band: z.strictObject({ value: number, low: number, high: number, drivers: z.array(driver).max(100) }).optional(),
});

/** The first line of a copy: the line as it stands. */
const lineRecord = z.strictObject({
  of: z.literal('line'),
  format: z.literal(COPY_FORMAT),
  version: z.literal(COPY_VERSION),
  id: z.uuid(),
  madeAt: at,
  plan: planSchema,
});

/** A line of a copy: one thing that is kept of a line, with what was kept beside it on its day. */
export const recordSchema = z.discriminatedUnion('of', [
  lineRecord,
  z.strictObject({ of: z.literal('revision'), id: z.uuid(), name: revisionNameSchema, at, plan: planSchema }),
  z.strictObject({ of: z.literal('charge'), at, charge: chargeSchema }),
  z.strictObject({ of: z.literal('photo'), id: z.uuid(), at, jpeg: z.base64().max(2_500_000) }),
  z.strictObject({ of: z.literal('file'), id: z.uuid(), at, bytes: z.base64().max(11_000_000) }),
  z.strictObject({
    of: z.literal('entry'),
    enteredAt: at,
    stageName,
    entry: logEntrySchema,
    expected: z.array(z.strictObject({ value: number, low: number, high: number }).nullable()).max(12),
  }),
  z.strictObject({
    of: z.literal('drain'),
    loggedAt: at,
    struckAt: at.nullable(),
    stageName,
    entry: drainEntrySchema,
    countedHours: number,
    expectedKg: number,
    lowKg: number,
    highKg: number,
    why: why.nullable().catch(null), // of an earlier version: the figures stand without it
  }),
  /** The last line of a copy that is whole. */
  z.strictObject({ of: z.literal('end'), records: z.int() }),
]);
export type CopyRecord = z.infer<typeof recordSchema>;
