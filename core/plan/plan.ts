import { z } from 'zod';
import { KINDS, type KindName, type ParametersOf } from '../equipment/index';
import { choiceField, numberField } from '../equipment/shared/kind';
import { timeField } from './date-fields';
import { withDrawn } from './drawn';
import { type Fit, fitSchema, fittingSchema } from './fit-fields';
import { maintenanceSchema } from './maintenance-settings';
import { moneySchema } from './money';
import { idField as id, nameField as name, surveySchema } from './survey';
import { type Thing, thingSchema } from './thing-fields';
import { upgradePlan } from './upgrade';

export const PLAN_FORMAT = 'cool-dram-plan';
export const PLAN_VERSION = 1;

/** How a number can be known; a proposed one is asked of the maker in writing. */
const KNOWN = ['measured', 'nameplate', 'proposed'] as const;
export type Known = (typeof KNOWN)[number];

function stageSchema(kind: KindName, parameters: z.ZodObject) {
  return z.strictObject({
    id,
    kind: z.literal(kind),
    name: name(60),
    parameters,
    /** Not bought yet: left out of the walk until it is, with the reading that should trigger it. */
    planned: z.strictObject({ trigger: z.string().trim().max(200, 'At most 200 characters.') }).optional(),
    /** Ought to catch nothing: water in it means that something before it failed. */
    checkFilter: z.literal(true).optional(),
    /** The unit that it is part of. */
    unit: id.optional(),
    /** The place of the survey where it stands; left out, where the line stands. */
    place: id.optional(),
    /** How it is joined and drawn, as far as somebody said so. */
    fit: fitSchema.optional(),
    /** What is installed: its plate, how it opens, its settings. */
    thing: thingSchema.optional(),
    /** Where its numbers come from, as far as somebody said so; the rest is typical or assumed. */
    known: z.partialRecord(z.enum(Object.keys(parameters.shape) as [string, ...string[]]), z.enum(KNOWN)).optional(),
  });
}
export type Stage = {
  [K in KindName]: {
    id: string;
    kind: K;
    name: string;
    parameters: ParametersOf<K>;
    planned?: { trigger: string } | undefined;
    checkFilter?: true | undefined;
    unit?: string | undefined;
    place?: string | undefined;
    fit?: Fit | undefined;
    thing?: Thing | undefined;
    known?: { readonly [field: string]: Known | undefined } | undefined;
  };
}[KindName];

/** A stage of any kind in KINDS. It is put together when a stage is first checked: most pages check none. */
const anyStage: z.ZodType<Stage> = z.lazy(
  () =>
    z
      .discriminatedUnion(
        'kind',
        Object.entries(KINDS).map(([kind, { parameters }]) => stageSchema(kind as KindName, parameters)) as unknown as [
          z.core.$ZodTypeDiscriminable,
          ...z.core.$ZodTypeDiscriminable[],
        ],
        {
          error: (issue) =>
            issue.code === 'invalid_union'
              ? `Unknown kind of stage. Known: ${Object.keys(KINDS).join(', ')}.`
              : undefined,
        },
      )
      // One source: where a run is drawn, its length and bends are those of the drawing.
      .overwrite((stage) => withDrawn(stage as Stage)) as unknown as z.ZodType<Stage>,
);

const MOST_STAGES = 60;

/** A further run: a drop, a dry branch, an arm of a ring, a bypass, or a second compressor that joins a header. */
export const branchSchema = z.strictObject({
  id,
  name: name(60),
  /** The stage downstream of which it takes its air; null where it begins with an intake and a compressor of its own. */
  from: id.nullable(),
  /** The stage upstream of which it joins again; null where it ends in itself. */
  into: id.nullable().default(null),
  split: choiceField({
    label: 'How the air parts',
    options: { entered: 'by the share that is entered', pressure: 'as the pressure decides' },
  }),
  share: numberField({
    label: 'Share of the air that goes this way',
    help: 'Of what reaches the take-off: 0 for a shut bypass, a few per cent for one that leaks.',
    quantity: 'share',
    least: 0,
    most: 1,
    default: 0.5,
    source: 'even split (estimate)',
  }),
  stages: z.array(anyStage).max(MOST_STAGES, `At most ${MOST_STAGES} stages.`),
});
export type Branch = z.infer<typeof branchSchema>;

/** Stages side by side in a run that are one thing to whoever buys, serves or carries it: a wall unit, a portable unit. */
export const unitSchema = z.strictObject({
  id,
  name: name(60),
  form: choiceField({
    label: 'It is',
    options: { wall: 'fixed at its place', portable: 'portable, on couplers' },
  }),
  is: choiceField({
    label: 'Just now',
    options: { here: 'in its place', away: 'away, a jumper hose in its place' },
    when: { field: 'form', is: ['portable'] },
  }),
  usedS: numberField({
    label: 'In use so far',
    help: 'Hours of air through it. They go with the unit wherever it is moved.',
    quantity: 'time',
    least: 0,
    most: 3.6e8,
    default: 0,
    source: 'counted from new',
  }),
  /** Shop time at which that was counted; hours since then are estimated. */
  countedAt: timeField.nullable().default(null),
});
export type MachineUnit = z.infer<typeof unitSchema>;

const dismissalSchema = z.strictObject({
  /** The rule. */
  rule: z.string().max(20),
  /** The stages it speaks of. */
  stageIds: z.array(id).max(4),
  reason: z.string().trim().min(1, 'Say why.').max(300, 'At most 300 characters.'),
  restsOn: z.string().max(1000),
});
export type Dismissal = z.infer<typeof dismissalSchema>;

/** A run that draws its own air begins with intake and compressor; no other stage is an intake. */
function checkSources(stages: readonly { kind: string }[], draws: boolean, refuse: (i: number, m: string) => void) {
  stages.forEach(({ kind }, i) => {
    if (draws && i === 0 && kind !== 'intake') refuse(i, 'A line begins with its intake.');
    else if (draws && i === 1 && kind !== 'compressor') refuse(i, 'The compressor comes right after the intake.');
    else if ((!draws || i > 1) && kind === 'intake') refuse(i, 'An intake stands at the beginning of a run.');
  });
}

/** A plan by its fields alone: what one says of another may be gone. */
const planFields = z.strictObject({
  format: z.literal(PLAN_FORMAT, { error: `Not a plan file: “format” must be “${PLAN_FORMAT}”.` }),
  version: z.literal(PLAN_VERSION, {
    error: `Unknown version of the plan format. This program reads version ${PLAN_VERSION}.`,
  }),
  name: name(80),
  survey: surveySchema,
  stages: z.array(anyStage).min(2).max(MOST_STAGES, `At most ${MOST_STAGES} stages.`),
  branches: z.array(branchSchema).max(24, 'At most 24 branches.').default([]),
  units: z.array(unitSchema).max(24, 'At most 24 units.').default([]),
  /** Advice that was set aside, with the reason and with what it rested on then: when that changes it returns. */
  dismissed: z.array(dismissalSchema).max(400).default([]),
  /** Prices, tariff and what dry air is worth: the person’s own. */
  money: moneySchema.default(moneySchema.parse({})),
  /** The routine: what a person pinned, left out, and the route. */
  routine: maintenanceSchema.default(maintenanceSchema.parse({})),
  /** Threads, couplers, and what of the bill is ticked. */
  fitting: fittingSchema.default(fittingSchema.parse({})),
});

/** The plan file as it is written today: survey and line of one shop. Every number is SI with its unit in the key; pressures are absolute. */
export const currentPlanSchema = planFields.superRefine(({ survey, stages, branches, units }, ctx) => {
  const seen = new Set<string>();
  const kinds = new Map([stages, ...branches.map((b) => b.stages)].flat().map((s) => [s.id, s.kind]));
  const check = (
    run: readonly Pick<Stage, 'id' | 'kind' | 'unit' | 'place' | 'fit'>[],
    draws: boolean,
    path: (string | number)[],
  ): void => {
    const refuse = (i: number, message: string) => ctx.addIssue({ code: 'custom', path: [...path, i], message });
    checkSources(run, draws, refuse);
    run.forEach((s, i) => {
      if (seen.has(s.id)) refuse(i, 'Two stages have the same id.');
      seen.add(s.id);
      if (s.unit !== undefined && !units.some((u) => u.id === s.unit)) refuse(i, 'There is no unit with this id.');
      if (s.place !== undefined && !survey.places.some((p) => p.id === s.place))
        refuse(i, 'There is no place with this id.');
      if (s.fit?.legs?.some((l) => l.place !== undefined && !survey.places.some((p) => p.id === l.place)))
        refuse(i, 'A leg passes through a place that is not in the survey.');
    });
  };
  check(stages, true, ['stages']);
  branches.forEach((b, i) => {
    check(b.stages, b.from === null, ['branches', i, 'stages']);
    const refuse = (field: keyof Branch, message: string) =>
      ctx.addIssue({ code: 'custom', path: ['branches', i, field], message });
    const isOwn = (id: string) => b.stages.some((s) => s.id === id);
    if (b.from === null && b.stages.length < 2)
      refuse('from', 'A branch takes its air downstream of a stage, or begins with an intake and a compressor.');
    if (b.from !== null && !kinds.has(b.from)) refuse('from', 'There is no stage with this id.');
    if (b.from !== null && isOwn(b.from)) refuse('from', 'A branch cannot take its air from itself.');
    if (b.into !== null && !kinds.has(b.into)) refuse('into', 'There is no stage with this id.');
    if (b.into !== null && isOwn(b.into)) refuse('into', 'A branch cannot join into itself.');
    if (b.into !== null && ['intake', 'compressor'].includes(kinds.get(b.into) ?? ''))
      refuse('into', 'Compressed air does not join upstream of an intake or a compressor.');
    if (branches.findIndex((other) => other.id === b.id) < i || b.id === 'main')
      refuse('id', 'Two runs have the same id.');
  });
});
export type Plan = z.infer<typeof currentPlanSchema>;

/** The plan file, also as earlier programs wrote it. */
export const planSchema = z.preprocess(upgradePlan, currentPlanSchema);

/** The same by its fields alone: for what was stored before links were checked, or was joined of two plans. */
export const planFieldsSchema = z.preprocess(upgradePlan, planFields);

/** What a list of lines shows of each. */
export interface PlanSummary {
  readonly id: string;
  readonly name: string;
  readonly shop: string;
  readonly isDemo: boolean;
  readonly stages: number;
  readonly updatedAt: string;
}

/** Some lines, and how many there are besides the demos. */
export interface PlanList {
  readonly lines: readonly PlanSummary[];
  readonly of: number;
}

/** What a revision may be called. */
export const revisionNameSchema = z.string().trim().min(1, 'A name is needed.').max(80, 'At most 80 characters.');

/** What a list of revisions shows of each. */
export interface RevisionSummary {
  readonly id: string;
  readonly name: string;
  readonly at: string;
}
