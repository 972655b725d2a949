import { createHash } from 'node:crypto';
import path from 'node:path';
import { LRUCache } from 'lru-cache';
import { Piscina } from 'piscina';
import type { DueFrom } from '../../core/maintenance/due-on';
import type { Plan } from '../../core/plan/plan';
import { surveyAtmosphericPa } from '../../core/plan/survey';
import { yearOfMonths } from '../../core/year/month-means';
import type { WeatherHours } from '../../core/year/weather';
import { clockOnTheWall, zoneOfLine } from '../clock';
import { RequestRefused } from '../errors';
import { readLogSummary } from '../read-log-summary';
import { weatherOf } from '../save-weather';

const KEPT = 500;
/** A thread that has nothing to do for so long ends. */
const IDLE_MS = 60_000;

// The worker is TypeScript from the sources, as the scripts in bin are: the build of the pages does not carry it.
const threads = new Piscina({
  filename: path.join(process.cwd(), 'server/calendar/calendar.worker.ts'),
  execArgv: ['--import', 'tsx'],
  minThreads: 0,
  maxThreads: 1,
  idleTimeout: IDLE_MS,
});

/** Texts by all that they follow from: what the line and its log say, its weather, and the day. */
const texts = new LRUCache<string, string, DueFrom & { readonly planId: string }>({
  max: KEPT,
  fetchMethod: (_key, _old, { context }) => threads.run(context),
});

/** The weather that a plan goes by, where it is stored here. */
export async function hoursOf(plan: Plan): Promise<WeatherHours | undefined> {
  const { climate } = plan.survey;
  if (climate.from === 'months' && climate.months)
    return yearOfMonths(climate.months, surveyAtmosphericPa(plan.survey));
  if (climate.from !== 'file' || climate.yearId === null) return undefined;
  try {
    return (await weatherOf(climate.yearId)).hours;
  } catch (error) {
    if (error instanceof RequestRefused && error.status === 404) return undefined; // of another place: today’s water counts
    throw error;
  }
}

/** The calendar of a line as text: worked out in a thread of its own, once a day while nothing that it follows from changes. */
export async function calendarOf(planId: string, plan: Plan): Promise<string> {
  const [log, weather, zone] = await Promise.all([readLogSummary(planId, plan), hoursOf(plan), zoneOfLine(planId)]);
  const now = clockOnTheWall(zone);
  const day = now.slice(0, 10);
  const key = createHash('sha256')
    .update(JSON.stringify([planId, plan, log, weather, day]))
    .digest('base64');
  return (await texts.fetch(key, { context: { planId, plan, log, weather, now } })) as string;
}
