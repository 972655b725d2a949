import { COME_AT } from '../drains/drain-work';
import { dailyWaterKg } from '../drains/point-year';
import type { ReadingName } from '../log/readings';
import { type SiteTime, siteTimeMs } from '../log/site-clock';
import type { Plan, Stage } from '../plan/plan';
import { pathTo, stageById } from '../plan/runs';
import { calendarDayOf, spansOf } from '../plan/working-time';
import { DAY_MS, HOUR_MS, WATER_KG_PER_M3 } from '../quantity/constants';
import { dayOfYear, sayDay } from '../year/calendar';
import type { DrainYear, MaintenanceFacts } from './facts';
import { dueByMeter } from './hour-meter';
import type { Timed } from './line-tasks';
import type { Opening, Signal } from './logged';
import type { Task } from './task';

/** What comes more often than that is daily work: it does not wait for its first interval (estimate). */
const DAILY_DAYS = 1.5;

/** Done so lately, the winter list is done for this winter (estimate: from autumn to spring). */
const WINTER_DAYS = 200;

const FROST_LEAD_DAYS = 14; // two weeks before the first frost of its year of weather (estimate)

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
export function daysUntilFull(year: DrainYear, sumpKg: number, fromDay: number, most = 60): number {
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

/** A due date, and what brought it there. */
interface DueDate {
  readonly ms: number;
  readonly season?: string;
}

/** What the due date of a task at a stage follows from. */
interface DueFrom extends Timed {
  readonly facts: MaintenanceFacts;
  readonly last: SiteTime | undefined;
  /** The last time, or the day on which the maintenance began. */
  readonly baseMs: number;
  readonly nowMs: number;
  /** Midnight. */
  readonly todayMs: number;
  readonly events: readonly Opening[];
  readonly signals: readonly Signal[];
}

/** Before the first frost of its year of weather, once a winter. */
function byFrost({ facts, task, last, baseMs, nowMs, todayMs }: DueFrom, due: DueDate): DueDate {
  if (!task.every.frost) return due;
  const day = dayOfYear(todayMs);
  const ahead = firstFrostDay(facts, day);
  const doneThisWinter = last !== undefined && nowMs - siteTimeMs(last) < WINTER_DAYS * DAY_MS;
  return {
    ms: ahead === undefined || doneThisWinter ? baseMs + 365 * DAY_MS : todayMs + (ahead - FROST_LEAD_DAYS) * DAY_MS,
    ...(ahead !== undefined && { season: `first frost about ${sayDay((day + ahead) % 365)}` }),
  };
}

/** By the water of the weather to come, not by today’s alone. */
function byWater({ facts, stage, interval, baseMs, todayMs }: DueFrom, due: DueDate): DueDate {
  const year = facts.years.get(stage.id);
  if (interval.by !== 'water' || interval.pinned || !year || interval.days <= DAILY_DAYS) return due;
  const sumpKg = (facts.duties.get(stage.id)?.stage.parameters.sumpM3 ?? 0) * WATER_KG_PER_M3;
  const ms = baseMs + daysUntilFull(year, sumpKg * COME_AT, dayOfYear(todayMs)) * DAY_MS;
  return ms < due.ms ? { ms, season: 'wetter weather by its year' } : due;
}

/** By the hours that were read, in place of those of the working pattern. */
function byHourMeter({ facts, stage, interval, last, baseMs, signals }: DueFrom, due: DueDate): DueDate {
  const byHours = interval.triggers.find((x) => x.by === 'loaded hours');
  if (!byHours || interval.pinned || !(last || interval.days > DAILY_DAYS)) return due;
  const meter = dueByMeter(facts.plan, stage.id, byHours.days * facts.loadedHPerDay, baseMs, signals);
  if (!meter) return due;
  const others = interval.triggers.filter((x) => x !== byHours).map((x) => baseMs + x.days * DAY_MS);
  const ms = Math.min(meter.dueMs, ...others);
  return ms === meter.dueMs ? { ms, season: `by the hour meter, ${meter.hPerDay.toFixed(1)} h a day` } : { ...due, ms };
}

/** When the charge is exhausted by the water that came to it. */
function byCharge({ facts, stage, task, interval }: DueFrom, due: DueDate): DueDate {
  const ms = facts.spentAt.get(stage.id);
  if (ms === undefined || !task.isolates || task.every.spentShare === undefined || interval.pinned) return due;
  return { ms, season: 'by the water adsorbed by its charge' };
}

/** At once after something upstream was opened, or water was seen where none should be. */
function byOpening({ facts, stage, task, events, last }: DueFrom, due: DueDate): DueDate {
  const after = afterEvent(facts.plan, stage, task, events, last);
  if (!after || siteTimeMs(after.at) >= due.ms) return due;
  const where = stageById(facts.plan, after.stageId)?.name ?? 'something';
  return {
    ms: siteTimeMs(after.at),
    season: after.what === 'opened' ? `${where} was opened` : `water was seen at ${where}`,
  };
}

/** When a reading asked for it. */
function byReading({ stage, task, signals, last }: DueFrom, due: DueDate): DueDate {
  const signal = signalFor(stage, task, signals, last);
  return signal && siteTimeMs(signal.at) < due.ms ? { ms: siteTimeMs(signal.at), season: signal.says } : due;
}

/** What may move a due date, in this order. */
const MOVES = [byFrost, byWater, byHourMeter, byCharge, byOpening, byReading] as const;

export function dueDateOf(from: DueFrom): DueDate {
  const { last, interval, baseMs } = from;
  // What was never done is due one interval after the beginning; what is done daily, at once.
  const ms = last || interval.days > DAILY_DAYS ? baseMs + interval.days * DAY_MS : baseMs;
  const { ms: moved, season } = MOVES.reduce<DueDate>((due, move) => move(from, due), { ms });
  return { ms: workday(from.facts.plan, moved), ...(season && { season }) };
}
