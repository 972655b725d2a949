import { CHILLED_W } from '../cost/cost-of-line';
import { HEATER_W_PER_M3_PER_S } from '../equipment/drying/heated-purge-tower';
import { CHILLED, is, TOWERS } from '../equipment/groups';
import { type KindName, kindOf } from '../equipment/index';
import { jointsOf } from '../fitting/joints';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import { CFM } from '../quantity/constants';
import type { Asked } from './base-line';
import { boughtIn } from './judge-proposal';
import { rated } from './loaded-line';

/** What a line takes besides money and time. */
export interface Space {
  /** Stages to buy. */
  readonly stages: number;
  /** Places of the whole line where two things are joined, each of which may leak. */
  readonly joints: number;
  /** Electric power of what is bought while it runs, without the compressor, W. */
  readonly powerW: number;
  /** Length of wall that is taken by what is bought, m. */
  readonly wallM: number;
  /** What of it stands on the floor. */
  readonly onFloor: readonly string[];
  /** What blows air off: loud without a silencer. */
  readonly blowsOff: readonly string[];
}

/** Length of wall that a thing of usual size takes with room for a spanner, m (estimates). */
const WALL_M: Partial<Record<KindName, number>> = {
  aftercooler: 0.5,
  'cooling-run': 2.5,
  separator: 0.2,
  'bowl-filter': 0.15,
  'coalescing-filter': 0.15,
  'particulate-filter': 0.15,
  'carbon-filter': 0.15,
  'bead-cartridge': 0.3,
  membrane: 0.25,
  regulator: 0.15,
};
const ON_FLOOR: readonly KindName[] = ['compressor', 'receiver', ...CHILLED, ...TOWERS];
const FAN_W_PER_M3_PER_S = 150 / (100 * CFM); // of an aftercooler, 0.1–0.2 kW for 100 cfm (trade handbook)

function powerOf(s: Stage): number {
  if (s.kind === 'aftercooler') return FAN_W_PER_M3_PER_S * s.parameters.lossAtM3PerS;
  if (is(CHILLED, s.kind)) return CHILLED_W * rated(s);
  return s.kind === 'heated-purge-tower' ? HEATER_W_PER_M3_PER_S * rated(s) : 0;
}

/**
 * What a line takes in joints, power, wall and floor.
 * @source joints of core/fitting; power of the trade handbook; lengths of wall estimated
 * @example spaceOf(asked, plan).joints // 15
 */
export function spaceOf(asked: Pick<Asked, 'question'>, plan: Plan, section: Section = walk(plan)): Space {
  const ids = boughtIn(asked, plan);
  const bought = allStages(plan).filter((s) => ids.has(s.id));
  const namesOf = (kinds: readonly KindName[]): string[] => [
    ...new Set(bought.filter((s) => is(kinds, s.kind)).map((s) => kindOf(s.kind).label)),
  ];
  return {
    stages: bought.length,
    joints: jointsOf(plan, section).length,
    powerW: bought.reduce((sum, s) => sum + powerOf(s), 0),
    wallM: bought.reduce((sum, s) => sum + (WALL_M[s.kind] ?? 0), 0),
    onFloor: namesOf(ON_FLOOR),
    blowsOff: namesOf(TOWERS),
  };
}
