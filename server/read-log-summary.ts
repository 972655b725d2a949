import { and, count, desc, eq, gt, inArray, isNull, type SQL, sql } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/mysql-core';
import type { Charge } from '../core/log/charge';
import type { LifeEntry, LoggedEntry } from '../core/log/log-entry';
import { beadPlaces } from '../core/maintenance/charge-lives';
import { ELEMENT_KINDS } from '../core/maintenance/element-lives';
import { postponed } from '../core/maintenance/last-done';
import {
  firstOfEach,
  LEAST_EXPECTED_KG,
  LOOKED_AT,
  type LogSummary,
  NEWEST,
  type RatioSeries,
  ratioSeriesOf,
  signalsAsked,
} from '../core/maintenance/log-summary';
import type { LastDone, Opening, Signal } from '../core/maintenance/logged';
import { COUNTED, DRAINING, ISOLATING, RENEWING } from '../core/maintenance/tasks';
import type { Plan } from '../core/plan/plan';
import { allStages } from '../core/plan/runs';
import { database } from '../db/client';
import { drainEntries, logEntries, readings } from '../db/schema';
import { marksOf } from './log-marks';
import { checkedId } from './plan-id';
import { readPlan } from './read-plan';
import { readCharges } from './save-charge';

/** Entries of a stage that its charge or element goes by: changes and tasks, and readings of each kind. */
const CHANGES_KEPT = 100;
const READINGS_KEPT = 100;
const PUT_OFFS_KEPT = 500;
const SERIES_MOST = 400;

/** An entry of the log as its row has it. */
export const entryOf = (row: {
  entry: LoggedEntry | object;
  stageName: string;
  enteredAt: Date;
  expected: LoggedEntry['expected'];
}): LoggedEntry => {
  const entry = row.entry as LoggedEntry;
  return {
    ...entry,
    chargeId: entry.chargeId ?? null, // entries of before there were charges
    stageName: row.stageName,
    enteredAt: row.enteredAt.toISOString(),
    expected: row.expected,
  };
};
export const ENTRY = {
  entry: logEntries.entry,
  stageName: logEntries.stageName,
  enteredAt: logEntries.enteredAt,
  expected: logEntries.expected,
};
const newestFirst = [desc(logEntries.measuredAt), desc(logEntries.id)] as const; // as indices have them

type Marks = Awaited<ReturnType<typeof marksOf>>;

async function lastOf(planId: string, marks: Marks): Promise<LastDone[]> {
  const of = and(eq(logEntries.planId, planId), eq(logEntries.counts, true));
  const { stageId, task } = logEntries;
  const washed = [...new Set(marks.tasks.filter((m) => COUNTED.includes(m.task)).map((m) => m.stageId))];
  const counted =
    washed.length === 0
      ? []
      : await database()
          .select({ stageId, task, times: count() })
          .from(logEntries)
          .where(and(of, inArray(stageId, washed), inArray(task, [...COUNTED])))
          .groupBy(stageId, task);
  const all = [
    ...marks.tasks,
    ...marks.changes.flatMap((d) => RENEWING.map((id) => ({ ...d, task: id }))),
    ...marks.drains.flatMap((d) => DRAINING.map((id) => ({ ...d, task: id }))),
  ];
  return firstOfEach(
    all.toSorted((a, b) => b.at.localeCompare(a.at)),
    (d) => `${d.stageId} ${d.task}`,
  ).map((d): LastDone => {
    const times = counted.find((c) => c.stageId === d.stageId && c.task === d.task)?.times;
    return { ...d, ...(times !== undefined && { times }) };
  });
}

/** When stages were opened, by what happened to them or by a task that isolates them, and where water was seen. */
function eventsOf(marks: Marks): Opening[] {
  const event = (what: Opening['what']) => (e: { stageId: string; at: string }) => ({
    stageId: e.stageId,
    at: e.at,
    what,
  });
  const isolated = marks.tasks.filter((m) => ISOLATING.includes(m.task));
  const all = [...[...marks.opened, ...isolated].map(event('opened')), ...marks.wet.map(event('wet'))];
  return firstOfEach(
    all.filter((e) => e.stageId !== '').toSorted((a, b) => b.at.localeCompare(a.at)),
    (e) => `${e.stageId} ${e.what}`,
  );
}

/** Several selections as one question; nothing where there are none. */
export async function together<T>(of: readonly unknown[]): Promise<T[]> {
  if (of.length === 0) return [];
  const [first, second, ...rest] = of as [never, never, ...never[]];
  return (await (of.length === 1 ? first : unionAll(first, second, ...rest))) as T[];
}

/** The newest readings of each series of a line, the newest first. */
async function newestReadings(planId: string, names: Marks['series']): Promise<Signal[]> {
  const mine = and(eq(readings.planId, planId), eq(readings.stands, true));
  const { stageId, of, measuredAt: at, value, expected, low, high, entryId } = readings;
  const rows = await together<{
    stageId: string;
    of: Signal['of'];
    at: string;
    value: number;
    expected: number | null;
    low: number | null;
    high: number | null;
  }>(
    names.slice(0, SERIES_MOST).map((n) =>
      database()
        .select({ stageId, of, at, value, expected, low, high })
        .from(readings)
        .where(and(mine, eq(stageId, n.stageId), eq(of, n.of)))
        .orderBy(desc(at), desc(entryId))
        .limit(NEWEST),
    ),
  );
  return rows
    .map(({ expected, low, high, ...r }) => ({
      ...r,
      expected: expected === null || low === null || high === null ? null : { value: expected, low, high },
    }))
    .toSorted((a, b) => b.at.localeCompare(a.at));
}

async function drainSeries(planId: string, stageIds: readonly string[]): Promise<RatioSeries[]> {
  const { stageId, amountM3, expectedKg, drainedAt } = drainEntries;
  const rows = await together<{ stageId: string; amountM3: number; expectedKg: number }>(
    stageIds.map((id) =>
      database()
        .select({ stageId, amountM3, expectedKg })
        .from(drainEntries)
        .where(
          and(
            eq(drainEntries.planId, planId),
            eq(stageId, id),
            isNull(drainEntries.struckAt),
            gt(expectedKg, LEAST_EXPECTED_KG),
          ),
        )
        .orderBy(desc(drainedAt))
        .limit(NEWEST),
    ),
  );
  return stageIds.map((id) => ({
    stageId: id,
    of: 'drain',
    ratios: rows
      .filter((r) => r.stageId === id)
      .map((r) => (r.amountM3 * 1000) / r.expectedKg)
      .toReversed(),
  }));
}

/** Entries that the lives of charges and elements rest on: changes and tasks at their stages, and readings of each kind. */
export async function entriesOfLives(plan: Plan, planId: string, elementsToo: boolean): Promise<LifeEntry[]> {
  const compressor = allStages(plan).find((s) => s.kind === 'compressor')?.id;
  const places = beadPlaces(plan).map((s) => s.id);
  const elements = elementsToo ? allStages(plan).filter((s) => ELEMENT_KINDS.has(s.kind)) : [];
  const stages = [...places, ...elements.map((s) => s.id)];
  const stand = and(eq(logEntries.planId, planId), eq(logEntries.stands, true));
  const ids = (which: SQL | undefined) =>
    database()
      .select({ id: logEntries.id })
      .from(logEntries)
      .where(and(stand, which))
      .orderBy(desc(logEntries.measuredAt))
      .limit(CHANGES_KEPT);
  const read = (stageId: string, of: Signal['of']) =>
    database()
      .select({ id: sql<string>`${readings.entryId}`.as('id') })
      .from(readings)
      .where(
        and(eq(readings.planId, planId), eq(readings.stands, true), eq(readings.stageId, stageId), eq(readings.of, of)),
      )
      .orderBy(desc(readings.measuredAt))
      .limit(READINGS_KEPT);
  const found = await together<{ id: string }>([
    ids(inArray(logEntries.kind, ['regeneration', 'discard'])),
    ...stages.map((id) => ids(and(eq(logEntries.stageId, id), eq(logEntries.kind, 'change')))),
    ...stages.flatMap((id) =>
      RENEWING.map((task) =>
        ids(and(eq(logEntries.counts, true), eq(logEntries.stageId, id), eq(logEntries.task, task))),
      ),
    ),
    ...places.flatMap((id) => (['spent', 'weight', 'dew-point'] as const).map((of) => read(id, of))),
    ...elements.map((s) => read(s.id, 'pressure-drop')),
    ...(compressor === undefined ? [] : [read(compressor, 'hours')]),
  ]);
  const unique = [...new Set(found.map((f) => f.id))];
  if (unique.length === 0) return [];
  const rows = await database()
    .select(ENTRY)
    .from(logEntries)
    .where(inArray(logEntries.id, unique))
    .orderBy(...newestFirst);
  return rows.map((row) => {
    const { id, kind, stageId, task, measuredAt, enteredAt, chargeId, readings, expected, amends, result } =
      entryOf(row);
    return { id, kind, stageId, task, measuredAt, enteredAt, chargeId, readings, expected, amends, result };
  });
}

/** What is asked of the log of a line each day, by bounded questions however long the log is. */
export async function readLogSummary(planId: string, plan: Plan): Promise<LogSummary> {
  const id = checkedId('id', planId);
  const stand = and(eq(logEntries.planId, id), eq(logEntries.stands, true));
  const marks = await marksOf(id);
  const [last, ofDrains, off, signals, newest, beads, charges] = await Promise.all([
    lastOf(id, marks),
    drainSeries(
      id,
      marks.drains.map((d) => d.stageId),
    ),
    database()
      .select(ENTRY)
      .from(logEntries)
      .where(and(stand, eq(logEntries.kind, 'put-off')))
      .orderBy(...newestFirst)
      .limit(PUT_OFFS_KEPT),
    newestReadings(id, marks.series),
    database()
      .select(ENTRY)
      .from(logEntries)
      .where(stand)
      .orderBy(...newestFirst)
      .limit(LOOKED_AT),
    entriesOfLives(plan, id, false),
    readCharges(id),
  ]);
  return {
    last,
    postponed: firstOfEach(postponed(off.map(entryOf)).toReversed(), (p) => `${p.stageId} ${p.task}`).toReversed(),
    events: eventsOf(marks),
    signals: signalsAsked(signals),
    series: [...ofDrains, ...ratioSeriesOf(signals)].filter((s) => s.ratios.length > 0),
    newest: newest.map(entryOf),
    beads,
    charges,
    drained: marks.drains,
  };
}

/** The same of a line as it is stored. */
export const readSummaryOf = async (planId: string): Promise<LogSummary> =>
  readLogSummary(planId, (await readPlan(planId)).plan);

/** The charges of beads of a line, and what their lives and those of elements rest on. */
export async function readChargeLog(planId: string): Promise<{ charges: Charge[]; entries: LifeEntry[] }> {
  const { plan } = await readPlan(planId);
  const [charges, entries] = await Promise.all([readCharges(planId), entriesOfLives(plan, planId, true)]);
  return { charges, entries };
}
