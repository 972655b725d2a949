import { dryAirKgPerS } from '../quantity/flow-basis';
import type { Branch, Plan, Stage } from './plan';
import { freeAirKgPerM3, surroundingsOf } from './surroundings';

/** The id of the run that goes from the first intake on. */
export const MAIN = 'main';

/** Stages in a row: the main run, or a branch. */
export interface Run {
  readonly id: string;
  readonly name: string;
  /** The stage downstream of which it takes its air; null where it draws its own. */
  readonly from: string | null;
  /** The stage upstream of which it joins another run; null where it ends in itself. */
  readonly into: string | null;
  /** Where the run comes back to the line: whether its share was entered, or the pressure decides. */
  readonly split: Branch['split'];
  /** Of the air that reaches the take-off. */
  readonly share: number;
  readonly stages: readonly Stage[];
}

/**
 * All runs of a plan, the main one first.
 * @example runsOf(plan).map((r) => r.id) // ["main","spray"]
 */
export function runsOf(plan: Pick<Plan, 'name' | 'stages' | 'branches'>): Run[] {
  return [
    { id: MAIN, name: plan.name, from: null, into: null, split: 'entered', share: 1, stages: plan.stages },
    ...plan.branches,
  ];
}

/**
 * Every stage of a plan: the main run, then the branches.
 * @example allStages(plan).length // 15
 */
export function allStages(plan: Pick<Plan, 'stages' | 'branches'>): readonly Stage[] {
  return plan.branches.length === 0 ? plan.stages : [...plan.stages, ...plan.branches.flatMap((b) => b.stages)];
}

/**
 * Whether two plans have the same stages and units, standing in the same way in the same runs, whatever their numbers.
 * @example sameStages(plan, removeStage(plan, 'gauge')) // false
 */
export function sameStages(a: Plan, b: Plan): boolean {
  const shape = (plan: Plan): string =>
    runsOf(plan)
      .map(
        (r) =>
          `${r.id} ${r.from} ${r.into} ${r.stages.map((s) => `${s.id} ${s.unit} ${s.place} ${s.checkFilter} ${s.planned !== undefined}`)}`,
      )
      .concat(plan.units.map((u) => u.id))
      .join('\n');
  return a === b || shape(a) === shape(b);
}

/**
 * A stage by its id, on whichever run; nothing where there is none.
 * @example stageById(plan, 'fine').kind // 'coalescing-filter'
 */
export function stageById(plan: Plan, stageId: string | null | undefined): Stage | undefined {
  return allStages(plan).find((s) => s.id === stageId);
}

/**
 * The run on which a stage stands.
 * @example runOfStage(plan, 'gun').id // 'spray'
 */
export function runOfStage(plan: Plan, stageId: string): Run | undefined {
  return runsOf(plan).find((r) => r.stages.some((s) => s.id === stageId));
}

/** The plan with the stages of one run changed. */
export function withRun(plan: Plan, runId: string, change: (stages: Stage[]) => Stage[]): Plan {
  if (runId === MAIN) return { ...plan, stages: change(plan.stages) };
  return { ...plan, branches: plan.branches.map((b) => (b.id === runId ? { ...b, stages: change(b.stages) } : b)) };
}

/**
 * The plan with one stage changed, wherever it stands.
 * @example withStage(plan, 'fine', (s) => ({ ...s, name: 'Last filter' })).stages[8].name // 'Last filter'
 */
export function withStage(plan: Plan, stageId: string, change: (stage: Stage) => Stage): Plan {
  const run = runOfStage(plan, stageId);
  return run ? withRun(plan, run.id, (stages) => stages.map((s) => (s.id === stageId ? change(s) : s))) : plan;
}

/**
 * The plan with one branch's own settings changed.
 * @example withBranch(plan, 'spray', { share: 0.3 }).branches[0].share // 0.3
 */
export function withBranch(plan: Plan, branchId: string, change: Partial<Omit<Branch, 'id' | 'stages'>>): Plan {
  return { ...plan, branches: plan.branches.map((b) => (b.id === branchId ? { ...b, ...change } : b)) };
}

/**
 * The stages that the air meets on its way to a stage, the stage itself last: those before it in its run, and those on the
 * way to the stage downstream of which the run takes its air.
 * @example pathTo(plan, 'gun').length // 14
 */
export function pathTo(plan: Plan, stageId: string): readonly Stage[] {
  const path: Stage[] = [];
  const seen = new Set<string>();
  for (let at: string | null = stageId; at !== null; ) {
    const run = runOfStage(plan, at);
    if (!run || seen.has(run.id)) break;
    seen.add(run.id);
    path.unshift(...run.stages.slice(0, run.stages.findIndex((s) => s.id === at) + 1));
    at = run.from;
  }
  return path;
}

/**
 * Every run that starts at a stage of a run, and theirs.
 * @example hangingOn(plan, 'main') // ["spray"]
 */
export function hangingOn(plan: Plan, runId: string): string[] {
  const ids = new Set((runsOf(plan).find((r) => r.id === runId)?.stages ?? []).map((s) => s.id));
  const direct = plan.branches.filter((b) => b.id !== runId && b.from !== null && ids.has(b.from)).map((b) => b.id);
  return [...direct, ...direct.flatMap((id) => hangingOn(plan, id))];
}

/** What an outlet takes while in use, m³/s of free air: of this line’s barometer and intake. */
function inFreeAir(stage: Stage, kgPerM3: () => number): Stage {
  if (stage.kind !== 'outlet' || stage.parameters.flowBasis === 'inlet') return stage;
  const { flowM3PerS, flowBasis } = stage.parameters;
  const free = dryAirKgPerS(flowM3PerS, flowBasis, kgPerM3()) / kgPerM3();
  return { ...stage, parameters: { ...stage.parameters, flowM3PerS: free, flowBasis: 'inlet' } };
}

/** The same line with the flows of its jobs as free air of its own intake, whatever their makers count. */
function withFreeFlows(plan: Plan): Plan {
  const isOther = (s: Stage): boolean => s.kind === 'outlet' && s.parameters.flowBasis !== 'inlet';
  if (!allStages(plan).some(isOther)) return plan;
  let known: number | undefined;
  const kgPerM3 = (): number => {
    known ??= freeAirKgPerM3(surroundingsOf(plan));
    return known;
  };
  const free = (stages: readonly Stage[]): Stage[] => stages.map((s) => inFreeAir(s, kgPerM3));
  return {
    ...plan,
    stages: free(plan.stages),
    branches: plan.branches.map((b) => ({ ...b, stages: free(b.stages) })),
  };
}

/**
 * The line as it stands now: without the stages that are only planned, and those of a portable unit that is away, and
 * with the flows of its jobs in free air. Their branches start at the stage upstream, and what joins
 * upstream of one joins upstream of the next.
 * @example standing(setProvided(plan, 'gauge', '')).stages.length // 11
 */
export function standing(plan: Plan): Plan {
  let line = STANDING.get(plan);
  if (!line) {
    line = withFreeFlows(fitted(plan));
    STANDING.set(plan, line);
    STANDING.set(line, line);
  }
  return line;
}

/** Plans are never changed: what was once worked out of one stays so. */
const STANDING = new WeakMap<Plan, Plan>();

function fitted(plan: Plan): Plan {
  const away = new Set(plan.units.filter((u) => u.form === 'portable' && u.is === 'away').map((u) => u.id));
  const isOut = (s: Stage): boolean => s.planned !== undefined || (s.unit !== undefined && away.has(s.unit));
  if (!allStages(plan).some(isOut)) return plan;
  const runs = runsOf(plan);
  const before = (id: string | null): string | null => {
    const run = runs.find((r) => r.stages.some((s) => s.id === id));
    const place = run?.stages.findIndex((s) => s.id === id) ?? -1;
    if (!run) return id;
    return run.stages.slice(0, place + 1).findLast((s) => !isOut(s))?.id ?? before(run.from);
  };
  const next = (id: string | null): string | null => {
    const run = runs.find((r) => r.stages.some((s) => s.id === id));
    if (!run) return id;
    return run.stages.slice(run.stages.findIndex((s) => s.id === id)).find((s) => !isOut(s))?.id ?? null;
  };
  const kept = (stages: readonly Stage[]): Stage[] => stages.filter((s) => !isOut(s));
  return {
    ...plan,
    stages: kept(plan.stages),
    branches: plan.branches.map((b) => ({ ...b, from: before(b.from), into: next(b.into), stages: kept(b.stages) })),
  };
}
