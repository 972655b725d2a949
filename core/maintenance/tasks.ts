import { type KindName, kindOf } from '../equipment/index';
import { COMPRESSOR_TASKS } from './compressor-tasks';
import { COOLING_AND_DRYING_TASKS } from './cooling-and-drying-tasks';
import { DRAIN_TASKS } from './drain-tasks';
import { FILTER_AND_TOOL_TASKS } from './filter-and-tool-tasks';
import type { Task } from './task';
import { VESSEL_TASKS } from './vessel-tasks';

/** Every task that a kind of equipment can bring, by its id in the trade handbook; T beyond it. */
export const TASKS: readonly Task[] = [
  ...DRAIN_TASKS,
  ...COMPRESSOR_TASKS,
  ...COOLING_AND_DRYING_TASKS,
  ...FILTER_AND_TOOL_TASKS,
  ...VESSEL_TASKS,
];

/** Tasks that isolate and open their stage. */
export const ISOLATING: readonly string[] = TASKS.flatMap((t) => (t.isolates ? [t.id] : []));

/** Tasks that a logged drain does. */
export const DRAINING: readonly string[] = TASKS.flatMap((t) => (t.drains ? [t.id] : []));

/** Tasks that put something new in. */
export const RENEWING: readonly string[] = TASKS.flatMap((t) => (t.renews ? [t.id] : []));

/** Tasks of which it matters how often they were done. */
export const COUNTED: readonly string[] = TASKS.flatMap((t) => (t.counted ? [t.id] : []));

/**
 * A task by its id in the trade handbook; nothing where there is none.
 * @example taskById('M01').id // 'M01'
 */
export const taskById = (id: string): Task | undefined => TASKS.find((t) => t.id === id);

/** The task that puts something new into a kind of stage. */
export const taskThatRenews = (kind: KindName): Task | undefined =>
  kindOf(kind)
    .service?.map(taskById)
    .find((t) => t?.renews);
