import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { DAY_MS } from '../quantity/constants';
import type { DueTask } from './due';

/** Tasks that one walk serves, in the order of the way. */
export interface Round {
  readonly id: 'round' | 'shutdown';
  readonly name: string;
  readonly who: string;
  readonly dueMs: number;
  readonly tasks: readonly DueTask[];
  readonly minutes: number;
}

/** What is due within so much of its own interval is done along the way (estimate): the walk is paid for. */
const ALONG = 0.15;
/** One shutdown serves what is due within a month of it (estimate). */
const SHUTDOWN_DAYS = 30;
/** A shutdown costs its isolation once, not at every task, min (estimate). */
const ISOLATION_MINUTES = 15;

/**
 * Work on one line at a time, min: of its tasks, and of one isolation where any of them needs it.
 * @example lineMinutes([{ minutes: 10, isolates: true }, { minutes: 5, isolates: true }]) // 30
 * @example lineMinutes([{ minutes: 10, isolates: false }]) // 10
 */
export const lineMinutes = (tasks: readonly { readonly minutes: number; readonly isolates?: boolean }[]): number =>
  tasks.reduce((sum, t) => sum + t.minutes, 0) + (tasks.some((t) => t.isolates) ? ISOLATION_MINUTES : 0);

/**
 * The stages in the order in which somebody walks.
 * @example routeOf(plan).length // 15
 */
export function routeOf(plan: Plan): string[] {
  const flow = allStages(standing(plan)).map((s) => s.id);
  const own = plan.routine.way.filter((id) => flow.includes(id));
  return [...own, ...flow.filter((id) => !own.includes(id))];
}

/**
 * Groups what is due into rounds: one for what is done as the line runs, one for what needs it shut down, so that a single
 * shutdown serves several tasks.
 * @param nowMs the shop’s clock
 * @example roundsOf(plan, dueTasks(facts, [], [], now), siteTimeMs(now)).map((r) => r.id) // ["round","shutdown"]
 */
export function roundsOf(plan: Plan, tasks: readonly DueTask[], nowMs: number): Round[] {
  const endOfDay = (Math.floor(nowMs / DAY_MS) + 1) * DAY_MS;
  const way = routeOf(plan);
  const byWay = (a: DueTask, b: DueTask): number =>
    way.indexOf(a.stage.id) - way.indexOf(b.stage.id) || a.dueMs - b.dueMs;
  const asked = tasks.filter((t) => t.state !== 'postponed');
  const running = asked.filter((t) => !t.task.isolates);
  const isDue = (t: DueTask): boolean => t.dueMs < endOfDay;
  const walk = running.filter(isDue);
  const along =
    walk.length > 0 ? running.filter((t) => !isDue(t) && t.dueMs < endOfDay + ALONG * t.interval.days * DAY_MS) : [];
  const stopped = asked.filter((t) => t.task.isolates);
  const firstStop = Math.min(...stopped.map((t) => t.dueMs));
  const together = stopped.filter((t) => t.dueMs < Math.max(firstStop, endOfDay) + SHUTDOWN_DAYS * DAY_MS);
  const minutes = (of: readonly DueTask[]): number => lineMinutes(of.map((t) => t.task));
  const rounds: Round[] = [];
  if (walk.length > 0)
    rounds.push({
      id: 'round',
      name: 'Round',
      who: plan.routine.rounds,
      dueMs: Math.min(...walk.map((t) => t.dueMs)),
      tasks: [...walk, ...along].sort(byWay),
      minutes: minutes([...walk, ...along]),
    });
  if (together.length > 0)
    rounds.push({
      id: 'shutdown',
      name: 'Shutdown',
      who: plan.routine.shutdowns,
      dueMs: firstStop,
      tasks: together.sort(byWay),
      minutes: minutes(together),
    });
  return rounds;
}
