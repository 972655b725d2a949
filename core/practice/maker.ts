import type { Plan, Stage } from '../plan/plan';
import type { PracticeCase, Season } from './case';
import type { Draws } from './draws';

/** How hard: 0 for a beginner, 2 for who has mastered it. */
export type Level = PracticeCase['level'];

/** Makes what a case asks, from draws. */
export type Maker = (
  draws: Draws,
  season: Season,
  level: Level,
  /** Of the case: its instruments err by it. */
  seed: number,
) => Omit<PracticeCase, 'kind' | 'seed' | 'season' | 'level'>;

/**
 * The first stage of a kind.
 * @throws RangeError where the line has none
 * @example stageOf(plan, 'receiver').id // 'receiver'
 */
export function stageOf(plan: Plan, kind: Stage['kind']): Stage {
  const stage = plan.stages.find((s) => s.kind === kind);
  if (!stage) throw new RangeError(`the line has no ${kind}`);
  return stage;
}

/**
 * The tool at the end of a line.
 * @example outletOf(plan).kind // 'outlet'
 */
export const outletOf = (plan: Plan): Stage => stageOf(plan, 'outlet');
