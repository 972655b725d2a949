import { type SiteTime, siteTimeMs, siteTimeOf } from '../log/site-clock';
import type { Stage } from '../plan/plan';
import { DAY_MS } from '../quantity/constants';
import { dueDateOf } from './due-date';
import type { MaintenanceFacts } from './facts';
import type { Interval } from './interval';
import { taskKey, tasksOfLine } from './line-tasks';
import type { LastDone, Opening, Postponed, Signal } from './logged';
import type { Task } from './task';

const SOON_DAYS = 7;

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

function stateOf(dueMs: number, todayMs: number): DueState {
  if (dueMs < todayMs) return 'overdue';
  if (dueMs < todayMs + DAY_MS) return 'due';
  return dueMs < todayMs + SOON_DAYS * DAY_MS ? 'soon' : 'later';
}

/** When each task was last done, and how often, by its key. */
function doneByTask(done: readonly LastDone[]): { last: Map<string, SiteTime>; times: Map<string, number> } {
  const last = new Map<string, SiteTime>();
  const times = new Map<string, number>();
  for (const d of done) {
    const key = taskKey(d.stageId, d.task);
    if ((last.get(key) ?? '') < d.at) last.set(key, d.at);
    times.set(key, (times.get(key) ?? 0) + (d.times ?? 1));
  }
  return { last, times };
}

/**
 * What is due, the most pressing first.
 * @param now the clock of the site
 * @param events of the log, the newest first
 * @param signals of the log, the newest first
 * @param done the last time of each task, from the log; what was never logged counts from the day on which the maintenance began
 * @example dueTasks(facts, [], [], now)[0].task.id // 'M21'
 */
export function dueTasks(
  facts: MaintenanceFacts,
  done: readonly LastDone[],
  postponed: readonly Postponed[],
  now: SiteTime,
  events: readonly Opening[] = [],
  signals: readonly Signal[] = [],
): DueTask[] {
  const { startedOn } = facts.plan.routine;
  const nowMs = siteTimeMs(now);
  const todayMs = Math.floor(nowMs / DAY_MS) * DAY_MS;
  const begunMs = startedOn === null ? nowMs : siteTimeMs(`${startedOn}T00:00`);
  const { last: lastOf, times } = doneByTask(done);
  const postponedOf = new Map(postponed.map((p) => [taskKey(p.stageId, p.task), p]));
  return tasksOfLine(facts)
    .map(({ stage, task, interval }): DueTask => {
      const key = taskKey(stage.id, task.id);
      const last = lastOf.get(key);
      const baseMs = last ? siteTimeMs(last) : begunMs;
      const from = { facts, stage, task, interval, last, baseMs, nowMs, todayMs, events, signals };
      const { ms: dueMs, season } = dueDateOf(from);
      const put = postponedOf.get(key);
      const isPostponed = put !== undefined && put.until > now && (last === undefined || last < put.at);
      return {
        key,
        stage,
        task,
        interval,
        last,
        ...(task.counted && { times: times.get(key) ?? 0 }),
        dueMs,
        state: isPostponed ? 'postponed' : stateOf(dueMs, todayMs),
        ...(isPostponed && { postponed: put }),
        ...(season && { season }),
      };
    })
    .sort((a, b) => a.dueMs - b.dueMs || a.key.localeCompare(b.key));
}

/**
 * The day and time of a due date as the shop’s clock shows it.
 * @example dueTime(dueTasks(facts, [], [], now)[0]) // '2026-11-25T09:00'
 */
export const dueTime = (t: DueTask): SiteTime => siteTimeOf(t.dueMs);
