import type { Plan, Stage } from '../plan/plan';
import { runsOf } from '../plan/runs';

/**
 * What an outlet takes on average, m³/s of free air: its flow while in use × the share of the working time.
 * @example averageDemandM3PerS(stage('outlet')) // 0.0036
 */
export function averageDemandM3PerS(stage: Stage): number {
  return stage.kind === 'outlet' && !stage.planned ? stage.parameters.flowM3PerS * stage.parameters.usedShare : 0;
}

/**
 * What all outlets take on average, m³/s of free air.
 * @example demandM3PerS(plan) // 0.0042
 */
export function demandM3PerS(plan: Plan): number {
  return runsOf(plan)
    .flatMap((r) => r.stages)
    .reduce((sum, s) => sum + averageDemandM3PerS(s), 0);
}

/** What an outlet takes while it blows, m³/s of free air, whatever share of the time. */
function flowInUseM3PerS(stage: Stage): number {
  return stage.kind === 'outlet' && !stage.planned && stage.parameters.usedShare > 0 ? stage.parameters.flowM3PerS : 0;
}

/**
 * What an outlet has to share the pipe with at the worst moment: every outlet blows, but of those that are never used
 * together only one: the outlet itself, or the thirstiest of its group.
 *
 * @param all the stages of the line
 * @param forStageId the outlet whose worst moment it is
 * @returns flow by stage, m³/s of free air; outlets that are silent then are left out
 * @example coincidentPeak(allStages(plan), 'outlet').get('gun') // 0.003
 */
export function coincidentPeak(all: readonly Stage[], forStageId: string): Map<string, number> {
  const outlets = all.filter((s) => flowInUseM3PerS(s) > 0);
  const own = outlets.find((s) => s.id === forStageId);
  const speaks = new Map<string, Stage>();
  const blowing: Stage[] = [];
  for (const s of outlets) {
    const group = s.kind === 'outlet' ? s.parameters.turns : 'none';
    const other = speaks.get(group);
    if (group === 'none') blowing.push(s);
    else if (s === own || !other || (other !== own && flowInUseM3PerS(s) > flowInUseM3PerS(other)))
      speaks.set(group, s);
  }
  return new Map([...blowing, ...speaks.values()].map((s) => [s.id, flowInUseM3PerS(s)]));
}
