import { inOwnPlace } from './edit-legs';
import { type Plan, planFieldsSchema, planSchema, type Stage } from './plan';
import { allStages, runOfStage } from './runs';

/**
 * A plan document in which a link may lead to a stage, place or unit that is gone: it leads to what is left beside it. A branch
 * takes its air from the stage before, else from the end of the line; joins upstream of the next stage, else not at all.
 * @param was the plan in which what is gone still stood
 * @returns the plan as its schema has it; else what is wrong with it
 * @example relinked({ ...plan, stages: plan.stages.filter((s) => s.id !== 'regulator') }, plan).data.branches[0].from // 'gauge'
 */
export function relinked(document: unknown, was?: Plan): ReturnType<typeof planSchema.safeParse> {
  const sound = planSchema.safeParse(document);
  if (sound.success) return sound;
  const fields = planFieldsSchema.safeParse(document);
  if (!fields.success) return sound;
  const plan = fields.data;
  const kinds = new Map(allStages(plan).map((s) => [s.id, s.kind]));
  const beside = (id: string | null): { before?: string | undefined; next?: string | undefined } => {
    const stages = (was && id !== null && runOfStage(was, id)?.stages) || [];
    const at = stages.findIndex((s) => s.id === id);
    return {
      before: stages.slice(0, Math.max(0, at)).findLast((s) => kinds.has(s.id))?.id,
      next: stages.slice(at + 1).find((s) => kinds.has(s.id))?.id,
    };
  };
  const isThere = (place: string | undefined): boolean =>
    place === undefined || plan.survey.places.some((p) => p.id === place);
  const known = <T extends Pick<Stage, 'unit' | 'place' | 'fit'>>(stage: T): T => {
    const { unit, place, ...rest } = stage;
    const legs = stage.fit?.legs;
    return {
      ...rest,
      ...(legs && { fit: { ...stage.fit, legs: inOwnPlace(legs, isThere) } }),
      ...(plan.units.some((u) => u.id === unit) && { unit }),
      ...(plan.survey.places.some((p) => p.id === place) && { place }),
    } as T;
  };
  return planSchema.safeParse({
    ...plan,
    stages: plan.stages.map(known),
    branches: plan.branches.map((b) => {
      const isOther = (id: string | null | undefined): boolean =>
        typeof id === 'string' && kinds.has(id) && !b.stages.some((s) => s.id === id);
      const mayJoin = (id: string | null | undefined): boolean =>
        isOther(id) && !['intake', 'compressor'].includes(kinds.get(id as string) as string);
      const from = [b.from, beside(b.from).before, plan.stages.at(-1)?.id].find(isOther) ?? null;
      const into = [b.into, beside(b.into).next].find(mayJoin) ?? null;
      return { ...b, stages: b.stages.map(known), from: b.from === null ? null : from, into };
    }),
  });
}
