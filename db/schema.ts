import { sql } from 'drizzle-orm';
import {
  boolean,
  char,
  customType,
  datetime,
  double,
  index,
  int,
  json,
  mysqlEnum,
  mysqlTable,
  primaryKey,
  varchar,
} from 'drizzle-orm/mysql-core';
import type { ShelfItem } from '../core/fitting/shelf';
import type { Charge } from '../core/log/charge';
import type { ExpectedReading, LogEntry } from '../core/log/log-entry';
import type { ReadingName } from '../core/log/readings';
import type { LineState } from '../core/maintenance/line-state';
import { FILE_TYPES } from '../core/plan/file-fields';
import type { Plan } from '../core/plan/plan';
import type { Derivation } from '../core/quantity/derivation';
import type { WeatherYear } from '../core/year/weather';
import { FIRST_SITE_ID, sites } from './people';

const now = () => new Date();
const STORED = { mode: 'stored' } as const;

/** What becomes of a proposal. */
export const PROPOSAL_STATES = ['open', 'accepted', 'declined', 'withdrawn'] as const;

/** A shop's line as it stands: the plan document, and the version that a writer must have seen. */
export const plans = mysqlTable(
  'plans',
  {
    id: char('id', { length: 36 }).primaryKey(),
    isDemo: boolean('is_demo').notNull().default(false),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .default(FIRST_SITE_ID)
      .references(() => sites.id),
    rowVersion: int('row_version').notNull().default(1),
    document: json('document').$type<Plan>().notNull(),
    /** When it was removed; it can be restored for some weeks (server/sites/remove-line.ts). */
    removedAt: datetime('removed_at', { mode: 'date', fsp: 3 }),
    /** When it was archived: it is on no list but that of its site. */
    archivedAt: datetime('archived_at', { mode: 'date', fsp: 3 }),
    createdAt: datetime('created_at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
    updatedAt: datetime('updated_at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
    // What lists show of it, taken from the document by the database itself, so that a list reads no documents.
    name: varchar('name', { length: 80 }).generatedAlwaysAs(sql`(LEFT(JSON_VALUE(document, '$.name'), 80))`, STORED),
    shop: varchar('shop', { length: 80 }).generatedAlwaysAs(
      sql`(LEFT(JSON_VALUE(document, '$.survey.shop'), 80))`,
      STORED,
    ),
    stages: int('stages').generatedAlwaysAs(
      sql`(COALESCE(JSON_LENGTH(JSON_EXTRACT(document, '$.stages')), 0) + COALESCE(JSON_LENGTH(JSON_EXTRACT(document, '$.branches[*].stages[*]')), 0))`,
      STORED,
    ),
  },
  (t) => [
    index('plans_list').on(t.isDemo, t.updatedAt, t.removedAt, t.siteId, t.name, t.shop, t.stages),
    index('plans_site').on(t.siteId, t.removedAt),
  ],
);

/**
 * How each line stands on a day, for lists of many lines: calculated from its plan and log (server/work/line-states.ts), and
 * again when one of them changes or the day is over.
 */
export const lineStates = mysqlTable(
  'line_states',
  {
    planId: char('plan_id', { length: 36 })
      .primaryKey()
      .references(() => plans.id, { onDelete: 'cascade' }),
    /** Of the plan that it was calculated from. */
    rowVersion: int('row_version').notNull().default(0),
    /** The day that it holds for, YYYY-MM-DD; empty once the log has changed. */
    day: char('day', { length: 10 }).notNull().default(''),
    /** Who calculates it at present: what is written meanwhile takes it away. */
    claim: char('claim', { length: 36 }).notNull().default(''),
    state: json('state').$type<LineState>(),
    /** The most pressing task, site time. */
    nextDue: char('next_due', { length: 16 }),
    overdue: int('overdue').notNull().default(0),
    complaints: int('complaints').notNull().default(0),
    verdict: mysqlEnum('verdict', ['fails', 'open', 'meets']),
    waterShare: double('water_share'),
  },
  (t) => [index('line_states_due').on(t.nextDue, t.planId)],
);

/** The order in which somebody drives to sites; nobody’s id where nobody signs in. */
export const siteOrders = mysqlTable(
  'site_orders',
  {
    personId: varchar('person_id', { length: 36 }).notNull(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    place: int('place').notNull(),
  },
  (t) => [primaryKey({ columns: [t.personId, t.siteId] })],
);

/** Every write that was acknowledged, by the id that the client gave it, so that a repeated write is one write. */
export const planWrites = mysqlTable('plan_writes', {
  id: char('id', { length: 36 }).primaryKey(),
  planId: char('plan_id', { length: 36 })
    .notNull()
    .references(() => plans.id, { onDelete: 'cascade' }),
  rowVersion: int('row_version').notNull(),
  /** SHA-256 of what was written; null for writes of before it was kept. */
  digest: char('digest', { length: 64 }),
  at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
});

/** A plan as it was when somebody gave it a name. It is never changed. */
export const revisions = mysqlTable(
  'revisions',
  {
    id: char('id', { length: 36 }).primaryKey(),
    planId: char('plan_id', { length: 36 })
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 80 }).notNull(),
    document: json('document').$type<Plan>().notNull(),
    at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
  },
  (t) => [index('revisions_plan_at').on(t.planId, t.at)],
);

/** A change of a plan that somebody proposes who may not make it: what they began with, and what they made of it. */
export const proposals = mysqlTable(
  'proposals',
  {
    id: char('id', { length: 36 }).primaryKey(),
    planId: char('plan_id', { length: 36 })
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    base: json('base').$type<Plan>().notNull(),
    document: json('document').$type<Plan>().notNull(),
    note: varchar('note', { length: 500 }).notNull(),
    personId: char('person_id', { length: 36 }),
    who: varchar('who', { length: 60 }).notNull(),
    at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
    state: mysqlEnum('state', PROPOSAL_STATES).notNull().default('open'),
    decidedBy: varchar('decided_by', { length: 60 }),
    decidedAt: datetime('decided_at', { mode: 'date', fsp: 3 }),
  },
  (t) => [index('proposals_plan').on(t.planId, t.state, t.at)],
);

/** The drain log. What the plan expected is kept as it was said on the day: later edits of the plan do not rewrite it. */
export const drainEntries = mysqlTable(
  'drain_entries',
  {
    id: char('id', { length: 36 }).primaryKey(),
    planId: char('plan_id', { length: 36 })
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    /** The thing that was drained. It keeps its id through every edit of the plan, and its entries when it is gone. */
    stageId: varchar('stage_id', { length: 64 }).notNull(),
    stageName: varchar('stage_name', { length: 60 }).notNull(),
    /** The shop's wall clock, YYYY-MM-DDTHH:mm. */
    drainedAt: char('drained_at', { length: 16 }).notNull(),
    sinceAt: char('since_at', { length: 16 }).notNull(),
    amountM3: double('amount_m3').notNull(),
    appearance: mysqlEnum('appearance', ['clear', 'milky', 'oily', 'rusty']).notNull(),
    who: varchar('who', { length: 60 }).notNull(),
    /** Whose sign-in wrote it; none where nobody signs in, and from before. */
    personId: char('person_id', { length: 36 }),
    note: varchar('note', { length: 500 }).notNull().default(''),
    loadedHours: double('loaded_hours'),
    intakeTemperatureC: double('intake_temperature_c').notNull(),
    intakeRelativeHumidity: double('intake_relative_humidity').notNull(),
    countedHours: double('counted_hours').notNull(),
    expectedKg: double('expected_kg').notNull(),
    lowKg: double('low_kg').notNull(),
    highKg: double('high_kg').notNull(),
    /** “Why?” of these three, as it would have been answered on the day. */
    why: json('why').$type<Derivation>(),
    /** Set when the entry was struck out as a mistake; it stays in the log. */
    struckAt: datetime('struck_at', { mode: 'date', fsp: 3 }),
    loggedAt: datetime('logged_at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
  },
  (t) => [
    index('drain_entries_plan_at').on(t.planId, t.drainedAt),
    index('drain_entries_stage').on(t.planId, t.stageId, t.struckAt, t.drainedAt),
  ],
);

/** Years of weather, for any line of a site, or of all. What an import corrected is kept with them. */
export const weatherYears = mysqlTable('weather_years', {
  id: char('id', { length: 36 }).primaryKey(),
  /** The site that imported it; none for those that come with the program. */
  siteId: char('site_id', { length: 36 }).references(() => sites.id, { onDelete: 'cascade' }),
  name: varchar('name', { length: 80 }).notNull(),
  origin: mysqlEnum('origin', ['epw', 'csv', 'synthetic']).notNull(),
  altitudeM: double('altitude_m'),
  notes: json('notes').$type<WeatherYear['notes']>().notNull(),
  hours: json('hours').$type<{ temperatureC: number[]; relativeHumidity: number[] }>().notNull(),
  at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
});

/** The log besides drains: tasks done, readings, changes, tests, complaints. Never changed: a correction is an entry of its own. */
export const logEntries = mysqlTable(
  'log_entries',
  {
    id: char('id', { length: 36 }).primaryKey(),
    planId: char('plan_id', { length: 36 })
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    /** The thing that it concerns: it keeps its entries when it is gone. Empty: the whole line. */
    stageId: varchar('stage_id', { length: 64 }).notNull(),
    stageName: varchar('stage_name', { length: 60 }).notNull(),
    kind: varchar('kind', { length: 20 }).notNull().$type<LogEntry['kind']>(),
    task: varchar('task', { length: 8 }),
    /** The shop's wall clock, YYYY-MM-DDTHH:mm. */
    measuredAt: char('measured_at', { length: 16 }).notNull(),
    who: varchar('who', { length: 60 }).notNull(),
    /** Whose sign-in wrote it; none where nobody signs in, and from before. */
    personId: char('person_id', { length: 36 }),
    /** The entry as it was written, and what the plan expected of its readings on the day. */
    entry: json('entry').$type<LogEntry>().notNull(),
    expected: json('expected').$type<(ExpectedReading | null)[]>().notNull(),
    enteredAt: datetime('entered_at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
    /** False once a later entry corrects it. */
    stands: boolean('stands').notNull().default(true),
    // What logs are asked by, taken from the entry by the database itself.
    result: varchar('result', { length: 10 }).generatedAlwaysAs(sql`(JSON_VALUE(entry, '$.result'))`, STORED),
    symptom: varchar('symptom', { length: 8 }).generatedAlwaysAs(sql`(JSON_VALUE(entry, '$.symptom'))`, STORED),
    amends: char('amends', { length: 36 }).generatedAlwaysAs(sql`(JSON_VALUE(entry, '$.amends'))`, STORED),
    /** Whether a task was done by it. */
    counts: boolean('counts').generatedAlwaysAs(
      sql`(stands = 1 AND kind <> 'put-off' AND COALESCE(result, '') <> 'could-not')`,
      STORED,
    ),
  },
  (t) => [
    index('log_entries_plan_at').on(t.planId, t.measuredAt),
    index('log_entries_done').on(t.planId, t.counts, t.stageId, t.task, t.measuredAt),
    index('log_entries_kind').on(t.planId, t.stands, t.kind, t.stageId, t.measuredAt),
    index('log_entries_newest').on(t.planId, t.stands, t.measuredAt),
  ],
);

/** The readings of the log one by one, with what was expected of each: what trends, drift and calibration go by. */
export const readings = mysqlTable(
  'readings',
  {
    entryId: char('entry_id', { length: 36 })
      .notNull()
      .references(() => logEntries.id, { onDelete: 'cascade' }),
    of: varchar('of', { length: 20 }).notNull().$type<ReadingName>(),
    planId: char('plan_id', { length: 36 }).notNull(),
    stageId: varchar('stage_id', { length: 64 }).notNull(),
    measuredAt: char('measured_at', { length: 16 }).notNull(),
    stands: boolean('stands').notNull().default(true),
    value: double('value').notNull(),
    expected: double('expected'),
    low: double('low'),
    high: double('high'),
  },
  (t) => [
    primaryKey({ columns: [t.entryId, t.of] }),
    index('readings_series').on(t.planId, t.stands, t.stageId, t.of, t.measuredAt),
  ],
);

/**
 * When each task, reading and drain of a stage was last in the log: kept as it is written, so that nobody has to read a long
 * log to know what is in it.
 */
export const logMarks = mysqlTable(
  'log_marks',
  {
    planId: char('plan_id', { length: 36 })
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    stageId: varchar('stage_id', { length: 64 }).notNull(),
    /** `task M12`, `reading temperature`, `drain`; `change` without a task, `opened`, and `wet` where water was seen. */
    what: varchar('what', { length: 30 }).notNull(),
    at: char('at', { length: 16 }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.planId, t.stageId, t.what] })],
);

/** Charges of beads. What happened to them is in the log. */
export const charges = mysqlTable(
  'charges',
  {
    id: char('id', { length: 36 }).primaryKey(),
    planId: char('plan_id', { length: 36 })
      .notNull()
      .references(() => plans.id, { onDelete: 'cascade' }),
    charge: json('charge').$type<Charge>().notNull(),
    at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
  },
  (t) => [index('charges_plan').on(t.planId)],
);

/** Photos of the log, made small in the browser and anew by the server. */
export const photos = mysqlTable('photos', {
  id: char('id', { length: 36 }).primaryKey(),
  planId: char('plan_id', { length: 36 })
    .notNull()
    .references(() => plans.id, { onDelete: 'cascade' }),
  jpeg: customType<{ data: Buffer }>({ dataType: () => 'mediumblob' })('jpeg').notNull(),
  /** SHA-256 of what was sent; null for photos that are kept as they were sent. */
  digest: char('digest', { length: 64 }),
  at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
});

/** Pictures of a site: the gate, the plate of the door, where the key hangs. */
export const sitePhotos = mysqlTable(
  'site_photos',
  {
    id: char('id', { length: 36 }).primaryKey(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    jpeg: customType<{ data: Buffer }>({ dataType: () => 'mediumblob' })('jpeg').notNull(),
    /** SHA-256 of what was sent. */
    digest: char('digest', { length: 64 }).notNull(),
    at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
  },
  (t) => [index('site_photos_site').on(t.siteId, t.at)],
);

/** Pictures and documents that plans name: of what is installed, of a step of the assembly. They follow a thing to another line. */
export const files = mysqlTable(
  'files',
  {
    id: char('id', { length: 36 }).primaryKey(),
    /** The site on which it was added. */
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    type: mysqlEnum('type', FILE_TYPES).notNull(),
    bytes: customType<{ data: Buffer }>({ dataType: () => 'mediumblob' })('bytes').notNull(),
    /** SHA-256 of what was sent. */
    digest: char('digest', { length: 64 }).notNull(),
    at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
  },
  (t) => [index('files_site').on(t.siteId)],
);

/** Lines to begin others with, without their logs. */
export const templates = mysqlTable(
  'templates',
  {
    id: char('id', { length: 36 }).primaryKey(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    name: varchar('name', { length: 80 }).notNull(),
    document: json('document').$type<Plan>().notNull(),
    at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
  },
  (t) => [index('templates_site').on(t.siteId, t.name)],
);

/** What is owned on a site and not fitted. */
export const shelfItems = mysqlTable(
  'shelf_items',
  {
    id: char('id', { length: 36 }).primaryKey(),
    siteId: char('site_id', { length: 36 })
      .notNull()
      .references(() => sites.id, { onDelete: 'cascade' }),
    item: json('item').$type<ShelfItem>().notNull(),
    at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
  },
  (t) => [index('shelf_items_site').on(t.siteId, t.at)],
);

/** Private addresses of the calendar of a line, by what tells that one is right but not what it is. */
export const feeds = mysqlTable('feeds', {
  /** SHA-256 of the secret part of the address. */
  hash: char('token', { length: 64 }).primaryKey(),
  /** The line whose routine it tells. */
  planId: char('plan_id', { length: 36 }).references(() => plans.id, { onDelete: 'cascade' }),
  /** Or whose work list: that of a person, or of nobody in particular where nobody signs in. */
  personId: varchar('person_id', { length: 36 }),
  revokedAt: datetime('revoked_at', { mode: 'date', fsp: 3 }),
  at: datetime('at', { mode: 'date', fsp: 3 }).notNull().$defaultFn(now),
});
