import { COME_AT } from '../drains/drain-work';
import { dailyWaterKg, type PointYear } from '../drains/point-year';
import type { ReadingName } from '../log/readings';
import { type SiteTime, siteTimeMs, siteTimeOf } from '../log/site-clock';
import { newStage } from '../plan/edit';
import type { Level } from '../plan/maintenance-settings';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, stageById, standing } from '../plan/runs';
import { calendarDayOf, spansOf } from '../plan/working-time';
import { DAY_MS, HOUR_MS } from '../quantity/constants';
import { dayOfYear, sayDay } from '../year/calendar';
import type { MaintenanceFacts } from './facts';
import { serviceOf } from './facts';
import { dueByMeter } from './hour-meter';
import { type Interval, intervalOf } from './interval';
import { daysAt } from './levels';
import type { LastDone, Opening, Postponed, Signal } from './logged';
import type { Task } from './task';
import { taskById } from './tasks';

const SOON_DAYS = 7;
/** What comes more often than that is daily work: it does not wait for its first interval (estimate). */
const DAILY_DAYS = 1.5;
/** Done so lately, the winter list is done for this winter (estimate: from autumn to spring). */
const WINTER_DAYS = 200;
const FROST_LEAD_DAYS = 14; // two weeks before the first frost of its year of weather (estimate)

export type DueState = 'overdue' | 'due' | 'soon' | 'later' | 'postponed';

/** A task at a stage, and when it is due. */
export interface DueTask {
  readonly key: string;
  readonly stage: Stage;
  readonly task: Task;
  readonly interval: Interval;
  readonly last: SiteTime | undefined;
  /** How often it was done, by the log, where that is counted. */
  readonly times?: number;
  readonly dueMs: number;
  readonly state: DueState;
  readonly postponed?: Postponed;
  /** The season that brings it forward or sets it back, in words. */
  readonly season?: string;
}

export const taskKey = (stageId: string, task: string): string => `${stageId} ${task}`;

/** The stages and tasks of a line, without those that are left out. */
export function tasksOfStages(plan: Plan): { stage: Stage; task: Task }[] {
  return allStages(standing(plan)).flatMap((stage) =>
    serviceOf(stage).flatMap((id) => {
      const task = taskById(id);
      const out = plan.routine.leftOut.some((l) => l.stageId === stage.id && l.task === id);
      const spared =
        task &&
        daysAt(task, plan.routine.level) === null &&
        !plan.routine.pins.some((p) => p.stageId === stage.id && p.task === id);
      return task && !out && !spared && (task.when?.(stage) ?? true) ? [{ stage, task }] : [];
    }),
  );
}

/** Where water asks for it more often than that, hardly anybody opens a drain by hand (estimate): it needs an automatic one. */
export const HAND_LEAST_DAYS = 2;

interface Timed {
  readonly stage: Stage;
  readonly task: Task;
  readonly interval: Interval;
}

const needsAutomatic = ({ stage, task, interval }: Timed): boolean =>
  task.every.fillings !== undefined &&
  'drain' in stage.parameters &&
  stage.kind !== 'pellet-tower' &&
  interval.by === 'water' &&
  interval.days < HAND_LEAST_DAYS;

const timed = (facts: MaintenanceFacts): Timed[] =>
  tasksOfStages(facts.plan).map(({ stage, task }) => ({ stage, task, interval: intervalOf(facts, stage, task) }));

/** The one list of tasks of a line, each with how often: for Today, rounds, calendar and Compare. */
export const tasksOfLine = (facts: MaintenanceFacts): Timed[] => timed(facts).filter((t) => !needsAutomatic(t));

/** Drains that would have to be opened so often by hand that they are no task: each needs an automatic one. */
export const drainsToAutomate = (facts: MaintenanceFacts): Timed[] => timed(facts).filter(needsAutomatic);

/** Minutes a week that the routine takes at a level. */
export function minutesPerWeek(facts: MaintenanceFacts, level: Level): number {
  const plan = { ...facts.plan, routine: { ...facts.plan.routine, level } };
  return (hoursPerMonth(tasksOfLine({ ...facts, plan })) * 60 * 7) / 30.4;
}

/** A day on which somebody works, the given one or the next. */
function workday(plan: Plan, ms: number): number {
  for (let day = Math.floor(ms / DAY_MS), i = 0; i < 21; day++, i++) {
    const spans = spansOf(plan.survey.working, calendarDayOf(day * DAY_MS), calendarDayOf((day - 1) * DAY_MS));
    if (spans.length > 0) return i === 0 ? ms : day * DAY_MS + (spans[0]?.fromH ?? 0) * HOUR_MS;
  }
  return ms;
}

/**
 * When a drain’s sump is full by the water of its year, from a day on; the year goes round.
 * @returns days
 */
export function daysUntilFull(year: PointYear, sumpKg: number, fromDay: number, most = 60): number {
  let kg = 0;
  for (let i = 0; i < most; i++) {
    kg += dailyWaterKg(year, (fromDay + i) % 365);
    if (kg >= sumpKg) return i + 1;
  }
  return most;
}

/** The first hour of frost at a stage in its year, from a day on; nothing where there is none. */
function firstFrostDay(facts: MaintenanceFacts, fromDay: number): number | undefined {
  let first: number | undefined;
  for (const y of facts.years.values())
    for (const day of y.frostDays) {
      const ahead = (day - fromDay + 365) % 365;
      if (first === undefined || ahead < first) first = ahead;
    }
  return first;
}

/** The newest event upstream of a stage that asks for a task and that it was not done after. */
function afterEvent(
  plan: Plan,
  stage: Stage,
  task: Task,
  events: readonly Opening[],
  last: SiteTime | undefined,
): Opening | undefined {
  const { after } = task.every;
  if (!after) return undefined;
  const path = pathTo(plan, stage.id);
  return events.find(
    (e) => after.includes(e.what) && (last === undefined || e.at > last) && path.some((s) => s.id === e.stageId),
  );
}

/** A reading since the task was last done that asks for it now, and what it says. */
function signalFor(
  stage: Stage,
  task: Task,
  signals: readonly Signal[],
  last: SiteTime | undefined,
): { at: SiteTime; says: string } | undefined {
  const newest = (of: ReadingName): Signal | undefined =>
    signals.find((s) => s.stageId === stage.id && s.of === of && (last === undefined || s.at > last));
  const drop = newest('pressure-drop');
  if (task.every.dropPa !== undefined && drop?.expected && drop.value - drop.expected.value >= task.every.dropPa)
    return { at: drop.at, says: 'its pressure drop is over that of a clean one at this flow' };
  const spent = newest('spent');
  if (task.every.spentShare !== undefined && task.isolates && spent && spent.value >= task.every.spentShare)
    return { at: spent.at, says: `its desiccant was exhausted to ${Math.round(spent.value * 100)} %` };
  const dew = newest('dew-point');
  if (task.every.dewPoint && dew?.expected && dew.value > dew.expected.high)
    return { at: dew.at, says: 'its dew point read above its band' };
  return undefined;
}

/**
 * What is due, the most pressing first.
 * @param now the shop’s clock
 * @param events of the log, the newest first
 * @param signals of the log, the newest first
 * @param done the last time of each task, from the log; what was never logged counts from the day on which the routine began
 */
export function dueTasks(
  facts: MaintenanceFacts,
  done: readonly LastDone[],
  postponed: readonly Postponed[],
  now: SiteTime,
  events: readonly Opening[] = [],
  signals: readonly Signal[] = [],
): DueTask[] {
  const { plan } = facts;
  const nowMs = siteTimeMs(now);
  const lastOf = new Map<string, SiteTime>();
  const times = new Map<string, number>();
  for (const d of done) {
    const key = taskKey(d.stageId, d.task);
    if ((lastOf.get(key) ?? '') < d.at) lastOf.set(key, d.at);
    times.set(key, (times.get(key) ?? 0) + (d.times ?? 1));
  }
  const off = new Map<string, Postponed>();
  for (const p of postponed) off.set(taskKey(p.stageId, p.task), p);
  const begun = plan.routine.startedOn === null ? nowMs : siteTimeMs(`${plan.routine.startedOn}T00:00`);
  const today = Math.floor(nowMs / DAY_MS) * DAY_MS;
  const todayOfYear = dayOfYear(today);
  return tasksOfLine(facts)
    .map(({ stage, task, interval }): DueTask => {
      const key = taskKey(stage.id, task.id);
      const last = lastOf.get(key);
      const base = last ? siteTimeMs(last) : begun;
      // What was never done is due one interval after the beginning; what is done daily, at once.
      let dueMs = last || interval.days > DAILY_DAYS ? base + interval.days * DAY_MS : base;
      let season: string | undefined;
      if (task.every.frost) {
        const ahead = firstFrostDay(facts, todayOfYear);
        const lead = ahead === undefined ? undefined : today + (ahead - FROST_LEAD_DAYS) * DAY_MS;
        const doneThisWinter = last !== undefined && nowMs - siteTimeMs(last) < WINTER_DAYS * DAY_MS;
        dueMs = lead === undefined || doneThisWinter ? base + 365 * DAY_MS : lead;
        if (ahead !== undefined) season = `first frost about ${sayDay((todayOfYear + ahead) % 365)}`;
      }
      const year = facts.years.get(stage.id);
      if (interval.by === 'water' && !interval.pinned && year && interval.days > DAILY_DAYS) {
        // By the weather to come, not by today’s alone.
        const sumpKg = (facts.duties.get(stage.id)?.stage.parameters.sumpM3 ?? 0) * 1000;
        const days = daysUntilFull(year, sumpKg * COME_AT, todayOfYear);
        if (base + days * DAY_MS < dueMs) {
          dueMs = base + days * DAY_MS;
          season = 'wetter weather by its year';
        }
      }
      const byHours = interval.triggers.find((x) => x.by === 'loaded hours');
      const meter =
        byHours && !interval.pinned
          ? dueByMeter(plan, stage.id, byHours.days * facts.loadedHPerDay, base, signals)
          : undefined;
      if (meter && (last || interval.days > DAILY_DAYS)) {
        const others = interval.triggers.filter((x) => x !== byHours).map((x) => base + x.days * DAY_MS);
        dueMs = Math.min(meter.dueMs, ...others);
        if (dueMs === meter.dueMs) season = `by the hour meter, ${meter.hPerDay.toFixed(1)} h a day`;
      }
      const spentAt = facts.spentAt.get(stage.id);
      if (spentAt !== undefined && task.isolates && task.every.spentShare !== undefined && !interval.pinned) {
        dueMs = spentAt;
        season = 'by the water adsorbed by its charge';
      }
      const after = afterEvent(plan, stage, task, events, last);
      if (after && siteTimeMs(after.at) < dueMs) {
        dueMs = siteTimeMs(after.at);
        const where = stageById(plan, after.stageId)?.name ?? 'something';
        season = after.what === 'opened' ? `${where} was opened` : `water was seen at ${where}`;
      }
      const signal = signalFor(stage, task, signals, last);
      if (signal && siteTimeMs(signal.at) < dueMs) {
        dueMs = siteTimeMs(signal.at);
        season = signal.says;
      }
      dueMs = workday(plan, dueMs);
      const own = off.get(key);
      const isOff = own !== undefined && own.until > now && (last === undefined || last < own.at);
      const state: DueState = isOff
        ? 'postponed'
        : dueMs < today
          ? 'overdue'
          : dueMs < today + DAY_MS
            ? 'due'
            : dueMs < today + SOON_DAYS * DAY_MS
              ? 'soon'
              : 'later';
      return {
        key,
        stage,
        task,
        interval,
        last,
        ...(task.counted && { times: times.get(key) ?? 0 }),
        dueMs,
        state,
        ...(isOff && own && { postponed: own }),
        ...(season && { season }),
      };
    })
    .sort((a, b) => a.dueMs - b.dueMs || a.key.localeCompare(b.key));
}

/** The day and time of a due date as the shop’s clock shows it. */
export const dueTime = (t: DueTask): SiteTime => siteTimeOf(t.dueMs);

/** Hours a month that the routine costs. */
export function hoursPerMonth(tasks: readonly { task: Task; interval: Pick<Interval, 'days'> }[]): number {
  return tasks.reduce((sum, { task, interval }) => sum + (task.minutes / 60) * (30.4 / interval.days), 0);
}

/**
 * Minutes a month of the service that a kind of stage brings at the normal level, by the usual days of its tasks: those of
 * the routine, before a line’s hours, water and weather change them.
 * @example 'twin-tower': 19.1
 */
export function usualServiceMinutes(kind: Stage['kind']): number {
  const stage = newStage(kind, kind);
  const tasks = serviceOf(stage).flatMap((id) => {
    const task = taskById(id);
    const days = task && daysAt(task, 'normal');
    return task && days && (task.when?.(stage) ?? true) ? [{ task, interval: { days } }] : [];
  });
  return hoursPerMonth(tasks) * 60;
}
