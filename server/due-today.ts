import { collectingStages } from '../core/drain/duty';
import { type PointYear, pointYear } from '../core/drain/point-year';
import type { Plan } from '../core/line/plan';
import { surveyAtmosphericPa } from '../core/line/survey';
import { walk } from '../core/line/walk';
import { type DueTask, dueTasks } from '../core/routine/due';
import { routineFacts } from '../core/routine/facts';
import { livesOf, spentTimes } from '../core/season/charge-lives';
import { yearOfMonths } from '../core/season/month-means';
import { runWeather } from '../core/season/run-weather';
import type { WeatherHours } from '../core/season/weather';
import { RequestRefused } from './errors';
import { readLogSummary } from './read-log-summary';
import { readWeather } from './save-weather';

/** The weather that a plan goes by, where it is stored here. */
async function weatherOf(plan: Plan): Promise<WeatherHours | undefined> {
  const { climate } = plan.survey;
  if (climate.from === 'months' && climate.months)
    return yearOfMonths(climate.months, surveyAtmosphericPa(plan.survey));
  if (climate.from !== 'file' || climate.yearId === null) return undefined;
  try {
    return (await readWeather(climate.yearId)).hours;
  } catch (error) {
    if (error instanceof RequestRefused && error.status === 404) return undefined; // of another place: today’s water counts
    throw error;
  }
}

/** What is due on a line, by its log and the weather of its year. */
export async function dueOn(planId: string, plan: Plan, now: string): Promise<DueTask[]> {
  const [log, weather] = await Promise.all([readLogSummary(planId, plan), weatherOf(plan)]);
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
    log.putOffs,
    now,
    log.events,
    log.signals,
  );
}
