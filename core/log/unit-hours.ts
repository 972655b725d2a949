import { setUnit, stagesOfUnit } from '../plan/machine-units';
import type { MachineUnit, Plan } from '../plan/plan';
import { allStages, pathTo, standing } from '../plan/runs';
import { type SiteTime, workingHoursBetween } from './site-clock';

/**
 * Share of the working time in which air flows through a unit where it stands: in which any of the outlets downstream of it
 * blows. Outlets are taken as independent, those that take turns as following one another.
 * @returns 0…1; 0 while the unit is away
 * @example shareInUse(plan, 'none') // 0
 */
export function shareInUse(plan: Plan, unitId: string): number {
  const line = standing(plan);
  const own = new Set(stagesOfUnit(line, unitId).map((s) => s.id));
  const turns = new Map<string, number>();
  let idle = 1;
  for (const outlet of allStages(line)) {
    if (outlet.kind !== 'outlet' || !pathTo(line, outlet.id).some((s) => own.has(s.id))) continue;
    const { usedShare, turns: group } = outlet.parameters;
    if (group === 'none') idle *= 1 - usedShare;
    else turns.set(group, (turns.get(group) ?? 0) + usedShare);
  }
  for (const share of turns.values()) idle *= 1 - Math.min(1, share);
  return own.size > 0 ? 1 - idle : 0;
}

/**
 * Hours of air through a unit so far, s: those counted, and those estimated since by working hours and use.
 * @example unitUsedS(plan, { id: 'u', name: 'Unit', usedS: 3600, away: true }, now) // 3600
 */
export function unitUsedS(plan: Plan, unit: MachineUnit, now: SiteTime): number {
  if (unit.countedAt === null) return unit.usedS;
  return unit.usedS + 3600 * workingHoursBetween(unit.countedAt, now, plan.survey.working) * shareInUse(plan, unit.id);
}

/**
 * The plan with the hours of a unit settled, as they must be before it is carried elsewhere: they follow the unit.
 * @example settleHours(plan, 'none', now) === plan // true
 */
export function settleHours(plan: Plan, unitId: string, now: SiteTime): Plan {
  const unit = plan.units.find((u) => u.id === unitId);
  return unit ? setUnit(plan, unitId, { usedS: unitUsedS(plan, unit, now), countedAt: now }) : plan;
}
