import { collectingStages } from '../../core/drain/duty';
import { type PointYear, pointYear } from '../../core/drain/point-year';
import type { Plan } from '../../core/line/plan';
import { walk } from '../../core/line/walk';
import type { ShopTime } from '../../core/record/shop-clock';
import { type DueTask, dueTasks } from '../../core/routine/due';
import { routineFacts } from '../../core/routine/facts';
import type { LogSummary } from '../../core/routine/log-summary';
import { livesOf, spentTimes } from '../../core/season/charge-lives';
import { runWeather } from '../../core/season/run-weather';
import type { WeatherHours } from '../../core/season/weather';

/** What the tasks of a line follow from. */
export interface DueFrom {
  readonly plan: Plan;
  readonly log: LogSummary;
  readonly weather: WeatherHours | undefined;
  readonly now: ShopTime;
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
    routineFacts(plan, walk(plan), years, spentTimes(lives, now)),
    log.last,
    log.postponed,
    now,
    log.events,
    log.signals,
  );
}
