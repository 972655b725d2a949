import type { TakenOut } from './fit-fields';
import type { Plan, Stage } from './plan';
import { allStages } from './runs';
import { MOST_PAST, type Past, type Thing, thingSchema } from './thing-fields';

/** What a thing carries with it on a shelf: what it is, and its plate. */
export interface Loose {
  readonly kind: Stage['kind'];
  readonly thing: Thing;
}

/**
 * A thing as it leaves its line: where it was is written down with it, and what the log says of it there.
 * @param from the stage that it was installed at
 * @param line the line that it leaves
 * @param today YYYY-MM-DD
 * @param log what was logged at the stage, the newest first
 * @example takenDown(stage('receiver'), { planId: 'a', name: 'Line' }, '2026-11-30', []).thing.stays.length // 1
 */
export function takenDown(
  from: Pick<Stage, 'id' | 'name' | 'kind' | 'thing'>,
  line: { readonly planId: string; readonly name: string },
  today: string,
  log: readonly Past[],
): Loose {
  const { installedOn, ...thing } = from.thing ?? thingSchema.parse({});
  const stay = {
    ...{ planId: line.planId, line: line.name, stageId: from.id, stage: from.name, to: today },
    ...(installedOn !== undefined && installedOn <= today && { from: installedOn }),
  };
  // What was logged at the stage before this one came is of another.
  const here = log.filter((e) => installedOn === undefined || e.at >= installedOn);
  return {
    kind: from.kind,
    thing: { ...thing, stays: [...thing.stays, stay], past: [...here, ...thing.past].slice(0, MOST_PAST) },
  };
}

/**
 * A thing as it is installed.
 * @param today YYYY-MM-DD
 * @example installed(takenDown(stage('receiver'), { planId: 'a', name: 'Line' }, '2026-11-29', []), '2026-11-30').installedOn // '2026-11-30'
 */
export const installed = ({ thing }: Loose, today: string): Thing => ({ ...thing, installedOn: today });

/**
 * The plan with what was installed at stages that an edit took out: nothing that was written down of a thing goes with its
 * stage.
 * @param before the plan before the edit
 * @example keepingThings(plan, removeStage(plan, 'gauge')).fitting.takenOut // []
 */
export function keepingThings(before: Plan, after: Plan): Plan {
  const stand = new Set(allStages(after).map((s) => s.id));
  const gone = allStages(before).flatMap(({ id, name, kind, thing }): TakenOut[] =>
    thing && !stand.has(id) ? [{ id, name, kind, thing }] : [],
  );
  if (gone.length === 0) return after;
  const takenOut = [...after.fitting.takenOut.filter((t) => !gone.some((g) => g.id === t.id)), ...gone];
  return { ...after, fitting: { ...after.fitting, takenOut: takenOut.slice(-60) } };
}

/**
 * What was taken out of a line and has no stage there: what came back with its stage is not out.
 * @example takenOutOf(plan) // []
 */
export function takenOutOf(plan: Plan): readonly TakenOut[] {
  const stand = new Set(allStages(plan).map((s) => s.id));
  return plan.fitting.takenOut.filter((t) => !stand.has(t.id));
}

/**
 * The plan without a thing among what was taken out: it went to a shelf, or into a line.
 * @example withoutTakenOut(plan, 'gauge').fitting.takenOut // []
 */
export const withoutTakenOut = (plan: Plan, id: string): Plan => ({
  ...plan,
  fitting: { ...plan.fitting, takenOut: plan.fitting.takenOut.filter((t) => t.id !== id) },
});
