import type { Plan, Stage } from './plan';
import { allStages } from './runs';

/** A row of stages that are the same thing in several plans; a plan without it has a gap. */
export type Aligned = readonly (Stage | undefined)[];

/** Stages of plans that do not come from one another: the first compressor beside the first compressor, and so on. */
function keysByKind(plan: Plan): Map<string, Stage> {
  const count = new Map<string, number>();
  return new Map(
    allStages(plan).map((s) => {
      const n = (count.get(s.kind) ?? 0) + 1;
      count.set(s.kind, n);
      return [`${s.kind} ${n}`, s];
    }),
  );
}

/**
 * Lays plans side by side: by the ids of their stages where they come from one another, else by kind.
 * @returns rows in the order of flow of the first plan, with what only others have downstream of the same neighbour
 * @example align([plan, removeStage(plan, 'gauge')]).length // 15
 */
export function align(plans: readonly Plan[]): Aligned[] {
  const ids = (plan: Plan): Set<string> => new Set(allStages(plan).map((s) => s.id));
  const [first] = plans;
  const related = plans.every((p) => first !== undefined && [...ids(p)].some((id) => ids(first).has(id)));
  const keyed = plans.map((p) => (related ? new Map(allStages(p).map((s) => [s.id, s])) : keysByKind(p)));
  const order: string[] = [];
  for (const map of keyed) {
    let at = 0;
    for (const key of map.keys()) {
      const there = order.indexOf(key);
      if (there === -1) order.splice(at++, 0, key);
      else at = there + 1;
    }
  }
  return order.map((key) => keyed.map((map) => map.get(key)));
}
