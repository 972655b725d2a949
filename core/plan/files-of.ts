import type { KeptFile } from './file-fields';
import type { Plan } from './plan';
import { allStages } from './runs';

/**
 * The pictures and documents that a plan names: of its things and of the steps of its assembly.
 * @returns each once
 * @example filesOf(plan).length // 0
 */
export function filesOf(plan: Plan): KeptFile[] {
  const named = [
    ...allStages(plan).flatMap((s) => s.thing?.files ?? []),
    ...plan.fitting.takenOut.flatMap(({ thing }) => thing.files),
    ...Object.values(plan.fitting.pictures).flat(),
  ];
  return [...new Map(named.map((f) => [f.id, f])).values()];
}
