import { fieldsOf } from '../equipment/index';
import { setParameters } from '../plan/edit';
import type { Plan } from '../plan/plan';
import { stageById } from '../plan/runs';
import { CATCHING_FAULTS } from './catching-faults';
import { COOLING_FAULTS } from './cooling-faults';
import { DRAIN_FAULTS } from './drain-faults';
import { DRYING_FAULTS } from './drying-faults';
import type { Fault } from './fault';
import { SERVING_FAULTS } from './serving-faults';
import { SUPPLY_FAULTS } from './supply-faults';

/** Faults whose effect the walk of a line can calculate, or a look shows. */
export const FAULTS: readonly Fault[] = [
  ...DRAIN_FAULTS,
  ...COOLING_FAULTS,
  ...CATCHING_FAULTS,
  ...DRYING_FAULTS,
  ...SERVING_FAULTS,
  ...SUPPLY_FAULTS,
];

/**
 * A fault of the list.
 * @throws RangeError where there is none of that id
 * @example faultById('drain-shut').sizes // [1]
 */
export function faultById(id: string): Fault {
  const fault = FAULTS.find((f) => f.id === id);
  if (!fault) throw new RangeError(`there is no fault ${id}`);
  return fault;
}

/**
 * The plan of a line with a fault in one of its stages.
 * @param size in the fault’s own measure, {@link Fault.sizes}
 * @returns the plan, within what a plan allows; the same where the stage is not there or cannot have it
 * @example withFault(plan, { faultId: 'drain-shut', stageId: 'receiver', size: 1 }).stages[4].parameters.drain // 'none'
 */
export function withFault(
  plan: Plan,
  { faultId, stageId, size }: { readonly faultId: string; readonly stageId: string; readonly size: number },
): Plan {
  const stage = stageById(plan, stageId);
  const fault = faultById(faultId);
  if (!stage || !fault.canHave(stage)) return plan;
  const limits = new Map(fieldsOf(stage.kind));
  const within = (field: string, value: string | number): string | number => {
    const { least = -Infinity, most = Infinity } = limits.get(field) ?? {};
    return typeof value === 'number' ? Math.min(most, Math.max(least, value)) : value;
  };
  const changes = Object.entries(fault.changes(stage, size)).map(([field, value]) => [field, within(field, value)]);
  const changed = setParameters(plan, stageId, Object.fromEntries(changes));
  return fault.changesPlan?.(changed, size) ?? changed;
}
