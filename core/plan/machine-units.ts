import { WALL_UNITS, type WallUnitName } from '../equipment/serving/wall-unit';
import { firstFree, insertStage, newStage, removeStage, withoutEmptyUnits } from './edit';
import type { MachineUnit, Plan, Stage } from './plan';
import { allStages, runOfStage, runsOf, withRun, withStage } from './runs';

/**
 * A unit by its id; nothing where there is none.
 * @example unitById(plan, 'none') === undefined // true
 */
export function unitById(plan: Plan, unitId: string | null | undefined): MachineUnit | undefined {
  return plan.units.find((u) => u.id === unitId);
}

/**
 * The stages of a unit, in the order of flow.
 * @example stagesOfUnit(groupWithNext(plan, 'fine', 'u'), 'u').map((s) => s.id) // ["fine","gauge"]
 */
export function stagesOfUnit(plan: Plan, unitId: string): readonly Stage[] {
  return allStages(plan).filter((s) => s.unit === unitId);
}

/** The place downstream of a unit, where one was asked for in its midst: a unit stands beside another, never in it. */
function besideUnits(stages: readonly Stage[], place: number): number {
  let at = place;
  while (stages[at]?.unit !== undefined && stages[at - 1]?.unit === stages[at]?.unit) at++;
  return at;
}

/**
 * Hangs a wall unit into a run, closed: its stages at their usual values.
 * @example addWallUnit(plan, Object.keys(WALL_UNITS)[0], 9, 'main', 'u', newId).stages.length > plan.stages.length // true
 */
export function addWallUnit(
  plan: Plan,
  name: WallUnitName,
  position: number,
  runId: string,
  unitId: string,
  newId: () => string,
): Plan {
  const { label, stages } = WALL_UNITS[name];
  const count = plan.units.length + 1;
  const unit: MachineUnit = {
    id: unitId,
    name: count > 1 ? `${label} (${count})` : label,
    form: 'wall',
    is: 'here',
    usedS: 0,
    countedAt: null,
  };
  const run = runsOf(plan).find((r) => r.id === runId);
  if (!run) return plan;
  const at = besideUnits(run.stages, Math.max(firstFree(run), position));
  const fresh = stages.map((s): Stage => {
    const made = newStage(s.kind, newId(), s.name);
    return {
      ...made,
      unit: unitId,
      parameters: { ...made.parameters, ...('parameters' in s && s.parameters) },
    } as Stage;
  });
  return { ...withRun(plan, runId, (own) => own.toSpliced(at, 0, ...fresh)), units: [...plan.units, unit] };
}

/**
 * Makes a unit of a stage and the one downstream of it, or takes the stage into the unit that stands downstream of it.
 * @example groupWithNext(plan, 'fine', 'u').units.length // 1
 */
export function groupWithNext(plan: Plan, stageId: string, unitId: string): Plan {
  const run = runOfStage(plan, stageId);
  const at = run?.stages.findIndex((s) => s.id === stageId) ?? -1;
  const next = run?.stages[at + 1];
  if (!run || !next || at < firstFree(run) || next.kind === 'outlet') return plan;
  const into = next.unit ?? unitId;
  const units = next.unit
    ? plan.units
    : [
        ...plan.units,
        {
          id: unitId,
          name: `Unit ${plan.units.length + 1}`,
          form: 'wall',
          is: 'here',
          usedS: 0,
          countedAt: null,
        } as const,
      ];
  const joined = [stageId, next.id].reduce((p, id) => withStage(p, id, (s) => ({ ...s, unit: into }) as Stage), {
    ...plan,
    units,
  } as Plan);
  return withoutEmptyUnits(joined);
}

/**
 * Takes a unit apart: its stages stay where they are.
 * @example ungroup(groupWithNext(plan, 'fine', 'u'), 'u').units.length // 0
 */
export function ungroup(plan: Plan, unitId: string): Plan {
  const free = stagesOfUnit(plan, unitId).reduce(
    (p, { id }) => withStage(p, id, ({ unit: _, ...s }) => s as Stage),
    plan,
  );
  return withoutEmptyUnits(free);
}

/**
 * Takes a unit out of the line with all its stages.
 * @example removeUnit(groupWithNext(plan, 'fine', 'u'), 'u').stages.length // 10
 */
export function removeUnit(plan: Plan, unitId: string): Plan {
  return stagesOfUnit(plan, unitId).reduce((p, s) => removeStage(p, s.id), plan);
}

/**
 * The plan with a unit changed; its stages stay where they are.
 * @example setUnit(groupWithNext(plan, 'fine', 'u'), 'u', { name: 'Panel' }).units[0].name // 'Panel'
 */
export function setUnit(plan: Plan, unitId: string, change: Partial<Omit<MachineUnit, 'id'>>): Plan {
  return { ...plan, units: plan.units.map((u) => (u.id === unitId ? { ...u, ...change } : u)) };
}

/**
 * Carries a unit to another place, with its stages, its hours and the state of its charge.
 * @param position among the stages of the run without the unit
 * @example moveUnit(groupWithNext(plan, 'fine', 'u'), 'u', 5, 'main').stages[5].id // 'fine'
 */
export function moveUnit(plan: Plan, unitId: string, position: number, runId: string): Plan {
  const unit = unitById(plan, unitId);
  const stages = stagesOfUnit(plan, unitId);
  if (!unit || stages.length === 0) return plan;
  const without = removeUnit(plan, unitId);
  const run = runsOf(without).find((r) => r.id === runId);
  if (!run) return plan;
  const at = besideUnits(run.stages, Math.max(firstFree(run), Math.min(position, run.stages.length)));
  const moved = stages.reduce((p, s, i) => insertStage(p, s, at + i, runId), without);
  return {
    ...stages.reduce((p, { id }) => withStage(p, id, (s) => ({ ...s, unit: unitId }) as Stage), moved),
    units: plan.units,
  };
}
