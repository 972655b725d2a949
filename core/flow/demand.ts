import type { Plan, Stage } from '../line/plan';
import { MAIN, type Run, runsOf } from '../line/runs';

/** What goes down a run to which no outlet belongs: enough for the equations to hold, too little to count. */
export const TRICKLE = 1e-9;

/** What an outlet takes on average, m³/s of free air: its flow while in use × the share of the working time. */
export function averageDemandM3PerS(stage: Stage): number {
  return stage.kind === 'outlet' && !stage.provided ? stage.parameters.flowM3PerS * stage.parameters.usedShare : 0;
}

/** What all outlets take on average, m³/s of free air. */
export function demandM3PerS(plan: Plan): number {
  return runsOf(plan)
    .flatMap((r) => r.stages)
    .reduce((sum, s) => sum + averageDemandM3PerS(s), 0);
}

/** Where air leaves a run: behind a stage, to an outlet's job or into a branch, with its share of what arrives there. */
export interface TakeOff {
  readonly share: number;
  /** The branch that it feeds; left out, it leaves the line here. */
  readonly runId?: string;
}

/**
 * Shares the air of each run among its outlets and the branches that hang on it, by what each outlet asks for: on average,
 * which is right for the water, for that does not care for minutes; or at a moment, which the pressure depends on. A run that comes back to the line takes the share that was entered for it.
 * Where nothing asks for air, or all of it has been taken already, a trickle goes on.
 *
 * @returns for each stage behind which air leaves its run, the take-offs in order
 */
export function shareDemand(plan: Plan, asks: (stage: Stage) => number = averageDemandM3PerS): Map<string, TakeOff[]> {
  const runs = runsOf(plan);
  const demands = new Map<string, number>();
  const busy = new Set<string>();
  const hanging = (stageId: string): Run[] => runs.filter((r) => r.id !== MAIN && r.from === stageId);
  /** What a run's own outlets and the branches that hang on it ask for. */
  const demandOf = (run: Run): number => {
    const known = demands.get(run.id);
    if (known !== undefined || busy.has(run.id)) return known ?? 0;
    busy.add(run.id);
    const sum = run.stages.reduce(
      (total, s) => total + asks(s) + hanging(s.id).reduce((d, r) => d + demandOf(r), 0),
      0,
    );
    busy.delete(run.id);
    demands.set(run.id, sum);
    return sum;
  };
  const offs = new Map<string, TakeOff[]>();
  for (const run of runs) {
    let ahead = demandOf(run);
    run.stages.forEach((stage, i) => {
      const here: TakeOff[] = [];
      const branches = hanging(stage.id);
      const ends = i === run.stages.length - 1 && branches.length === 0;
      const own = asks(stage);
      const take = (asked: number, runId?: string): void => {
        // Nothing remains behind the last job of a run but a trickle through whatever stands there.
        const all = ahead > 0 ? asked / ahead : 0;
        const share = Math.max(runId ? TRICKLE : 0, Math.min(all, ends ? 1 : 1 - TRICKLE));
        ahead = Math.max(0, ahead - asked);
        if (share > 0) here.push({ share, ...(runId && { runId }) });
      };
      if (own > 0) take(own);
      for (const branch of branches) {
        if (branch.into === null) take(demandOf(branch), branch.id);
        else {
          here.push({ share: Math.min(1 - TRICKLE, Math.max(TRICKLE, branch.share)), runId: branch.id });
          ahead = Math.max(0, ahead - demandOf(branch)); // what its arm does not use comes back
        }
      }
      if (here.length > 0) offs.set(stage.id, here);
    });
  }
  return offs;
}

/** What an outlet takes while it blows, m³/s of free air, whatever share of the time. */
function flowInUseM3PerS(stage: Stage): number {
  return stage.kind === 'outlet' && !stage.provided && stage.parameters.usedShare > 0 ? stage.parameters.flowM3PerS : 0;
}

/**
 * What an outlet has to share the pipe with at the worst moment: every outlet blows, but of those that are never used
 * together only one: the outlet itself, or the thirstiest of its group.
 *
 * @param forStageId the outlet whose worst moment it is
 * @returns flow by stage, m³/s of free air; outlets that are silent then are left out
 */
export function coincidentPeak(plan: Plan, forStageId: string): Map<string, number> {
  const outlets = runsOf(plan)
    .flatMap((r) => r.stages)
    .filter((s) => s.kind === 'outlet' && flowInUseM3PerS(s) > 0);
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
