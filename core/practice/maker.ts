import { walk } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { freeAirKgPerM3, surroundingsOf } from '../plan/surroundings';
import type { Because, PracticeCase, Season } from './case';
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

/**
 * What the pipe, the hose and the tool of a line say of what is lost on the way to the tool.
 * @example servingOf(practiceLine(drawsOf(1), 'shop', 'august')).at(-1).says // 'The tool draws'
 */
export function servingOf(plan: Plan): Because[] {
  const [pipe, hose] = (['pipe', 'hose'] as const).map((kind) => stageOf(plan, kind).parameters);
  const { lengthM, size } = pipe as { lengthM: number; size: string };
  const { lengthM: hoseM, boreM } = hose as { lengthM: number; boreM: number };
  return [
    { says: `Pipe, nominal size ${size}, length`, si: lengthM, quantity: 'length' },
    { says: 'Hose, length', si: hoseM, quantity: 'length' },
    { says: 'Hose, bore', si: boreM, quantity: 'size' },
    { says: 'The tool draws', si: flowAt(plan), quantity: 'volumeFlow' },
  ];
}

/** Free air that comes to the tool, m³/s. */
function flowAt(plan: Plan): number {
  const at = walk(plan).at(outletOf(plan).id);
  return at ? at.dryAirKgPerS / freeAirKgPerM3(surroundingsOf(plan)) : 0;
}
