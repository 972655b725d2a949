import { collectingStages } from '../../core/drains/duty';
import { type PointYear, pointYear } from '../../core/drains/point-year';
import { walk } from '../../core/line/walk';
import type { SiteTime } from '../../core/log/site-clock';
import { livesOf, spentTimes } from '../../core/maintenance/charge-lives';
import { type DueTask, dueTasks } from '../../core/maintenance/due';
import { maintenanceFacts } from '../../core/maintenance/facts';
import type { LogSummary } from '../../core/maintenance/log-summary';
import type { Plan } from '../../core/plan/plan';
import { runWeather } from '../../core/year/run-weather';
import type { WeatherHours } from '../../core/year/weather';

/** What the tasks of a line follow from. */
export interface DueFrom {
  readonly plan: Plan;
  readonly log: LogSummary;
  readonly weather: WeatherHours | undefined;
  readonly now: SiteTime;
}

/** What is due on a line, by its log and the weather of its year. */
export function dueOn({ plan, log, weather, now }: DueFrom): DueTask[] {
  const run = weather && runWeather(plan, weather, { year: Number(now.slice(0, 4)) });
  const years = new Map<string, PointYear>();
  for (const s of run ? collectingStages(plan) : []) {
    const year = run && pointYear(run, s.id);
    if (year) years.set(s.id, year);
  }
  const lives = livesOf(plan, weather, log.charges, log.beads, now) ?? [];
  return dueTasks(
    maintenanceFacts(plan, walk(plan), years, spentTimes(lives, now)),
    log.last,
    log.postponed,
    now,
    log.events,
    log.signals,
  );
}
