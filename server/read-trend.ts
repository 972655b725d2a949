import { and, asc, count, desc, eq, inArray, isNotNull, max, min, type SQL, sql } from 'drizzle-orm';
import { type Calibration, calibrations } from '../core/log/calibrate';
import type { LoggedDrain } from '../core/log/judge-log';
import type { Trend, TrendName } from '../core/log/log-pages';
import { OPENS } from '../core/maintenance/last-done';
import { ISOLATING } from '../core/maintenance/tasks';
import type { Plan } from '../core/plan/plan';
import { database } from '../db/client';
import { drainEntries, logEntries, readings } from '../db/schema';
import { ENTRY, entryOf, together } from './entry-rows';
import { marksOf } from './log-marks';
import { permitted, type Who } from './people/may';
import { checkedId } from './plan-id';

const POINTS_MOST = 300;
const CALIBRATED_BY = 8; // the newest of each series, as calibration counts
const MARKS_MOST = 100;
const LATELY = 300; // entries

const openings = (planId: string, stageId: string, which: SQL | undefined) =>
  database()
    .select({ at: logEntries.measuredAt })
    .from(logEntries)
    .where(and(eq(logEntries.planId, planId), eq(logEntries.stageId, stageId), which))
    .orderBy(desc(logEntries.measuredAt))
    .limit(MARKS_MOST);

/** The series that was read most often lately. */
async function mostRead(planId: string): Promise<string | undefined> {
  const newest = database()
    .select({ id: logEntries.id })
    .from(logEntries)
    .where(and(eq(logEntries.planId, planId), eq(logEntries.stands, true)))
    .orderBy(desc(logEntries.measuredAt), desc(logEntries.id))
    .limit(LATELY)
    .as('newest');
  const rows = await database()
    .select({ stageId: readings.stageId, of: readings.of, n: count() })
    .from(newest)
    .innerJoin(readings, eq(readings.entryId, newest.id))
    .groupBy(readings.stageId, readings.of)
    .orderBy(desc(count()))
    .limit(1);
  return rows[0] && `${rows[0].stageId}:${rows[0].of}`;
}

/** The series of a line, and one of them through time: as it was read, or in means where that would be too much. */
export async function readTrend(who: Who, planId: string, chosen: string | undefined): Promise<Trend> {
  const id = await permitted(who, 'read', planId);
  const mine = and(eq(readings.planId, id), eq(readings.stands, true));
  const marks = await marksOf(id);
  const known = marks.series.map(({ stageId, of }): TrendName => ({ stageId, of }));
  const key = (n: TrendName): string => `${n.stageId}:${n.of}`;
  const wanted = known.some((n) => key(n) === chosen) ? chosen : await mostRead(id);
  const own = known.find((n) => key(n) === wanted) ?? known[0];
  if (!own) return { names: [], chosen: undefined, points: [], each: 1, expected: null, opened: [] };
  const series = and(mine, eq(readings.stageId, own.stageId), eq(readings.of, own.of));
  const { measuredAt: at, value, low, high, expected } = readings;
  const [[counted], [newest], opened] = await Promise.all([
    database()
      .select({ n: count(), first: min(at), last: max(at) })
      .from(readings)
      .where(series),
    database().select({ expected, low, high }).from(readings).where(series).orderBy(desc(at)).limit(1),
    together<{ at: string }>([
      openings(id, own.stageId, and(eq(logEntries.stands, true), inArray(logEntries.kind, [...OPENS]))),
      ...marks.tasks
        .filter((m) => m.stageId === own.stageId && ISOLATING.includes(m.task))
        .map((m) => openings(id, own.stageId, and(eq(logEntries.counts, true), eq(logEntries.task, m.task)))),
    ]),
  ]);
  const n = counted?.n ?? 0;
  const seconds = sql<number>`TO_SECONDS(${at})`;
  const span = sql`(TO_SECONDS(${counted?.last ?? ''}) - TO_SECONDS(${counted?.first ?? ''}) + 60)`;
  const bucket = sql`FLOOR((${seconds} - TO_SECONDS(${counted?.first ?? ''})) * ${POINTS_MOST} / ${span})`;
  const points =
    n <= POINTS_MOST
      ? await database().select({ at, value, low, high }).from(readings).where(series).orderBy(asc(at))
      : await database()
          .select({
            at: sql<string>`MIN(${at})`,
            value: sql<number>`AVG(${value})`,
            low: sql<number | null>`AVG(${low})`,
            high: sql<number | null>`AVG(${high})`,
          })
          .from(readings)
          .where(series)
          .groupBy(bucket)
          .orderBy(sql`MIN(${at})`);
  return {
    names: known,
    chosen: own,
    points,
    each: Math.max(1, Math.round(n / Math.max(points.length, 1))),
    expected:
      newest && newest.expected !== null && newest.low !== null && newest.high !== null
        ? { value: newest.expected, low: newest.low, high: newest.high }
        : null,
    opened: [...new Set(opened.map((o) => o.at))],
  };
}

/** What the newest of the log would make of the numbers of a line. */
export async function readCalibrations(planId: string, plan: Plan): Promise<Calibration[]> {
  const id = checkedId('id', planId);
  const mine = and(eq(readings.planId, id), eq(readings.stands, true));
  const { series } = await marksOf(id);
  const found = await together<{ id: string }>(
    series.map((n) =>
      database()
        .select({ id: sql<string>`${readings.entryId}`.as('id') })
        .from(readings)
        .where(and(mine, eq(readings.stageId, n.stageId), eq(readings.of, n.of)))
        .orderBy(desc(readings.measuredAt))
        .limit(CALIBRATED_BY),
    ),
  );
  const ids = [...new Set(found.map((f) => f.id))];
  const rows = ids.length > 0 ? await database().select(ENTRY).from(logEntries).where(inArray(logEntries.id, ids)) : [];
  const separators = [...plan.stages, ...plan.branches.flatMap((b) => b.stages)].filter((s) => s.kind === 'separator');
  const { stageId, amountM3, expectedKg, drainedAt } = drainEntries;
  const drains = await together<Pick<LoggedDrain, 'stageId' | 'amountM3' | 'expectedKg' | 'drainedAt'>>(
    separators.map((s) =>
      database()
        .select({ stageId, amountM3, expectedKg, drainedAt })
        .from(drainEntries)
        .where(
          and(
            eq(drainEntries.planId, id),
            eq(stageId, s.id),
            sql`${drainEntries.struckAt} IS NULL`,
            isNotNull(drainedAt),
          ),
        )
        .orderBy(desc(drainedAt))
        .limit(CALIBRATED_BY),
    ),
  );
  return calibrations(
    plan,
    drains.map((d) => ({ ...d, struck: false })),
    rows.map(entryOf),
  );
}
