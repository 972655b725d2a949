import { z } from 'zod';
import { atmosphericPressurePa } from '../air/atmosphere';
import { KINDS, type KindName, type ParametersOf } from '../equipment/index';
import { choiceField, numberField } from '../equipment/kind';
import { upgradePlan } from './upgrade';

export const PLAN_FORMAT = 'cool-dram-plan';
export const PLAN_VERSION = 1;

const id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'An id is 1 to 64 letters, digits, hyphens or underscores.');
const name = (most: number) => z.string().trim().min(1, 'A name is needed.').max(most, `At most ${most} characters.`);

/** A place where the air was measured: indoors, outdoors, … */
export const placeSchema = z.strictObject({
  id,
  name: name(60),
  temperatureC: numberField({
    label: 'Temperature',
    quantity: 'temperature',
    least: -45,
    most: 60,
    default: 80 / 3, // 80 °F
    source: 'default, not measured',
    uncertainty: { abs: 0.5 }, // ±0.5–1 °F of a cheap sensor
  }),
  relativeHumidity: numberField({
    label: 'Relative humidity',
    quantity: 'share',
    least: 0.01,
    most: 1,
    default: 0.6,
    source: 'default, not measured',
    uncertainty: { abs: 0.03 }, // ±2–3 %
  }),
});
export type Place = z.infer<typeof placeSchema>;

export const workingSchema = z
  .strictObject({
    days: z
      .array(z.int().min(1).max(7))
      .min(1, 'At least one day.')
      .max(7)
      .default([1, 2, 3, 4, 5])
      .meta({ label: 'Working days, 1 = Monday' }),
    startsAtH: z.number().min(0).max(24).default(8).meta({ label: 'Starts at, hour of the day' }),
    endsAtH: z.number().min(0).max(24).default(17).meta({ label: 'Ends at, hour of the day' }),
    /** How busy each hour of the clock is beside the others; left out, every working hour alike. */
    busyByHour: z.array(z.number().min(0).max(5)).length(24, 'One number for each hour of the day.').optional(),
    overnight: choiceField({
      label: 'After work the line',
      options: { charged: 'stays under pressure', 'let-down': 'is let down' },
    }),
    loadedShare: numberField({
      label: 'Share of that time the pump runs loaded',
      quantity: 'share',
      least: 0,
      most: 1,
      default: 0.4,
      source: 'typical of a small shop; hour meter or stopwatch is better',
      uncertainty: { rel: 0.1 },
    }),
  })
  .refine((w) => w.endsAtH > w.startsAtH, { path: ['endsAtH'], message: 'The day must end after it starts.' });
export type Working = z.infer<typeof workingSchema>;

export const surveySchema = z
  .strictObject({
    shop: name(80),
    atmosphereFrom: choiceField({
      label: 'Air pressure from',
      options: { altitude: 'altitude', barometer: 'barometer' },
    }),
    altitudeM: numberField({
      label: 'Altitude',
      quantity: 'altitude',
      least: -400,
      most: 4500,
      default: 0,
      source: 'default: sea level',
      uncertainty: { abs: 50 },
      when: { field: 'atmosphereFrom', is: ['altitude'] },
    }),
    barometerPa: numberField({
      label: 'Barometer at the place',
      help: 'Station pressure, not reduced to sea level.',
      quantity: 'barometer',
      least: 55000,
      most: 108000,
      default: 101325,
      source: 'default: standard sea level',
      uncertainty: { abs: 300 },
      when: { field: 'atmosphereFrom', is: ['barometer'] },
    }),
    pipe: choiceField({
      label: 'Pipe of the line',
      options: { clean: 'copper, aluminium, stainless or plastic rated for air', rusting: 'black or galvanised steel' },
    }),
    places: z.array(placeSchema).min(1).max(4),
    intakePlaceId: id,
    roomPlaceId: id,
    working: workingSchema,
  })
  .superRefine((survey, ctx) => {
    for (const field of ['intakePlaceId', 'roomPlaceId'] as const)
      if (!survey.places.some((p) => p.id === survey[field]))
        ctx.addIssue({ code: 'custom', path: [field], message: 'There is no place with this id.' });
  });
export type Survey = z.infer<typeof surveySchema>;

function stageSchema<const K extends KindName, S extends z.ZodObject>(kind: K, parameters: S) {
  return z.strictObject({
    id,
    kind: z.literal(kind),
    name: name(60),
    parameters,
    /** Not bought yet: left out of the walk until it is, with the reading that should trigger it. */
    provided: z.strictObject({ trigger: z.string().trim().max(200, 'At most 200 characters.') }).optional(),
    /** Ought to catch nothing: water in it means that something before it failed. */
    witness: z.literal(true).optional(),
  });
}
const anyStage = z.discriminatedUnion(
  'kind',
  [
    stageSchema('intake', KINDS.intake.parameters),
    stageSchema('compressor', KINDS.compressor.parameters),
    stageSchema('aftercooler', KINDS.aftercooler.parameters),
    stageSchema('fluid-cooler', KINDS['fluid-cooler'].parameters),
    stageSchema('cooling-run', KINDS['cooling-run'].parameters),
    stageSchema('separator', KINDS.separator.parameters),
    stageSchema('receiver', KINDS.receiver.parameters),
    stageSchema('check-valve', KINDS['check-valve'].parameters),
    stageSchema('unloader', KINDS.unloader.parameters),
    stageSchema('drip-leg', KINDS['drip-leg'].parameters),
    stageSchema('bowl-filter', KINDS['bowl-filter'].parameters),
    stageSchema('coalescing-filter', KINDS['coalescing-filter'].parameters),
    stageSchema('droplet-separator', KINDS['droplet-separator'].parameters),
    stageSchema('refrigerated-dryer', KINDS['refrigerated-dryer'].parameters),
    stageSchema('bead-cartridge', KINDS['bead-cartridge'].parameters),
    stageSchema('pellet-tower', KINDS['pellet-tower'].parameters),
    stageSchema('twin-tower', KINDS['twin-tower'].parameters),
    stageSchema('membrane', KINDS.membrane.parameters),
    stageSchema('regulator', KINDS.regulator.parameters),
    stageSchema('hose', KINDS.hose.parameters),
    stageSchema('hose-reel', KINDS['hose-reel'].parameters),
    stageSchema('isolating-valve', KINDS['isolating-valve'].parameters),
    stageSchema('coupler', KINDS.coupler.parameters),
    stageSchema('lubricator', KINDS.lubricator.parameters),
    stageSchema('relief-valve', KINDS['relief-valve'].parameters),
    stageSchema('gauge', KINDS.gauge.parameters),
    stageSchema('sight-glass', KINDS['sight-glass'].parameters),
    stageSchema('test-point', KINDS['test-point'].parameters),
    stageSchema('tool-filter', KINDS['tool-filter'].parameters),
    stageSchema('particulate-filter', KINDS['particulate-filter'].parameters),
    stageSchema('carbon-filter', KINDS['carbon-filter'].parameters),
    stageSchema('home-made-housing', KINDS['home-made-housing'].parameters),
    stageSchema('measured-stage', KINDS['measured-stage'].parameters),
    stageSchema('outlet', KINDS.outlet.parameters),
  ],
  {
    error: (issue) =>
      issue.code === 'invalid_union' ? `Unknown kind of stage. Known: ${Object.keys(KINDS).join(', ')}.` : undefined,
  },
);
export type Stage = {
  [K in KindName]: {
    id: string;
    kind: K;
    name: string;
    parameters: ParametersOf<K>;
    provided?: { trigger: string } | undefined;
    witness?: true | undefined;
  };
}[KindName];

const MOST_STAGES = 60;

/** A further run: a drop, a dry branch, an arm of a ring, a bypass, or a second pump that joins a header. */
export const branchSchema = z.strictObject({
  id,
  name: name(60),
  /** The stage behind which it takes its air; null where it begins with an intake and a pump of its own. */
  from: id.nullable(),
  /** The stage ahead of which it joins again; null where it ends in itself. */
  into: id.nullable().default(null),
  share: numberField({
    label: 'Share of the air that goes this way',
    help: 'Of what reaches the take-off: 0 for a shut bypass, a few per cent for one that leaks.',
    quantity: 'share',
    least: 0,
    most: 1,
    default: 0.5,
    source: 'even split, until pressure decides (estimate)',
  }),
  stages: z.array(anyStage).max(MOST_STAGES, `At most ${MOST_STAGES} stages.`),
});
export type Branch = z.infer<typeof branchSchema>;

/** A run that draws its own air begins with intake and compressor; no other stage of a line is one. */
function checkSources(stages: readonly { kind: string }[], draws: boolean, refuse: (i: number, m: string) => void) {
  stages.forEach(({ kind }, i) => {
    if (draws && i === 0 && kind !== 'intake') refuse(i, 'A line begins with its intake.');
    else if (draws && i === 1 && kind !== 'compressor') refuse(i, 'The compressor comes right after the intake.');
    else if ((!draws || i > 1) && kind === 'compressor')
      refuse(i, 'A compressor stands behind its intake, at the beginning of a run, and nowhere else.');
    else if ((!draws || i > 1) && kind === 'intake') refuse(i, 'An intake stands at the beginning of a run.');
  });
}

/** The plan file as it is written today: survey and line of one shop. Every number is SI with its unit in the key; pressures are absolute. */
export const currentPlanSchema = z
  .strictObject({
    format: z.literal(PLAN_FORMAT, { error: `Not a plan file: “format” must be “${PLAN_FORMAT}”.` }),
    version: z.literal(PLAN_VERSION, {
      error: `Unknown version of the plan format. This program reads version ${PLAN_VERSION}.`,
    }),
    name: name(80),
    survey: surveySchema,
    stages: z.array(anyStage).min(2).max(MOST_STAGES, `At most ${MOST_STAGES} stages.`),
    branches: z.array(branchSchema).max(24, 'At most 24 branches.').default([]),
  })
  .superRefine(({ stages, branches }, ctx) => {
    const seen = new Set<string>();
    const check = (run: readonly { id: string; kind: string }[], draws: boolean, path: (string | number)[]): void => {
      const refuse = (i: number, message: string) => ctx.addIssue({ code: 'custom', path: [...path, i], message });
      checkSources(run, draws, refuse);
      run.forEach((s, i) => {
        if (seen.has(s.id)) refuse(i, 'Two stages have the same id.');
        seen.add(s.id);
      });
    };
    check(stages, true, ['stages']);
    branches.forEach((b, i) => {
      check(b.stages, b.from === null, ['branches', i, 'stages']);
      if (b.from === null && b.stages.length < 2)
        ctx.addIssue({
          code: 'custom',
          path: ['branches', i, 'from'],
          message: 'A branch takes its air behind a stage, or begins with an intake and a compressor.',
        });
      if (branches.findIndex((other) => other.id === b.id) < i || b.id === 'main')
        ctx.addIssue({ code: 'custom', path: ['branches', i, 'id'], message: 'Two runs have the same id.' });
    });
  });
export type Plan = z.infer<typeof currentPlanSchema>;

/** The plan file, also as earlier programs wrote it. */
export const planSchema = z.preprocess(upgradePlan, currentPlanSchema);

/** The barometer that the survey means, Pa absolute. */
export function surveyAtmosphericPa(survey: Survey): number {
  return survey.atmosphereFrom === 'barometer' ? survey.barometerPa : atmosphericPressurePa(survey.altitudeM);
}

export function placeOf(survey: Survey, placeId: string): Place {
  return survey.places.find((p) => p.id === placeId) ?? (survey.places[0] as Place);
}

/** What a list of lines shows of each. */
export interface PlanSummary {
  readonly id: string;
  readonly name: string;
  readonly shop: string;
  readonly isDemo: boolean;
  readonly stages: number;
  readonly updatedAt: string;
}
