import { DRYERS, is } from '../equipment/groups';
import type { KindName } from '../equipment/index';
import { insertStage, moveStage, newStage, removeStage, setParameter } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { runOfStage, withStage } from '../plan/runs';
import { sized } from '../plan/size-stage';
import type { Finding, Fix, Sentence } from './rule';

export type Values = Readonly<Record<string, number | string>>;

/** A new stage with some values, a dryer by a rating that is enough for a plan’s compressors; a coalescer is named by its grade, for they mostly come in pairs. */
export function made(id: string, kind: KindName, values: Values = {}, plan?: Plan): Stage {
  const name =
    kind !== 'coalescing-filter' ? undefined : values.grade === 'fine' ? 'Coalescer 0.01 µm' : 'Coalescer 1 µm';
  const plain = newStage(kind, id, name);
  const fresh = plan ? sized(plan, plain) : plain;
  return { ...fresh, parameters: { ...fresh.parameters, ...values } } as Stage;
}

/** A finding at a stage. */
export const at = (
  stages: Stage | readonly Stage[],
  what: Sentence,
  why: Sentence,
  ...fixes: readonly (Fix | undefined)[]
): Finding => ({
  stageIds: (Array.isArray(stages) ? stages : [stages as Stage]).map((s: Stage) => s.id),
  what,
  why,
  fixes: fixes.filter((r) => r !== undefined),
});

/** A finding of the whole line. */
export const ofLine = (what: Sentence, why: Sentence, ...fixes: readonly Fix[]): Finding => ({
  stageIds: [],
  what,
  why,
  fixes,
});

function place(plan: Plan, stageId: string): { runId: string; index: number } | undefined {
  const run = runOfStage(plan, stageId);
  return run && { runId: run.id, index: run.stages.findIndex((s) => s.id === stageId) };
}

/** Several edits as one. */
export const inTurn = (does: string, ...fixes: readonly Fix[]): Fix => ({
  does,
  edit: (plan, newId) => fixes.reduce((p, r) => r.edit(p, newId), plan),
});

type Wanted = readonly [KindName, Values?];

/** Whether a stage is what is wanted; of coalescers and dust filters the grade counts. */
const isWanted = (s: Stage, [kind, values]: Wanted): boolean =>
  s.kind === kind &&
  (['grade', 'element'] as const).every(
    (field) => values?.[field] === undefined || (s.parameters as Values)[field] === values[field],
  );

/** Coalescers directly upstream of a dryer or carbon keep oil from it: they are not moved to serve another stage. */
function guarding(run: readonly Stage[], other: Stage): ReadonlySet<string> {
  const guarded = (next: Stage | undefined): boolean =>
    next !== undefined && next.id !== other.id && (is(DRYERS, next.kind) || next.kind === 'carbon-filter');
  return new Set(run.filter((s, i) => s.kind === 'coalescing-filter' && guarded(run[i + 1])).map((s) => s.id));
}

/** New stages of some kinds, in a row, beside another. */
export function put(does: string, side: 'before' | 'behind', stage: Stage, ...kinds: readonly Wanted[]): Fix {
  /** With the stages of the line that may be moved there, each once; what none is left for is new. */
  const placed = (plan: Plan, newId: () => string, mayMove: (w: Wanted) => boolean): Plan => {
    const used = new Set<string>([stage.id, ...guarding(runOfStage(plan, stage.id)?.stages ?? [], stage)]);
    let now = plan;
    let beside = stage.id;
    let towards = side;
    for (const wanted of kinds) {
      const here = place(now, beside);
      if (!here) return plan;
      const run = runOfStage(now, stage.id);
      const found = mayMove(wanted) ? run?.stages.find((s) => !used.has(s.id) && isWanted(s, wanted)) : undefined;
      if (found) {
        now = carry('', found, towards, { ...stage, id: beside }).edit(now, newId);
        beside = found.id;
      } else {
        const fresh = made(newId(), wanted[0], wanted[1], now);
        now = insertStage(now, fresh, here.index + (towards === 'behind' ? 1 : 0), here.runId);
        beside = fresh.id;
      }
      used.add(beside);
      towards = 'behind';
    }
    return now;
  };
  return {
    does,
    edit: (plan, newId) => placed(plan, newId, () => false),
    moves: (plan, newId) => {
      const there = runOfStage(plan, stage.id)?.stages ?? [];
      const guards = guarding(there, stage);
      const movable = kinds.filter((w) => there.some((s) => s.id !== stage.id && !guards.has(s.id) && isWanted(s, w)));
      const choices: ((w: Wanted) => boolean)[] = [() => true];
      if (movable.length > 1) for (const only of movable) choices.push((w) => w === only);
      return movable.length === 0 ? [] : choices.map((may) => placed(plan, newId, may));
    },
  };
}

/** Another value of a stage’s own. */
export const set = (does: string, stage: Stage, values: Values): Fix => ({
  does,
  edit: (plan) => Object.entries(values).reduce((p, [field, v]) => setParameter(p, stage.id, field, v), plan),
});

/** A fix that states what is so: only who looked may press it. */
export const stated = (fix: Fix): Fix => ({ ...fix, states: true });

/** All parameters of a stage anew. */
export const refit = (does: string, stage: Stage, parameters: object): Fix => ({
  does,
  edit: (plan) => withStage(plan, stage.id, (s) => ({ ...s, parameters }) as Stage),
});

export const takeOut = (does: string, stage: Stage): Fix => ({
  does,
  edit: (plan) => removeStage(plan, stage.id),
});

/** Carries a stage to right behind, or right before, another. */
export const carry = (does: string, stage: Stage, side: 'before' | 'behind', other: Stage): Fix => ({
  does,
  edit: (plan) => {
    const here = place(removeStage(plan, stage.id), other.id);
    return here ? moveStage(plan, stage.id, here.index + (side === 'behind' ? 1 : 0), here.runId) : plan;
  },
});

/** Another answer in the site details. */
export const answer = (does: string, values: Partial<Plan['survey']['site']>): Fix => ({
  does,
  edit: (plan) => ({ ...plan, survey: { ...plan.survey, site: { ...plan.survey.site, ...values } } }),
});
