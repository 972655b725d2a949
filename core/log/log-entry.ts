import { z } from 'zod';
import { timeField } from '../plan/date-fields';
import { placeSchema } from '../plan/survey';
import { READINGS, type ReadingName } from './readings';
import { siteTimeMs } from './site-clock';

/** What somebody writes into the log, besides drains. */
export const ENTRY_KINDS = {
  done: 'task',
  reading: 'reading',
  change: 'element or media changed',
  regeneration: 'beads dried',
  discard: 'beads discarded',
  repair: 'repair',
  adjustment: 'adjustment',
  leak: 'leak',
  test: 'test',
  observation: 'observation',
  complaint: 'complaint from a job',
  finding: 'search for a fault',
  'put-off': 'postponed',
} as const;
export type EntryKind = keyof typeof ENTRY_KINDS;

export const RESULTS = { ok: 'as it should be', 'not-ok': 'not as it should be', 'could-not': 'could not' } as const;

/** Instruments and the standard uncertainty that they give, relative; “by hand” is a very wide band (common practice). */
export const INSTRUMENTS: Readonly<
  Record<string, { readonly label: string; readonly rel: number; readonly absK: number }>
> = {
  hand: { label: 'by hand, by eye', rel: 0.3, absK: 15 },
  fitted: { label: 'fitted gauge or display', rel: 0.03, absK: 3 },
  good: { label: 'a good instrument', rel: 0.01, absK: 1 },
  calibrated: { label: 'calibrated, with certificate', rel: 0.005, absK: 0.5 },
};

const siteTime = z
  .string()
  .refine((t) => Number.isFinite(siteTimeMs(t)), 'Not a date and time. Use the form 2026-11-23T08:30.');

/** Limits beyond which a reading cannot be: a typing error, SI. */
const RANGES: Record<ReadingName, readonly [least: number, most: number]> = {
  amount: [0, 0.2],
  temperature: [-60, 400],
  humidity: [0, 1],
  'dew-point': [-100, 100],
  'pressure-drop': [0, 1e6],
  'pressure-static': [5e4, 45e5],
  'pressure-flowing': [5e4, 45e5],
  'pressure-from': [5e4, 45e5],
  'pressure-to': [5e4, 45e5],
  'cut-in': [1e5, 45e5],
  'cut-out': [1e5, 45e5],
  hours: [0, 3.6e9],
  seconds: [0, 86_400],
  flow: [0, 5],
  weight: [0, 5000],
  'weight-wet': [0, 5000],
  level: [0, 1],
  spent: [0, 1],
  oil: [0, 0.05],
  'oil-content': [0, 1e-3],
};

const readingSchema = z
  .strictObject({
    of: z.enum(Object.keys(READINGS) as [ReadingName, ...ReadingName[]]),
    value: z.number(),
  })
  .superRefine(({ of, value }, ctx) => {
    const [least, most] = RANGES[of];
    if (!(value >= least && value <= most))
      ctx.addIssue({
        code: 'custom',
        path: ['value'],
        message: `${READINGS[of].label}: that cannot be. Look at the unit.`,
      });
  });
export type Reading = z.infer<typeof readingSchema>;

const id = z.uuid('The entry needs an id.');

/** A search for a fault with all its steps: it can be left, handed over, and gone on with. */
const findingSchema = z.strictObject({
  state: z.enum(['open', 'found', 'not-found']),
  /** Where the complaint shows; nothing where that is not said. */
  at: z.string().max(64).nullable(),
  /** What was read, in the order of the checks, SI; of a check that is looked at, 1 or 0. */
  readings: z
    .array(z.strictObject({ check: z.string().min(1).max(120), value: z.number(), at: siteTime.nullable() }))
    .max(60, 'At most 60 readings.'),
  /** Checks that could not be done. */
  cannot: z.array(z.string().max(120)).max(60),
  /** The cause, in words, and how sure of it one was. */
  cause: z.string().max(300).nullable(),
  sure: z.number().min(0).max(1).nullable(),
});
export type FindingRecord = z.infer<typeof findingSchema>;

/** An entry as the client writes it. The id is the client’s, so that a repeated write is one write. */
export const logEntrySchema = z
  .strictObject({
    id,
    kind: z.enum(Object.keys(ENTRY_KINDS) as [EntryKind, ...EntryKind[]]),
    /** The thing that it concerns; empty for the whole line. */
    stageId: z.string().max(64),
    /** The task that it does or postpones. */
    task: z.string().max(8).nullable().default(null),
    measuredAt: siteTime,
    who: z.string().trim().min(1, 'Say who.').max(60, 'At most 60 characters.'),
    result: z
      .enum(Object.keys(RESULTS) as [keyof typeof RESULTS, ...(keyof typeof RESULTS)[]])
      .nullable()
      .default(null),
    /** The charge of beads that it concerns; with a change, the one that goes in. */
    chargeId: id.nullable().default(null),
    /** What was done, seen, changed, set or complained of. */
    what: z.string().trim().max(500, 'At most 500 characters.').default(''),
    readings: z.array(readingSchema).max(12).default([]),
    instrument: z.enum(Object.keys(INSTRUMENTS) as [string, ...string[]]).default('hand'),
    /** What the compressor breathed then; left out, the air of the survey. */
    intakeTemperatureC: placeSchema.shape.temperatureC.unwrap().nullable().default(null),
    intakeRelativeHumidity: placeSchema.shape.relativeHumidity.unwrap().nullable().default(null),
    /** Postponed until then. */
    until: timeField.nullable().default(null),
    /** The symptom of a complaint, by its id. */
    symptom: z.string().max(8).nullable().default(null),
    /** The search for the cause of its symptom. */
    finding: findingSchema.nullable().default(null),
    /** The entry that it corrects; both stay. */
    amends: id.nullable().default(null),
    photoId: id.nullable().default(null),
  })
  .superRefine((e, ctx) => {
    const refuse = (field: string, message: string) => ctx.addIssue({ code: 'custom', path: [field], message });
    if (siteTimeMs(e.measuredAt) < Date.UTC(2000, 0, 1)) refuse('measuredAt', 'That is before the year 2000.');
    if (e.kind === 'put-off') {
      if (e.task === null) refuse('task', 'Say which task.');
      if (e.what === '') refuse('what', 'Say why it is postponed.');
      if (e.until === null || e.until <= e.measuredAt) refuse('until', 'Say until when: later than now.');
    }
    if (e.kind === 'done' && e.task === null) refuse('task', 'Say which task.');
    if (e.result === 'could-not' && e.what === '') refuse('what', 'Say what was in the way.');
    const says = ['observation', 'repair', 'adjustment', 'leak'];
    if (says.includes(e.kind) && e.what === '') refuse('what', 'Say what.');
    if (e.kind === 'complaint' && e.what === '' && e.symptom === null) refuse('what', 'Say what is wrong.');
    if ((e.kind === 'finding') !== (e.finding !== null)) refuse('finding', 'A search for a fault has its steps.');
    if (e.kind === 'finding' && e.symptom === null) refuse('symptom', 'Say what is wrong.');
    if (e.kind === 'reading' && e.readings.length === 0) refuse('readings', 'A reading needs a number.');
    if (new Set(e.readings.map((r) => r.of)).size < e.readings.length)
      refuse('readings', 'Each reading once in an entry.');
    if ((e.kind === 'regeneration' || e.kind === 'discard') && e.stageId === '' && e.chargeId === null)
      refuse('stageId', 'Say where, or log it under Desiccant & elements.');
    const [wet, dry] = (['weight-wet', 'weight'] as const).map((of) => e.readings.find((r) => r.of === of)?.value);
    if (e.kind === 'regeneration' && wet !== undefined && dry !== undefined && dry > wet)
      refuse('readings', 'Heavier after drying than before: the same tray, cooled closed?');
    if (e.amends === e.id) refuse('amends', 'An entry cannot correct itself.');
  });
export type LogEntry = z.infer<typeof logEntrySchema>;

/** An entry as the log shows it. */
export interface LoggedEntry extends LogEntry {
  readonly stageName: string;
  readonly enteredAt: string;
  /** What the plan expected of each reading when it was entered, in the order of the readings. */
  readonly expected: readonly (ExpectedReading | null)[];
}

/** What the lives of charges and elements rest on, of an entry. */
export type LifeEntry = Pick<
  LoggedEntry,
  | 'id'
  | 'kind'
  | 'stageId'
  | 'task'
  | 'measuredAt'
  | 'enteredAt'
  | 'chargeId'
  | 'readings'
  | 'expected'
  | 'amends'
  | 'result'
>;

/** What the walk expects of a reading, with its band, SI. */
export interface ExpectedReading {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/**
 * The entries that stand: those that a later one corrects are superseded.
 * @example standingEntries([{ id: 'a', amends: null }, { id: 'b', amends: 'a' }]).map((e) => e.id) // ["b"]
 */
export function standingEntries<E extends Pick<LogEntry, 'id' | 'amends'>>(entries: readonly E[]): E[] {
  const corrected = new Set(entries.flatMap((e) => (e.amends ? [e.amends] : [])));
  return entries.filter((e) => !corrected.has(e.id));
}
