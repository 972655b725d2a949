import { walk } from '../line/walk';
import { setParameter } from '../plan/edit';
import type { Plan } from '../plan/plan';
import { pathTo, standing } from '../plan/runs';

/** What becomes of beads where something before them is left alone. */
export interface Neglect {
  readonly stageId: string;
  readonly name: string;
  /** Water that reaches the beads, over what reaches them now: so many times sooner they are spent. */
  readonly times: number;
}

const WORTH_SAYING = 1.05; // less is within what the charge is known to (estimate)

/**
 * For each drain before a place with beads: how much more water reaches them once nobody sees to it.
 * @example neglectOfDrains(plan, 'beads').length // 1
 */
export function neglectOfDrains(plan: Plan, placeId: string): Neglect[] {
  const line = standing(plan);
  const reaches = (p: Plan): number => {
    const section = walk(p);
    const before = section.at(pathTo(p, placeId).at(-2)?.id);
    return before ? before.vapourKgPerS + before.liquidKgPerS : 0;
  };
  const now = reaches(line);
  if (!(now > 0)) return [];
  return pathTo(line, placeId)
    .slice(0, -1)
    .filter((s) => 'drain' in s.parameters && s.parameters.drain !== 'none')
    .map((s) => ({ stageId: s.id, name: s.name, times: reaches(setParameter(line, s.id, 'drain', 'none')) / now }))
    .filter((n) => n.times > WORTH_SAYING)
    .toSorted((a, b) => b.times - a.times);
}
