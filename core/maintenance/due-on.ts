import { drainYears, type PointYear } from '../drains/point-year';
import { walk } from '../line/walk';
import type { SiteTime } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { runWeather } from '../year/run-weather';
import type { WeatherHours } from '../year/weather';
import { livesOf } from './charge-lives';
import { type DueTask, dueTasks } from './due';
import type { DrainYear } from './facts';
import { factsOfYear, type LineYear } from './line-year';
import type { LogSummary } from './log-summary';

/** What a year of a line follows from. */
export interface YearFrom {
  readonly plan: Plan;
  readonly log: Pick<LogSummary, 'charges' | 'beads'>;
  /** Of a year; left out, the drains have none, and the charges take up the water of the survey. */
  readonly weather: WeatherHours | undefined;
  readonly now: SiteTime;
}

/** Single precision is enough for a date, and half of what a page carries. */
const rounded = ({ days, frostDays }: PointYear): DrainYear => ({ frostDays, days: Float32Array.from(days) });

/**
 * What a year of weather brings to the drains and the charges of a line.
 * @throws OutOfRange as the walk does
 * @example lineYear({ plan, log: { charges: [], beads: [] }, weather, now }).drains.size // 5
 */
export function lineYear({ plan, log, weather, now }: YearFrom): LineYear {
  const run = weather && runWeather(plan, weather, { year: Number(now.slice(0, 4)) });
  const drains = [...(run ? drainYears(plan, run) : [])].map(([id, year]) => [id, rounded(year)] as const);
  const lives = livesOf(plan, weather, log.charges, log.beads, now) ?? [];
  return {
    drains: new Map(drains),
    lives: lives.map(({ stageId, name, state, change, spentOn }) => ({
      ...{ stageId, name, state },
      ...(change && { change }),
      ...(spentOn && { spentOn }),
    })),
    at: now,
  };
}

/** What the due tasks of a line follow from. */
export interface DueFrom extends YearFrom {
  readonly log: LogSummary;
}

/**
 * What is due on a line, by its log and the weather of its year.
 * @throws OutOfRange as the walk does
 * @example dueOn({ plan, log: summaryOf({ drains: [], entries: [], charges: [] }), weather: undefined, now }).length > 0 // true
 */
export function dueOn(from: DueFrom): DueTask[] {
  const { plan, log, now } = from;
  const facts = factsOfYear(plan, walk(plan), lineYear(from));
  return dueTasks(facts, log.last, log.postponed, now, log.events, log.signals);
}
