import fc from 'fast-check';
import { KINDS, type KindName } from '../equipment/index';
import { WALL_UNITS, type WallUnitName } from '../equipment/serving/wall-unit';
import { insertStage, moveStage, newStage, removeStage, setCheckFilter, setProvided } from '../plan/edit';
import { addBranch, addBypass, addCompressor, removeBranch } from '../plan/edit-branches';
import { addWallUnit, groupWithNext, moveUnit, removeUnit, setUnit, ungroup } from '../plan/machine-units';
import { type Plan, planSchema } from '../plan/plan';
import { allStages, runsOf, stageById } from '../plan/runs';
import { type Edit, goodDry, goodPlant, goodShop, goodSpray } from './good-lines';

const kinds = (Object.keys(KINDS) as KindName[]).filter((k) => k !== 'intake' && k !== 'compressor');
let n = 0;
export const fresh = (): string => `n${n++}`;

/** Any edit that the screens offer, at any stage, run or unit that the plan happens to have. */
export const anyEdit: fc.Arbitrary<Edit> = (() => {
  const at = fc.nat({ max: 40 });
  const stage = (plan: Plan, i: number): string => allStages(plan)[i % allStages(plan).length]?.id ?? '';
  const run = (plan: Plan, i: number): string => runsOf(plan)[i % runsOf(plan).length]?.id ?? '';
  const unit = (plan: Plan, i: number): string => plan.units[i % Math.max(1, plan.units.length)]?.id ?? '';
  const room = (plan: Plan): boolean =>
    allStages(plan).length < 40 && plan.branches.length < 10 && plan.units.length < 10;
  return fc.oneof(
    fc.tuple(fc.constantFrom(...kinds), at, at).map(
      ([kind, i, r]): Edit =>
        (p) =>
          room(p) ? insertStage(p, newStage(kind, fresh()), i % 8, run(p, r)) : p,
    ),
    fc.tuple(at, at, at).map(
      ([s, i, r]): Edit =>
        (p) =>
          moveStage(p, stage(p, s), i % 8, run(p, r)),
    ),
    at.map(
      (s): Edit =>
        (p) =>
          removeStage(p, stage(p, s)),
    ),
    at.map(
      (s): Edit =>
        (p) =>
          room(p) ? addBranch(p, stage(p, s), fresh(), fresh()) : p,
    ),
    at.map(
      (s): Edit =>
        (p) =>
          room(p) ? (addBypass(p, stage(p, s), fresh()) ?? p) : p,
    ),
    at.map(
      (s): Edit =>
        (p) => {
          const into = stage(p, s);
          return room(p) && !['intake', 'compressor'].includes(stageById(p, into)?.kind ?? '')
            ? addCompressor(p, into, fresh)
            : p;
        },
    ),
    at.map(
      (r): Edit =>
        (p) =>
          run(p, r) === 'main' ? p : removeBranch(p, run(p, r)),
    ),
    fc.tuple(fc.constantFrom(...(Object.keys(WALL_UNITS) as WallUnitName[])), at, at).map(
      ([name, i, r]): Edit =>
        (p) =>
          room(p) ? addWallUnit(p, name, i % 8, run(p, r), fresh(), fresh) : p,
    ),
    at.map(
      (s): Edit =>
        (p) =>
          room(p) ? groupWithNext(p, stage(p, s), fresh()) : p,
    ),
    fc.tuple(at, at, at).map(
      ([u, i, r]): Edit =>
        (p) =>
          moveUnit(p, unit(p, u), i % 8, run(p, r)),
    ),
    fc.tuple(at, fc.boolean()).map(
      ([u, away]): Edit =>
        (p) =>
          setUnit(p, unit(p, u), { form: 'portable', is: away ? 'away' : 'here' }),
    ),
    at.map(
      (u): Edit =>
        (p) =>
          removeUnit(p, unit(p, u)),
    ),
    at.map(
      (u): Edit =>
        (p) =>
          ungroup(p, unit(p, u)),
    ),
    fc.tuple(at, fc.boolean()).map(
      ([s, on]): Edit =>
        (p) => {
          const id = stage(p, s);
          const fixed = ['intake', 'compressor'].includes(stageById(p, id)?.kind ?? '');
          return fixed ? p : setProvided(setCheckFilter(p, id, on), id, on ? 'when the dew point rises' : undefined);
        },
    ),
  );
})();

/** What nobody means by a field. */
export const STRANGE: readonly unknown[] = [
  null,
  -1,
  0,
  1e308,
  -1e308,
  1e-308,
  1e-12,
  '',
  'x'.repeat(3000),
  'constructor',
  true,
  [],
  {},
  '2026-02-31',
];

type Path = readonly (string | number)[];
/** Where something is said in a plan file: each field, and each list. */
export function fieldsIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  const own = Object.entries(value).flatMap(([k, v]) => fieldsIn(v, [...path, k]));
  return Array.isArray(value) ? [path, ...own] : own;
}
export function withField(plan: Plan, path: Path, value: unknown): unknown {
  const copy = structuredClone(plan);
  let at = copy as unknown as Record<string, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[path.at(-1) as string] = value;
  return copy;
}

type Shape = Record<string, { meta(): unknown }>;
interface Meta {
  readonly least?: number;
  readonly most?: number;
  readonly options?: object;
}

/** Some field of some stage with a value that its form takes, the ends of its range among them. */
const anyParameter: fc.Arbitrary<Edit> = fc
  .tuple(
    fc.nat({ max: 60 }),
    fc.nat({ max: 60 }),
    fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0, max: 1, noNaN: true })),
  )
  .map(
    ([s, f, part]): Edit =>
      (plan) => {
        const stages = allStages(plan);
        const stage = stages[s % stages.length] as Plan['stages'][number];
        const fields = Object.entries(KINDS[stage.kind].parameters.shape as Shape);
        const [field, schema] = fields[f % Math.max(1, fields.length)] ?? [];
        const { least = 0, most = 1, options } = (schema?.meta() ?? {}) as Meta;
        if (!field) return plan;
        const words = Object.keys(options ?? {});
        const value = options
          ? words[Math.min(words.length - 1, Math.floor(part * words.length))]
          : least + part * (most - least);
        const changed = (runs: Plan['stages']) =>
          runs.map((x) =>
            x === stage ? { ...x, parameters: { ...x.parameters, [field]: value } } : x,
          ) as Plan['stages'];
        return {
          ...plan,
          stages: changed(plan.stages),
          branches: plan.branches.map((b) => ({ ...b, stages: changed(b.stages) })),
        };
      },
  );

const oddField = fc.tuple(fc.nat({ max: 5000 }), fc.constantFrom(...STRANGE));

/**
 * Plans that their schema accepts: a line of some kind, edited anyhow, with some fields anywhere in their range and some strange.
 * @param lines what to begin with, besides the good ones
 */
export const anyPlan = (...lines: readonly (() => Plan)[]): fc.Arbitrary<Plan> =>
  fc
    .tuple(
      fc.constantFrom(...lines, goodShop, goodDry, goodPlant, goodSpray),
      fc.array(anyEdit, { maxLength: 6 }),
      fc.array(anyParameter, { maxLength: 12 }),
      fc.array(oddField, { maxLength: 3 }),
    )
    .map(([base, edits, parameters, odd]) => {
      const accepted = (before: Plan, document: unknown): Plan => planSchema.safeParse(document).data ?? before;
      const edited = edits.reduce((plan, edit) => edit(plan), base());
      const filled = accepted(
        edited,
        parameters.reduce((plan, edit) => edit(plan), edited),
      );
      return odd.reduce((plan, [at, value]) => {
        const fields = fieldsIn(plan);
        return accepted(plan, withField(plan, fields[at % fields.length] as Path, value));
      }, filled);
    });
