import { firstFree, newStage, withoutEmptyUnits } from './edit';
import type { Plan } from './plan';
import { hangingOn, runOfStage, runsOf } from './runs';

/**
 * Opens a branch downstream of a stage, empty but for an outlet.
 * @example addBranch(plan, 'receiver', 'b', 'o').branches.length // 2
 */
export function addBranch(plan: Plan, from: string, branchId: string, outletId: string): Plan {
  const drops = plan.branches.filter((b) => b.from !== null && b.into === null).length;
  const name = `Branch ${drops + 1}`;
  const branch = {
    id: branchId,
    name,
    from,
    into: null,
    split: 'pressure' as const, // matters only once it joins again
    share: 0.5,
    stages: [newStage('outlet', outletId, `${name} outlet`)],
  };
  return { ...plan, branches: [...plan.branches, branch] };
}

/**
 * Lays a bare pipe round a stage, shut; `undefined` where nothing stands downstream of the stage for it to come back to.
 * @example addBypass(plan, 'fine', 'b').branches.length // 2
 */
export function addBypass(plan: Plan, stageId: string, branchId: string): Plan | undefined {
  const run = runOfStage(plan, stageId);
  const at = run?.stages.findIndex((s) => s.id === stageId) ?? -1;
  const from = run?.stages[at - 1]?.id ?? run?.from;
  const into = run?.stages[at + 1]?.id;
  if (!run || !from || !into || at < firstFree(run)) return undefined;
  const bypass = {
    id: branchId,
    name: `Bypass of ${run.stages[at]?.name}`.slice(0, 60),
    from,
    into,
    split: 'entered' as const,
    share: 0,
    stages: [],
  };
  return { ...plan, branches: [...plan.branches, bypass] };
}

/**
 * Lets a second compressor with its own intake join upstream of a stage.
 * @example addCompressor(plan, 'receiver', newId).branches.length // 2
 */
export function addCompressor(plan: Plan, into: string, newId: () => string): Plan {
  const count = runsOf(plan).filter((r) => r.from === null).length + 1;
  const stages = [
    newStage('intake', newId(), `Intake ${count}`),
    newStage('compressor', newId(), `Compressor ${count}`),
  ];
  const branch = {
    id: newId(),
    name: `Compressor ${count}`,
    from: null,
    into,
    split: 'entered' as const,
    share: 1,
    stages,
  };
  return { ...plan, branches: [...plan.branches, branch] };
}

/**
 * Takes a branch out, with every branch of it.
 * @example removeBranch(plan, 'spray').branches.length // 0
 */
export function removeBranch(plan: Plan, branchId: string): Plan {
  const gone = new Set([branchId, ...hangingOn(plan, branchId)]);
  const lost = new Set(plan.branches.filter((b) => gone.has(b.id)).flatMap((b) => b.stages.map((s) => s.id)));
  return withoutEmptyUnits({
    ...plan,
    branches: plan.branches
      .filter((b) => !gone.has(b.id))
      .map((b) => (b.into !== null && lost.has(b.into) ? { ...b, into: null } : b)),
  });
}
