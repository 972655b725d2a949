import { handDays } from '../drains/drain-work';
import { kindOf } from '../equipment/index';
import type { Surroundings } from '../equipment/shared/kind';
import { serviceOf } from '../maintenance/facts';
import { daysAt } from '../maintenance/levels';
import { HAND_LEAST_DAYS } from '../maintenance/line-tasks';
import type { Task } from '../maintenance/task';
import { taskById } from '../maintenance/tasks';
import type { Stage } from '../plan/plan';
import { HOUR_S, WATER_KG_PER_M3 } from '../quantity/constants';
import type { AirStream } from '../stream/air-stream';

// What the air and the water that come to a stage ask for in minutes, over what its service asks for at least.

const LEAST_DAYS = 1 / 24;

const tasksOf = (stage: Stage, test: (task: Task) => boolean): Task[] =>
  serviceOf(stage).flatMap((id) => {
    const task = taskById(id);
    return task && test(task) && (task.when?.(stage) ?? true) ? [task] : [];
  });
const drainTasks = (stage: Stage): Task[] => tasksOf(stage, (t) => t.every.fillings !== undefined);

export const isByHand = (stage: Stage): boolean => (stage.parameters as { drain?: string }).drain === 'manual';

/** Minutes a week that an element takes over its usual service where drops reach it. */
export const wetMinutes = (stage: Stage): number =>
  tasksOf(stage, (t) => t.lastsLess?.drops !== undefined).reduce(
    (sum, task) =>
      sum + (task.minutes * 7 * (1 / (task.lastsLess?.drops as number) - 1)) / (daysAt(task, 'normal') ?? 7),
    0,
  );

/** How long a medium lasts from now, s of air. */
export const lifeOf = (stage: Stage, enters: AirStream, around: Surroundings): number | undefined =>
  kindOf(stage.kind)
    .shows?.(enters, stage.parameters, around)
    .find((s) => s.figure === 'life')?.value;

/** How often each task of a drain by hand comes where so much water does. */
function handTasks(
  stage: Stage,
  kgPerDay: number,
): { readonly task: Task; readonly days: number; readonly isSooner: boolean }[] {
  const { sumpM3 } = stage.parameters as { sumpM3?: number };
  const fillDays = sumpM3 !== undefined && kgPerDay > 0 ? (sumpM3 * WATER_KG_PER_M3) / kgPerDay : undefined;
  return drainTasks(stage).map((task) => {
    const { days, water } = handDays(daysAt(task, 'normal') ?? HAND_LEAST_DAYS, fillDays, kgPerDay, false);
    return { task, days, isSooner: water === 'sooner' };
  });
}

/** Minutes a week that a drain by hand takes, over once a week, where so much water comes each day. */
export const handMinutes = (stage: Stage, kgPerDay: number): number =>
  handTasks(stage, kgPerDay).reduce((sum, { task, days }) => sum + task.minutes * Math.max(0, 7 / days - 1), 0);

/** Whether a drain by hand would have to be opened so often that nobody does. */
export const fillsTooSoon = (stage: Stage, kgPerDay: number): boolean =>
  handTasks(stage, kgPerDay).some(({ days, isSooner }) => isSooner && days < HAND_LEAST_DAYS);

/**
 * Minutes a week that looking at beads and changing them take at this air, over their usual service.
 * @param lifeS how long they last from now, s of air
 * @param loadedHPerDay hours of air, on average of all days
 */
export function beadMinutes(
  stage: Extract<Stage, { kind: 'bead-cartridge' }>,
  lifeS: number,
  loadedHPerDay: number,
): number {
  const wholeDays = lifeS / Math.max(0.02, 1 - stage.parameters.spentShare) / HOUR_S / loadedHPerDay;
  return tasksOf(stage, (t) => t.every.spentShare !== undefined).reduce((sum, task) => {
    const usual = daysAt(task, 'normal') ?? Number.POSITIVE_INFINITY;
    const days = Math.max(LEAST_DAYS, wholeDays * (task.every.spentShare as number));
    return sum + Math.max(0, task.minutes * 7 * (1 / days - 1 / usual));
  }, 0);
}
