import { stagesOfUnit } from '../plan/machine-units';
import type { MachineUnit, Plan } from '../plan/plan';
import { type Derivation, input } from '../quantity/derivation';
import type { Section } from './section';

/**
 * “Why?” for what a closed unit catches: its stages, one by one.
 * @example explainUnit(plan, section, { id: 'u', name: 'Unit', stageIds: ['fine'] }).value // 0
 */
export function explainUnit(plan: Plan, section: Section, unit: MachineUnit): Derivation {
  const inputs = stagesOfUnit(plan, unit.id).flatMap((s) => {
    const station = section.at(s.id);
    return station && 'drain' in s.parameters ? [input(s.name, 'waterFlow', station.caughtKgPerS, 'its drain')] : [];
  });
  return {
    title: `Caught · ${unit.name}`,
    quantity: 'waterFlow',
    value: inputs.reduce((sum, i) => sum + i.value, 0),
    formula: 'sum of what its stages separate',
    inputs,
    source: 'water balance; open the unit for the why of each',
  };
}
