import type { KindName } from '../equipment/index';
import { fieldsOf } from '../equipment/index';
import type { Drain } from '../equipment/shared/drain-fields';
import type { Plan, Stage } from '../plan/plan';
import { type Asked, IDS, stagesOfJob } from './base-line';
import { type Drains, drainOf, groupsOf, isTreatedEarly, type Option, type Position } from './positions';

/** One choice at each position: the number of its option. */
export type Choices = ArrayLike<number>;

/** The option that is chosen at a position. */
const optionAt = (positions: readonly Position[], choices: Choices, i: number): Option =>
  (positions[i] as Position).options[choices[i] as number] as Option;

/**
 * The line of a choice: the base line with the chosen stages at their places.
 * @example buildLine(asked, positionsOf(asked), new Array(12).fill(0)).stages.length // 8
 */
export function buildLine(asked: Asked, positions: readonly Position[], choices: Choices): Plan {
  const before: Stage[] = [];
  const main: Stage[] = [];
  const own = new Map<number, Stage[]>();
  const wider = new Map<number, number>();
  let drains: Drains = 'by hand';
  const plan = asked.base;
  positions.forEach(({ where }, i) => {
    const { stages, byJob, drains: ways, wider: steps } = optionAt(positions, choices, i);
    if (ways) drains = ways;
    if (steps) wider.set(where as number, steps);
    if (where === 'before-tank') before.push(...stages);
    else if (where === 'main') main.push(...stages);
    else for (const [job, at] of byJob ?? []) own.set(job, [...(own.get(job) ?? []), ...at]);
  });
  const tank = plan.stages.findIndex((s) => s.id === IDS.receiver);
  const valve = tank + 1;
  const last = main.at(-1)?.id ?? IDS.valve;
  const hasPower = asked.question.hasPower === 'yes';
  const drained = (s: Stage): Stage => withDrain(s, drainOf(s.kind, drains, hasPower));
  const runOf = (job: number, run: readonly Stage[]): Stage[] =>
    withOwn(asked, job, served(asked, wider, job, run), own.get(job));
  return {
    ...plan,
    stages: [
      ...plan.stages.slice(0, tank),
      ...before.map(drained),
      ...plan.stages.slice(tank, valve + 1).map(drained),
      ...main,
      ...runOf(0, plan.stages.slice(valve + 1)),
    ],
    branches: plan.branches.map((b, k) => ({ ...b, from: last, stages: runOf(k + 1, b.stages) })),
  };
}

/** A stage with another drain. */
export const withDrain = (s: Stage, drain: Drain | undefined): Stage =>
  drain === undefined ? s : ({ ...s, parameters: { ...s.parameters, drain } } as Stage);

/** The run of a job with larger pipe, regulator and hose, where they are chosen for its group. */
function served(
  asked: Asked,
  wider: ReadonlyMap<number, number>,
  job: number,
  run: readonly Stage[],
): readonly Stage[] {
  const group = groupsOf(asked.question.jobs).findIndex((g) => g.includes(job));
  const steps = wider.get(group) ?? 0;
  if (steps === 0) return run;
  const sized = new Map(stagesOfJob(asked, job, steps).map((s) => [s.id, s]));
  return run.map((s) => (s.kind === 'outlet' ? s : (sized.get(s.id) ?? s)));
}

/** What treats the air of a job stands at the end of its pipe, upstream of its regulator; ahead of a pipe that gets frost. */
function withOwn(asked: Asked, job: number, run: readonly Stage[], own: readonly Stage[] = []): Stage[] {
  if (isTreatedEarly(asked, job)) return [...own, ...run];
  const at = run.findIndex((s) => s.kind === 'regulator');
  return [...run.slice(0, at), ...own, ...run.slice(at)];
}

/** The same with every number of what is new told as proposed. */
export function asProposed(plan: Plan, isNew: (stage: Stage) => boolean): Plan {
  const told = (s: Stage): Stage =>
    isNew(s)
      ? ({ ...s, known: Object.fromEntries(fieldsOf(s.kind as KindName).map(([f]) => [f, 'proposed'])) } as Stage)
      : s;
  return {
    ...plan,
    stages: plan.stages.map(told),
    branches: plan.branches.map((b) => ({ ...b, stages: b.stages.map(told) })),
  };
}
