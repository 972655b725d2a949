import { and, desc, eq, gte, inArray, lt, lte, or, type SQL, sql } from 'drizzle-orm';
import { ENTRY_KINDS, type EntryKind, type LoggedEntry } from '../core/log/log-entry';
import type { LogPage } from '../core/log/log-pages';
import { siteTimeMs, siteTimeOf } from '../core/log/site-clock';
import { type TrialRow, trial } from '../core/log/trial';
import { TASKS } from '../core/maintenance/tasks';
import { DAY_MS } from '../core/quantity/constants';
import { database } from '../db/client';
import { logEntries } from '../db/schema';
import { ENTRY, entryOf } from './entry-rows';
import { permitted, type Who } from './people/may';
import { withKnownNames } from './people/names';

const SHOWN = 60;
/** Entries that one search looks through; further back by another one. */
const LOOKED_THROUGH = 5000;

/** What of a log is asked for. */
export interface LogAsk {
  /** Words, all of which have to be in an entry. */
  readonly q?: string | undefined;
  readonly kind?: string | undefined;
  /** Of this stage alone. */
  readonly stage?: string | undefined;
  /** Older than this: a time and an id, as `next` of the page before says. */
  readonly before?: string | undefined;
}

const keyOf = (row: { measuredAt: string; id: string }): string => `${row.measuredAt}_${row.id}`;
function olderThan(key: string | undefined): SQL | undefined {
  const [, at, id] = /^(\d{4}-\d\d-\d\dT\d\d:\d\d)_([0-9a-f-]{36})$/.exec(key ?? '') ?? [];
  if (!at || !id) return undefined;
  return and(lte(logEntries.measuredAt, at), or(lt(logEntries.measuredAt, at), lt(logEntries.id, id)));
}
const newestFirst = [desc(logEntries.measuredAt), desc(logEntries.id)] as const;

/** Whether an entry has a word: in its text, or in the names of its kind and task. */
function has(word: string): SQL | undefined {
  const text = sql`LOWER(CONCAT_WS(' ', ${logEntries.stageName}, ${logEntries.who}, JSON_VALUE(${logEntries.entry}, '$.what')))`;
  const kinds = Object.entries(ENTRY_KINDS).flatMap(([k, says]) => (says.includes(word) ? [k as EntryKind] : []));
  const tasks = TASKS.flatMap((t) => (t.does.toLowerCase().includes(word) ? [t.id] : []));
  return or(
    sql`${text} LIKE ${`%${word.replace(/[\\%_]/g, '\\$&')}%`}`,
    kinds.length > 0 ? inArray(logEntries.kind, kinds) : undefined,
    tasks.length > 0 ? inArray(logEntries.task, tasks) : undefined,
  );
}

/** A page of the log, the newest first. What is searched for is looked for in some thousand entries at a time. */
export const readLogPage = async (who: Who, planId: string, ask: LogAsk): Promise<LogPage> =>
  logPageOf(await permitted(who, 'read', planId), ask);

/** The same of a line whose log may be read. */
export async function logPageOf(id: string, { q = '', kind, stage, before }: LogAsk): Promise<LogPage> {
  const words = q.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
  const ofKind = kind && kind in ENTRY_KINDS ? eq(logEntries.kind, kind as EntryKind) : undefined;
  const ofStage = stage === undefined ? undefined : eq(logEntries.stageId, stage);
  const part = and(eq(logEntries.planId, id), ofStage, olderThan(before));
  const searches = words.length > 0 || ofKind !== undefined;
  // Where the window ends that is looked through.
  const [end] = searches
    ? await database()
        .select({ measuredAt: logEntries.measuredAt, id: logEntries.id })
        .from(logEntries)
        .where(part)
        .orderBy(...newestFirst)
        .limit(1)
        .offset(LOOKED_THROUGH)
    : [];
  const rows = await database()
    .select({
      ...ENTRY,
      id: logEntries.id,
      measuredAt: logEntries.measuredAt,
      stands: logEntries.stands,
      personId: logEntries.personId,
    })
    .from(logEntries)
    .where(and(part, end && gte(logEntries.measuredAt, end.measuredAt), ofKind, ...words.map(has)))
    .orderBy(...newestFirst)
    .limit(SHOWN + 1);
  const shown = rows.slice(0, SHOWN);
  const last = shown.at(-1);
  const next = rows.length > SHOWN && last ? keyOf(last) : end && keyOf(end);
  return {
    entries: await withKnownNames(
      id,
      shown.map((row) => ({ ...entryOf(row), stands: row.stands, personId: row.personId })),
    ),
    next,
    lookedBackTo: rows.length > SHOWN ? undefined : end?.measuredAt,
  };
}

const DONE_MEANWHILE: readonly EntryKind[] = ['change', 'repair', 'adjustment'];
const MOST_OF_A_TRIAL = 5000;
const MOST_DAYS = 90;

/** The readings of some days on each side of a change, and what was done meanwhile. */
export async function readTrial(
  who: Who,
  planId: string,
  at: string,
  days: number,
): Promise<{ rows: TrialRow[]; between: LoggedEntry[] }> {
  const id = await permitted(who, 'read', planId);
  const ms = siteTimeMs(at);
  if (!Number.isFinite(ms) || !(days >= 1 && days <= MOST_DAYS)) return { rows: [], between: [] };
  const found = await database()
    .select(ENTRY)
    .from(logEntries)
    .where(
      and(
        eq(logEntries.planId, id),
        eq(logEntries.stands, true),
        gte(logEntries.measuredAt, siteTimeOf(ms - days * DAY_MS)),
        lte(logEntries.measuredAt, siteTimeOf(ms + days * DAY_MS)),
      ),
    )
    .orderBy(desc(logEntries.measuredAt))
    .limit(MOST_OF_A_TRIAL);
  const entries = found.map(entryOf);
  return { rows: trial(entries, at, days), between: entries.filter((e) => DONE_MEANWHILE.includes(e.kind)) };
}
