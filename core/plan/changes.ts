import { fieldsOf, kindOf } from '../equipment/index';
import type { FieldMeta } from '../equipment/shared/kind';
import { sayText } from '../quantity/say-text';
import type { QuantityName } from '../quantity/units';
import type { Plan } from './plan';
import { branchSchema, unitSchema } from './plan';
import { allStages, type Run, runsOf } from './runs';
import {
  climateSchema,
  placeSchema,
  placeYearSchema,
  type Survey,
  siteSchema,
  surveySchema,
  USUAL_YEAR,
  workingSchema,
} from './survey';

/** One thing that is different between two plans, in words. */
export interface Change {
  readonly stageId?: string;
  /** @param say a value in the units of whoever reads */
  readonly says: (say: (si: number, quantity: QuantityName) => string) => string;
}

type Fields = readonly (readonly [string, FieldMeta | undefined])[];
type SayValue = Parameters<Change['says']>[0];

const tell = (value: unknown, meta: FieldMeta | undefined, say: SayValue): string => {
  if (value === undefined || value === null) return 'not said';
  if (meta?.options) return sayText(meta.options[String(value)] ?? String(value), say);
  return typeof value === 'number' && meta?.quantity ? say(value, meta.quantity) : String(value);
};

const isSimple = (v: unknown): boolean => typeof v !== 'object';

/** What is different in the fields of a thing. */
function inFields(of: string, fields: Fields, before: object, after: object, stageId?: string): Change[] {
  return fields.flatMap(([field, meta]) => {
    const [a, b] = [before, after].map((of) => (of as Record<string, unknown>)[field]);
    if (JSON.stringify(a) === JSON.stringify(b)) return [];
    const label = meta?.label ?? field;
    const isList = [a, b].some((v) => typeof v === 'object' && v !== null && !(Array.isArray(v) && v.every(isSimple)));
    const says = (say: SayValue): string =>
      isList
        ? `${of}, ${label.toLowerCase()}: changed.`
        : `${of}, ${label.toLowerCase()}: ${tell(a, meta, say)} → ${tell(b, meta, say)}.`;
    return [{ ...(stageId && { stageId }), says }];
  });
}

const shapeOf = (schema: { shape: object }): Fields =>
  Object.entries(schema.shape).map(
    ([k, s]) => [k, (s as { meta(): unknown }).meta() as FieldMeta | undefined] as const,
  );
const pick = (schema: { shape: object }, ...names: string[]): Fields =>
  shapeOf(schema).filter(([k]) => names.includes(k));

/** Where a stage stands, in words: what it stands behind. */
function placeOf(plan: Plan, id: string): { run: Run; behind: string } | undefined {
  const run = runsOf(plan).find((r) => r.stages.some((s) => s.id === id));
  const at = run?.stages.findIndex((s) => s.id === id) ?? -1;
  const before = run?.stages[at - 1] ?? allStages(plan).find((s) => s.id === run?.from);
  return run && { run, behind: before ? `downstream of ${before.name}` : `at the beginning of ${run.name}` };
}

/** Those whose order among the common ones is another: the fewest that must have moved (longest common subsequence). */
function moved(before: readonly string[], after: readonly string[]): Set<string> {
  const a = before.filter((id) => after.includes(id));
  const b = after.filter((id) => before.includes(id));
  const table = Array.from({ length: a.length + 1 }, () => new Array<number>(b.length + 1).fill(0));
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--)
      (table[i] as number[])[j] =
        a[i] === b[j]
          ? 1 + ((table[i + 1] as number[])[j + 1] as number)
          : Math.max((table[i + 1] as number[])[j] as number, (table[i] as number[])[j + 1] as number);
  const stayed = new Set<string>();
  for (let i = 0, j = 0; i < a.length && j < b.length; ) {
    if (a[i] === b[j]) {
      stayed.add(a[i] as string);
      i++;
      j++;
    } else if (((table[i + 1] as number[])[j] as number) >= ((table[i] as number[])[j + 1] as number)) i++;
    else j++;
  }
  return new Set(b.filter((id) => !stayed.has(id)));
}

/** The names of things by their ids; of one that was renamed the new one. */
const namesOf = (...of: readonly (readonly { id: string; name: string }[])[]): Readonly<Record<string, string>> =>
  Object.fromEntries(of.flat().map(({ id, name }) => [id, name]));

function ofStages(before: Plan, after: Plan): Change[] {
  const [old, now] = [
    new Map(allStages(before).map((s) => [s.id, s])),
    new Map(allStages(after).map((s) => [s.id, s])),
  ];
  const order = runsOf(after).flatMap((r) => [
    ...moved(
      runsOf(before)
        .find((o) => o.id === r.id)
        ?.stages.map((s) => s.id) ?? [],
      r.stages.map((s) => s.id),
    ),
  ]);
  const out = [...old.values()]
    .filter((s) => !now.has(s.id))
    .map((s): Change => ({ says: () => `Removed ${s.name} (${placeOf(before, s.id)?.behind}).` }));
  const rest = [...now.values()].flatMap((s): Change[] => {
    const was = old.get(s.id);
    const here = placeOf(after, s.id);
    if (!was)
      return [
        {
          stageId: s.id,
          says: () => {
            const { label } = kindOf(s.kind);
            return `Added ${s.name}${s.name === label ? '' : `, ${label.toLowerCase()}`}, ${here?.behind}.`;
          },
        },
      ];
    const carried = placeOf(before, s.id)?.run.id !== here?.run.id || order.includes(s.id);
    return [
      ...(was.name === s.name ? [] : [{ stageId: s.id, says: () => `Renamed ${was.name} to ${s.name}.` }]),
      ...(carried ? [{ stageId: s.id, says: () => `Moved ${s.name}: it stands ${here?.behind} now.` }] : []),
      ...(was.planned === undefined && s.planned
        ? [{ stageId: s.id, says: () => `${s.name} is only planned for now.` }]
        : []),
      ...(was.planned && s.planned === undefined ? [{ stageId: s.id, says: () => `${s.name} is fitted now.` }] : []),
      ...inFields(s.name, was.kind === s.kind ? fieldsOf(s.kind) : [], was.parameters, s.parameters, s.id),
      ...inFields(
        s.name,
        [
          ['checkFilter', { label: 'check filter', options: { true: 'yes' } }],
          ['place', { label: 'stands in', options: namesOf(before.survey.places, after.survey.places) }],
          ['fit', { label: 'run and joints' }],
          ['thing', { label: 'what is installed' }],
          ['unit', { label: 'part of the unit', options: namesOf(before.units, after.units) }],
        ],
        was,
        s,
        s.id,
      ),
    ];
  });
  return [...out, ...rest];
}

/** Branches, units, places: put in, taken out, changed. */
function ofNamed<T extends { id: string; name: string }>(
  what: string,
  fields: Fields,
  before: readonly T[],
  after: readonly T[],
): Change[] {
  return [
    ...before
      .filter((b) => !after.some((a) => a.id === b.id))
      .map((b): Change => ({ says: () => `Removed ${what} ${b.name}.` })),
    ...after.flatMap((a): Change[] => {
      const b = before.find((x) => x.id === a.id);
      return b ? inFields(a.name, fields, b, a) : [{ says: () => `Added ${what} ${a.name}.` }];
    }),
  ];
}

function ofSurvey(a: Survey, b: Survey): Change[] {
  const nameOf = (s: Survey, id: string): string => s.places.find((p) => p.id === id)?.name ?? id;
  const where = (label: string, field: 'intakePlaceId' | 'roomPlaceId'): Change[] =>
    a[field] === b[field] ? [] : [{ says: () => `${label} ${nameOf(b, b[field])} now, not ${nameOf(a, a[field])}.` }];
  return [
    ...inFields('Survey', pick(surveySchema, 'shop', 'atmosphereFrom', 'altitudeM', 'barometerPa', 'pipe'), a, b),
    ...where('The compressor draws in', 'intakePlaceId'),
    ...where('The line stands in', 'roomPlaceId'),
    ...ofNamed(
      'the place',
      shapeOf(placeSchema).filter(([k]) => k !== 'id' && k !== 'year'),
      a.places,
      b.places,
    ),
    ...b.places.flatMap((p) => {
      const was = a.places.find((o) => o.id === p.id);
      return was ? inFields(p.name, shapeOf(placeYearSchema), was.year ?? USUAL_YEAR, p.year ?? USUAL_YEAR) : [];
    }),
    ...inFields(
      'Weather',
      [...pick(climateSchema, 'from'), ['months', { label: 'means of the months' }]],
      a.climate,
      b.climate,
    ),
    ...(a.climate.yearId === b.climate.yearId ? [] : [{ says: () => 'Another year of weather.' }]),
    ...inFields('Working hours', shapeOf(workingSchema), a.working, b.working),
    ...inFields('Site details', shapeOf(siteSchema), a.site, b.site),
  ];
}

function ofBranches(before: Plan, after: Plan): Change[] {
  const stages = namesOf(allStages(before), allStages(after));
  return ofNamed(
    'the branch',
    [
      ['name', { label: 'name' }],
      ['from', { label: 'starts at', options: stages }],
      ['into', { label: 'joins ahead of', options: stages }],
      ...pick(branchSchema, 'share', 'split'),
    ],
    before.branches,
    after.branches,
  );
}

/**
 * What is different in a plan from another, in words: first what it is called, then the survey, the stages, branches and units.
 * @returns nothing only where the two are the same
 * @example changes(plan, renameStage(plan, 'gauge', 'Dial')).length // 1
 */
export function changes(before: Plan, after: Plan): Change[] {
  const aside = after.dismissed.length - before.dismissed.length;
  return [
    ...inFields('The line', [['name', { label: 'name' }]], before, after),
    ...ofSurvey(before.survey, after.survey),
    ...ofStages(before, after),
    ...ofBranches(before, after),
    ...ofNamed(
      'the unit',
      [['name', { label: 'name' }], ...pick(unitSchema, 'form', 'is', 'usedS')],
      before.units,
      after.units,
    ),
    ...(JSON.stringify(before.money) === JSON.stringify(after.money)
      ? []
      : [{ says: () => 'Prices, tariff or what dry air is worth.' }]),
    ...(JSON.stringify(before.routine) === JSON.stringify(after.routine)
      ? []
      : [{ says: () => 'The routine: what is pinned, left out, who does it, or the route.' }]),
    ...(aside === 0
      ? []
      : [
          {
            says: () =>
              aside > 0 ? `${aside} more set aside of the advice.` : `${-aside} taken up again of the advice.`,
          },
        ]),
  ];
}
