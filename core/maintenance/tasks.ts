import { PUMP_TASKS } from './compressor-tasks';
import { COOLING_AND_DRYING_TASKS } from './cooling-and-drying-tasks';
import { DRAIN_TASKS } from './drain-tasks';
import { FILTER_AND_TOOL_TASKS } from './filter-and-tool-tasks';
import type { Task } from './task';
import { VESSEL_TASKS } from './vessel-tasks';

/** Every task that a kind of equipment can bring, by its id in the trade handbook; T beyond it. */
export const TASKS: readonly Task[] = [
  ...DRAIN_TASKS,
  ...PUMP_TASKS,
  ...COOLING_AND_DRYING_TASKS,
  ...FILTER_AND_TOOL_TASKS,
  ...VESSEL_TASKS,
];

/** Tasks that isolate and open their stage. */
export const ISOLATING: readonly string[] = TASKS.flatMap((t) => (t.isolates ? [t.id] : []));

/** Tasks of which it matters how often they were done. */
export const COUNTED: readonly string[] = TASKS.flatMap((t) => (t.counted ? [t.id] : []));

export const taskById = (id: string): Task | undefined => TASKS.find((t) => t.id === id);
