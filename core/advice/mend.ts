import type { KindName } from '../equipment/index';
import { insertStage, moveStage, newStage, removeStage, setParameter } from '../line/edit';
import type { Plan, Stage } from '../line/plan';
import { runOfStage, withStage } from '../line/runs';
import { sized } from '../line/size-stage';
import type { Finding, Remedy, Sentence } from './rule';

export type Values = Readonly<Record<string, number | string>>;

/** A new stage with some values, a dryer by a rating that is enough for a plan’s pumps; a coalescer is named by its grade, for they mostly come in pairs. */
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
  ...remedies: readonly (Remedy | undefined)[]
): Finding => ({
  stageIds: (Array.isArray(stages) ? stages : [stages as Stage]).map((s: Stage) => s.id),
  what,
  why,
  remedies: remedies.filter((r) => r !== undefined),
});

/** A finding of the whole line. */
export const ofLine = (what: Sentence, why: Sentence, ...remedies: readonly Remedy[]): Finding => ({
  stageIds: [],
  what,
  why,
  remedies,
});

function place(plan: Plan, stageId: string): { runId: string; index: number } | undefined {
  const run = runOfStage(plan, stageId);
  return run && { runId: run.id, index: run.stages.findIndex((s) => s.id === stageId) };
}

/** Several edits as one. */
export const inTurn = (does: string, ...remedies: readonly Remedy[]): Remedy => ({
  does,
  edit: (plan, newId) => remedies.reduce((p, r) => r.edit(p, newId), plan),
});

/** New stages of some kinds, in a row, beside another. */
export function put(
  does: string,
  side: 'before' | 'behind',
  stage: Stage,
  ...kinds: readonly (readonly [KindName, Values?])[]
): Remedy {
  return {
    does,
    edit: (plan, newId) => {
      const here = place(plan, stage.id);
      if (!here) return plan;
      const at = here.index + (side === 'behind' ? 1 : 0);
      return kinds.reduce(
        (p, [kind, values], i) => insertStage(p, made(newId(), kind, values, p), at + i, here.runId),
        plan,
      );
    },
  };
}

/** Another value of a stage’s own. */
export const set = (does: string, stage: Stage, values: Values): Remedy => ({
  does,
  edit: (plan) => Object.entries(values).reduce((p, [field, v]) => setParameter(p, stage.id, field, v), plan),
});

/** All parameters of a stage anew. */
export const refit = (does: string, stage: Stage, parameters: object): Remedy => ({
  does,
  edit: (plan) => withStage(plan, stage.id, (s) => ({ ...s, parameters }) as Stage),
});

export const takeOut = (does: string, stage: Stage): Remedy => ({
  does,
  edit: (plan) => removeStage(plan, stage.id),
});

/** Carries a stage to right behind, or right before, another. */
export const carry = (does: string, stage: Stage, side: 'before' | 'behind', other: Stage): Remedy => ({
  does,
  edit: (plan) => {
    const here = place(removeStage(plan, stage.id), other.id);
    return here ? moveStage(plan, stage.id, here.index + (side === 'behind' ? 1 : 0), here.runId) : plan;
  },
});

/** Another answer to what is asked once of the site. */
export const answer = (does: string, values: Partial<Plan['survey']['site']>): Remedy => ({
  does,
  edit: (plan) => ({ ...plan, survey: { ...plan.survey, site: { ...plan.survey.site, ...values } } }),
});
