import { newStage } from '../plan/edit';
import type { Level } from '../plan/maintenance-settings';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import type { MaintenanceFacts } from './facts';
import { serviceOf } from './facts';
import { type Interval, intervalOf } from './interval';
import { daysAt } from './levels';
import type { Task } from './task';
import { taskById } from './tasks';

export const taskKey = (stageId: string, task: string): string => `${stageId} ${task}`;

/**
 * The stages and tasks of a line, without those that are left out.
 * @example tasksOfStages(plan).length // 35
 */
export function tasksOfStages(plan: Plan): { stage: Stage; task: Task }[] {
  return allStages(standing(plan)).flatMap((stage) =>
    serviceOf(stage).flatMap((id) => {
      const task = taskById(id);
      const out = plan.routine.leftOut.some((l) => l.stageId === stage.id && l.task === id);
      const spared =
        task &&
        daysAt(task, plan.routine.level) === null &&
        !plan.routine.pins.some((p) => p.stageId === stage.id && p.task === id);
      return task && !out && !spared && (task.when?.(stage) ?? true) ? [{ stage, task }] : [];
    }),
  );
}

/** Where water asks for it more often than that, hardly anybody opens a drain by hand (estimate): it needs an automatic one. */
export const HAND_LEAST_DAYS = 2;

const WEEK_DAYS = 7;

export interface Timed {
  readonly stage: Stage;
  readonly task: Task;
  readonly interval: Interval;
}

const needsAutomatic = ({ stage, task, interval }: Timed): boolean =>
  task.every.fillings !== undefined &&
  'drain' in stage.parameters &&
  stage.kind !== 'pellet-tower' &&
  interval.by === 'water' &&
  interval.days < HAND_LEAST_DAYS;

const timed = (facts: MaintenanceFacts): Timed[] =>
  tasksOfStages(facts.plan).map(({ stage, task }) => ({ stage, task, interval: intervalOf(facts, stage, task) }));

/**
 * The one list of tasks of a line, each with how often: for Today, rounds, calendar and Compare.
 * @example tasksOfLine(facts).length // 35
 */
export const tasksOfLine = (facts: MaintenanceFacts): Timed[] => timed(facts).filter((t) => !needsAutomatic(t));

/**
 * Drains that would have to be opened so often by hand that they are no task: each needs an automatic one.
 * @example drainsToAutomate(facts).length // 0
 */
export const drainsToAutomate = (facts: MaintenanceFacts): Timed[] => timed(facts).filter(needsAutomatic);

/**
 * Minutes a week that the routine takes at a level.
 * @returns min
 * @example minutesPerWeek(facts, 'full') // 49.9
 */
export function minutesPerWeek(facts: MaintenanceFacts, level: Level): number {
  const plan = { ...facts.plan, routine: { ...facts.plan.routine, level } };
  return (hoursPerMonth(tasksOfLine({ ...facts, plan })) * 60 * 7) / 30.4;
}

/**
 * Hours a month that the routine costs.
 * @returns h
 * @example hoursPerMonth(tasksOfLine(facts)) // 9.96
 */
export function hoursPerMonth(tasks: readonly { task: Task; interval: Pick<Interval, 'days'> }[]): number {
  return tasks.reduce((sum, { task, interval }) => sum + (task.minutes / 60) * (30.4 / interval.days), 0);
}

/** Minutes a month of the tasks of a stage at the normal level that days bring. */
function serviceMinutes(stage: Stage, daysOf: (task: Task, usual: number) => number): number {
  const tasks = serviceOf(stage).flatMap((id) => {
    const task = taskById(id);
    const days = task && daysAt(task, 'normal');
    return task && days && (task.when?.(stage) ?? true) ? [{ task, interval: { days: daysOf(task, days) } }] : [];
  });
  return hoursPerMonth(tasks) * 60;
}

/**
 * Minutes a month of the service that a kind of stage brings at the normal level, by the usual days of its tasks: those of
 * the routine, before a line’s hours, water and weather change them.
 * @returns min
 * @example usualServiceMinutes('twin-tower') // 19.1
 */
export const usualServiceMinutes = (kind: Stage['kind']): number =>
  serviceMinutes(newStage(kind, kind), (_, usual) => usual);

/**
 * Minutes a month that a stage asks for at least, whatever its line: a drain that hardly gets water is opened once a week,
 * anything else comes as usual or more often.
 * @returns min
 * @example leastServiceMinutes(newStage('regulator', 'r')) // 0.68
 */
export const leastServiceMinutes = (stage: Stage): number =>
  serviceMinutes(stage, (task, usual) => (task.every.fillings === undefined ? usual : Math.max(usual, WEEK_DAYS)));
