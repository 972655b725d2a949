import { misreadAt } from '../../fault/fault';
import type { Walked } from '../../fault/walked';
import type { Plan } from '../../plan/plan';
import { allStages, standing } from '../../plan/runs';
import type { CheckKind } from './check-kind';
import { LOOKS } from './looks';
import { READINGS } from './readings';

/** What is read or measured at a stage to part causes. */
export interface Check {
  /** Unique in a line. */
  readonly id: string;
  readonly stageId: string;
  readonly of: CheckName;
}

const CHECKS = { ...READINGS, ...LOOKS };
export type CheckName = keyof typeof CHECKS;

/**
 * A kind of check by its name.
 * @example checkKind('temperature').minutes // 5
 */
export const checkKind = (of: CheckName): CheckKind => CHECKS[of];

/**
 * Everything that can be read on a line.
 * @example checksOf(plan)[0].id // 'intake intake-loss'
 */
export function checksOf(plan: Plan): Check[] {
  return allStages(standing(plan)).flatMap((stage) =>
    (Object.keys(CHECKS) as CheckName[])
      .filter((of) => checkKind(of).canRead(stage))
      .map((of) => ({ id: `${stage.id} ${of}`, stageId: stage.id, of })),
  );
}

/**
 * What a check reads on a line that may have faults in it.
 * @returns SI; nothing where it cannot be read
 * @example readUnder(walkedWith(plan), { id: '', stageId: 'fine', of: 'drop' }) > 0 // true
 */
export function readUnder({ plan, section, faults }: Walked, { of, stageId }: Check): number | undefined {
  const value = checkKind(of).read(section, plan, stageId);
  if (value === undefined || Number.isNaN(value)) return undefined;
  const read = value + misreadAt(faults, stageId, of);
  return checkKind(of).quantity === 'look' ? Math.min(1, Math.max(0, read)) : read;
}

/**
 * What a check costs: its minutes, and those in which the line stands.
 * @example costMin('delivery') // 20
 */
export const costMin = (of: CheckName): number => checkKind(of).minutes + checkKind(of).standsMin;

/** What a check with a caution of its own costs besides, when the next one is chosen, minutes (estimate). */
const RISK_MIN = 2;
/**
 * The risk of a check as minutes: of two that tell as much, the one that opens nothing comes first.
 * @example riskMin('more-use') // 0
 */
export const riskMin = (of: CheckName): number => (checkKind(of).cautions.length > 0 ? RISK_MIN : 0);
