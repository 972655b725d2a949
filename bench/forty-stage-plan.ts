import { insertStage, newStage } from '../core/plan/edit';
import { addBranch } from '../core/plan/edit-branches';
import type { Plan, Stage } from '../core/plan/plan';
import { allStages } from '../core/plan/runs';
import { startPlan } from '../core/plan/start-plan';

const KINDS = ['separator', 'receiver', 'bowl-filter', 'coalescing-filter', 'drip-leg', 'regulator'] as const;

/** A line of forty stages and twelve branches, each with a stage and an outlet. */
export function fortyStages(): Plan {
  let n = 0;
  let plan: Plan = startPlan(
    {
      shop: 'bench',
      lineName: 'forty stages',
      intakeTemperatureC: 27,
      intakeRelativeHumidity: 0.6,
      compressor: { type: 'screw', freeAirDeliveryM3PerS: 0.05, cutInPa: 8e5, cutOutPa: 10e5 },
      receiverVolumeM3: 1,
      has: { aftercooler: true, refrigeratedDryer: true },
    },
    () => `s${n++}`,
  );
  for (let b = 0; b < 12; b++) {
    plan = addBranch(plan, plan.stages[2 + (b % (plan.stages.length - 2))]?.id ?? '', `b${b}`, `o${b}`);
    plan = insertStage(plan, newStage(KINDS[b % KINDS.length] as Stage['kind'], `k${b}`), 0, `b${b}`);
  }
  for (let i = 0; allStages(plan).length < 40; i++) plan = insertStage(plan, newStage('drip-leg', `d${i}`), 5);
  return plan;
}
