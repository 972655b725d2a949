import { drainYears, type PointYear } from '../drains/point-year';
import { walk } from '../line/walk';
import type { SiteTime } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { runWeather } from '../year/run-weather';
import type { WeatherHours } from '../year/weather';
import { livesOf, type PlaceLife, spentTimes } from './charge-lives';
import { type DueTask, dueTasks } from './due';
import { type DrainYear, type MaintenanceFacts, maintenanceFacts } from './facts';
import type { LogSummary } from './log-summary';

/** What the dates of a line’s tasks follow from that takes long to calculate: a year of weather, and its charges. */
export interface LineYear {
  readonly drains: ReadonlyMap<string, DrainYear>;
  readonly lives: readonly Pick<PlaceLife, 'stageId' | 'name' | 'state' | 'change' | 'spentOn'>[];
  /** When it was calculated. */
  readonly at: SiteTime;
}

/** What a page of due tasks is given: the log, and the year of that version of the line where it was at hand. */
export interface DueSources {
  readonly log: LogSummary;
  readonly year?: LineYear | undefined;
  readonly rowVersion?: number;
}

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

/**
 * The facts of a line with its year; without one, by the air of the survey alone.
 * @example factsOfYear(plan, section, undefined).years.size // 0
 */
export const factsOfYear = (
  plan: Plan,
  section: MaintenanceFacts['section'],
  year: LineYear | undefined,
): MaintenanceFacts => maintenanceFacts(plan, section, year?.drains, year && spentTimes(year.lives, year.at));

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
