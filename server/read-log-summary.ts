import { and, count, desc, eq, gt, gte, inArray, isNull } from 'drizzle-orm';
import { doneElsewhere } from '../core/maintenance/done-elsewhere';
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
import { database } from '../db/client';
import { drainEntries, logEntries, readings } from '../db/schema';
import { ENTRY, entryOf, newestFirst, together } from './entry-rows';
import { marksOf } from './log-marks';
import type { Who } from './people/may';
import { checkedId } from './plan-id';
import { entriesOfLives } from './read-lives';
import { readPlan } from './read-plan';
import { chargesOf } from './save-charge';

const PUT_OFFS_KEPT = 500;

const SERIES_MOST = 400;

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

async function drainSeries(planId: string, stageIds: readonly string[], since: string): Promise<RatioSeries[]> {
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
            gte(drainedAt, since),
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

/** What is asked of the log of a line each day, by bounded questions however long the log is. */
export async function readLogSummary(planId: string, plan: Plan): Promise<LogSummary> {
  const id = checkedId('id', planId);
  const stand = and(eq(logEntries.planId, id), eq(logEntries.stands, true));
  const marks = await marksOf(id);
  const since = plan.fitting.inServiceSince ?? '';
  const [last, ofDrains, off, signals, newest, beads, charges] = await Promise.all([
    lastOf(id, marks),
    drainSeries(
      id,
      marks.drains.map((d) => d.stageId),
      since,
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
    chargesOf(id),
  ]);
  const everywhere = [...last, ...doneElsewhere(plan)].toSorted((a, b) => b.at.localeCompare(a.at));
  return {
    last: firstOfEach(everywhere, (d) => `${d.stageId} ${d.task}`),
    postponed: firstOfEach(postponed(off.map(entryOf)).toReversed(), (p) => `${p.stageId} ${p.task}`).toReversed(),
    events: eventsOf(marks),
    signals: signalsAsked(signals),
    series: [...ofDrains, ...ratioSeriesOf(signals.filter((s) => s.at >= since))].filter((s) => s.ratios.length > 0),
    newest: newest.map(entryOf),
    beads,
    charges,
    drained: marks.drains,
  };
}

/** The same of a line as it is stored. */
export const readSummaryOf = async (who: Who, planId: string): Promise<LogSummary> =>
  readLogSummary(planId, (await readPlan(who, planId)).plan);
