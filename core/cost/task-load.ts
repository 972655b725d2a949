import type { Section } from '../line/section';
import { maintenanceFacts } from '../maintenance/facts';
import { sayInterval } from '../maintenance/interval';
import { hoursPerMonth, tasksOfLine } from '../maintenance/line-tasks';
import type { Plan } from '../plan/plan';

/** Work that a line asks of somebody. */
export interface TaskLoad {
  readonly says: string;
  readonly points: number;
  readonly minutesPerYear: number;
}

const MONTHS = 12;

/**
 * What has to be done by hand on a line, and how long it takes in a year: the tasks of its routine, as Today has them.
 * @example taskLoad(plan, section).length // 29
 */
export function taskLoad(plan: Plan, section: Section): TaskLoad[] {
  const facts = maintenanceFacts(plan, section);
  const alike = new Map<string, TaskLoad>();
  for (const { task, interval } of tasksOfLine(facts)) {
    const says = `${task.does}, ${sayInterval(interval.days)}`;
    const minutes = hoursPerMonth([{ task, interval }]) * 60 * MONTHS;
    const { points, minutesPerYear } = alike.get(says) ?? { points: 0, minutesPerYear: 0 };
    alike.set(says, { says, points: points + 1, minutesPerYear: minutesPerYear + minutes });
  }
  return [...alike.values()].sort((a, b) => b.minutesPerYear - a.minutesPerYear);
}
