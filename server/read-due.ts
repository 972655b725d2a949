import { createHash } from 'node:crypto';
import path from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import { Piscina } from 'piscina';
import type { YearFrom } from '../core/maintenance/due-on';
import type { DueSources, LineYear } from '../core/maintenance/line-year';
import { hoursOf } from './calendar/calendar-of';
import { clockOnTheWall, zoneOfLine } from './clock';
import type { Who } from './people/may';
import { readLogSummary } from './read-log-summary';
import { readPlan } from './read-plan';

const KEPT = 500;
/** A thread that has nothing to do for so long ends. */
const IDLE_MS = 10 * 60_000;
/** A page goes without the year that takes longer, and the browser calculates it; a choice of ours. */
const WAIT_MS = 400;
/** With so many waiting a further page need not ask. */
const MOST_WAITING = 3;

// From the sources, as server/calendar/calendar-of.ts says.
const threads = new Piscina({
  filename: path.join(process.cwd(), 'server/due.worker.ts'),
  execArgv: ['--import', 'tsx'],
  minThreads: 0,
  maxThreads: 1,
  idleTimeout: IDLE_MS,
});

/** Years of lines by all that they follow from, of a day. */
const years = new LRUCache<string, LineYear, Omit<YearFrom, 'weather'>>({
  max: KEPT,
  fetchMethod: async (_key, _old, { context }) => threads.run({ ...context, weather: await hoursOf(context.plan) }),
});

/** The year of a line, where it is known or can be had at once. */
async function yearAtHand(key: string, context: Omit<YearFrom, 'weather'>): Promise<LineYear | undefined> {
  const there = years.get(key);
  if (there || threads.queueSize >= MOST_WAITING) return there;
  const fetched = years.fetch(key, { context }).catch((error: unknown) => {
    console.error('year of a line:', String(error)); // the browser tries it too, and says what is wrong
    return undefined;
  });
  return Promise.race([fetched, after(WAIT_MS, undefined)]);
}

/** The log of a line as its pages of due tasks ask for it, and its year where that is at hand. */
export async function readDueOf(who: Who, planId: string): Promise<DueSources> {
  const { plan, rowVersion } = await readPlan(who, planId);
  const [log, zone] = await Promise.all([readLogSummary(planId, plan), zoneOfLine(planId)]);
  const now = clockOnTheWall(zone);
  const { charges, beads } = log;
  const key = createHash('sha256')
    .update(JSON.stringify([planId, rowVersion, charges, beads, now.slice(0, 10)]))
    .digest('base64');
  return { log, rowVersion, year: await yearAtHand(key, { plan, log: { charges, beads }, now }) };
}
