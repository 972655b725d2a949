import type { ReadingName } from '../log/readings';
import type { Stage } from '../plan/plan';
import { serviceOf } from './facts';
import { taskById } from './tasks';

/**
 * The value of a reading at which a task of its stage is asked for: a clean element’s drop and what it may gain, beads used
 * up, a dew point above its band. Nothing for what asks for nothing.
 * @param expected of that day, SI
 * @example limitOf(stage('fine'), 'pressure-drop', { value: 8e3, high: 1e4 }) // 56000
 */
export function limitOf(
  stage: Stage,
  of: ReadingName,
  expected: { readonly value: number; readonly high: number } | null,
): number | undefined {
  const every = serviceOf(stage)
    .map((id) => taskById(id))
    .filter((t) => t?.when?.(stage) ?? true)
    .map((t) => t?.every);
  const least = (values: (number | undefined)[]): number | undefined => {
    const known = values.filter((v): v is number => v !== undefined);
    return known.length > 0 ? Math.min(...known) : undefined;
  };
  if (of === 'spent') return least(every.map((e) => e?.spentShare));
  if (of === 'dew-point') return every.some((e) => e?.dewPoint) ? expected?.high : undefined;
  const gain = of === 'pressure-drop' ? least(every.map((e) => e?.dropPa)) : undefined;
  return gain !== undefined && expected ? expected.value + gain : undefined;
}
