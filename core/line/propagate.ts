import type { Basis } from '../air/enhancement-factor';
import { fieldsOf, isRelevant } from '../equipment/index';
import type { FieldMeta, Uncertainty } from '../equipment/shared/kind';
import type { Asks } from '../network/shares';
import { setParameter } from '../plan/edit';
import type { Plan } from '../plan/plan';
import { provenanceOf } from '../plan/provenance';
import { allStages, stageById, standing } from '../plan/runs';
import { surroundingsOf } from '../plan/surroundings';
import { placeSchema, surveySchema, workingSchema } from '../plan/survey';
import { type Band, bandOf } from '../quantity/derivation';
import { type PreparedLine, prepare, withParameters } from './prepare';
import type { Section } from './section';
import { walkPrepared } from './walk';

/** One input that can be off, and the plan with it changed; of a stage's own input, whose it is. */
interface UncertainInput {
  readonly label: string;
  readonly plus: Plan;
  readonly minus: Plan;
  readonly stageId?: string;
}

/** Reads the figure in question from a walked plan; `undefined` where the walk did not get that far. */
export type ReadFigure = (section: Section, plan: Plan) => number | undefined;

/** A dew point that is asked of a dryer’s maker in writing, for this air, holds within so much, K (estimate: a calibrated meter). */
const ASKED_WITHIN: Uncertainty = { abs: 1 };
const BY_DEW_POINT = ['pressureDewPointC', 'ratedDewPointC'];

function shifted(value: number, meta: FieldMeta, sign: 1 | -1): number {
  const { abs = 0, rel = 0 } = meta.uncertainty ?? {};
  const moved = value + sign * Math.hypot(abs, rel * value);
  return Math.min(meta.most ?? Number.POSITIVE_INFINITY, Math.max(meta.least ?? Number.NEGATIVE_INFINITY, moved));
}

function inputsOf(plan: Plan): UncertainInput[] {
  const inputs: UncertainInput[] = [];
  const add = (label: string, meta: FieldMeta, value: unknown, withValue: (v: number) => Plan, stageId?: string) => {
    if (!meta.uncertainty || typeof value !== 'number') return;
    const plus = withValue(shifted(value, meta, 1));
    inputs.push({ label, plus, minus: withValue(shifted(value, meta, -1)), ...(stageId && { stageId }) });
  };
  const { survey } = plan;
  for (const key of ['altitudeM', 'barometerPa'] as const) {
    const meta = surveySchema.shape[key].meta() as unknown as FieldMeta;
    if (isRelevant(meta, survey))
      add(meta.label, meta, survey[key], (v) => ({ ...plan, survey: { ...survey, [key]: v } }));
  }
  survey.places.forEach((place, i) => {
    if (place.id !== survey.intakePlaceId && place.id !== survey.roomPlaceId) return;
    for (const key of ['temperatureC', 'relativeHumidity'] as const) {
      const meta = placeSchema.shape[key].meta() as unknown as FieldMeta;
      add(`${meta.label}, ${place.name}`, meta, place[key], (v) => ({
        ...plan,
        survey: { ...survey, places: survey.places.with(i, { ...place, [key]: v }) },
      }));
    }
  });
  const share = workingSchema.shape.loadedShare.meta() as unknown as FieldMeta;
  add(share.label, share, survey.working.loadedShare, (v) => ({
    ...plan,
    survey: { ...survey, working: { ...survey.working, loadedShare: v } },
  }));
  for (const stage of allStages(standing(plan))) {
    const parameters = stage.parameters as Record<string, unknown>;
    for (const [field, meta] of fieldsOf(stage.kind)) {
      const known = provenanceOf(stage, field);
      const isAsked = known === 'proposed' && BY_DEW_POINT.includes(field);
      if (isRelevant(meta, parameters))
        add(
          `${meta.label}, ${stage.name} (${known})`,
          isAsked ? { ...meta, uncertainty: ASKED_WITHIN } : meta,
          parameters[field],
          (v) => setParameter(plan, stage.id, field, v),
          stage.id,
        );
    }
  }
  return inputs;
}

/** How a prepared line is walked, in the surroundings of a plan. */
export type WalkAt = (plan: Plan, line: PreparedLine, basis: Basis) => Section;
const walkAsDelivered: WalkAt = (plan, line, basis) => walkPrepared(line, surroundingsOf(plan, basis));

/**
 * Figures of the section with the bands that the stated uncertainties of the inputs give them: the walk is repeated with
 * each input moved by its standard uncertainty up and down, once for all figures.
 *
 * @param asks, walkAt what the jobs take, and how the line is walked then; left out, at what the compressor delivers
 * @param more further relative standard uncertainties that the walk does not know of, for instance of the hours run
 * @returns a band a figure; `undefined` for one that the walk does not reach
 * @example propagateAll(plan, [(s) => s.at('outlet')?.pressureDewPointC])[0].high // 4.24
 */
export function propagateAll(
  plan: Plan,
  picks: readonly ReadFigure[],
  basis: Basis = 'real',
  more: readonly { readonly label: string; readonly rel: number }[] = [],
  { asks, walkAt = walkAsDelivered }: { readonly asks?: Asks; readonly walkAt?: WalkAt } = {},
): (Band | undefined)[] {
  const line = prepare(plan, asks);
  const here = walkAt(plan, line, basis);
  const becomes = inputsOf(plan).map(({ label, plus, minus, stageId }) => {
    const ends = [plus, minus].map((changed) => {
      // A stage's own input changes neither the flow nor what surrounds it; one of the survey changes only the latter.
      const parameters = stageId === undefined ? undefined : stageById(changed, stageId)?.parameters;
      const section = parameters
        ? walkAt(plan, withParameters(line, stageId as string, parameters), basis)
        : walkAt(changed, line, basis);
      return picks.map((pick) => pick(section, changed));
    });
    return { label, ends };
  });
  return picks.map((pick, i) => {
    const value = pick(here, plan);
    if (value === undefined) return undefined;
    return bandOf(value, [
      ...becomes.map(({ label, ends }) => [label, ends.flatMap((end) => end[i] ?? [])] as const),
      ...more.map(({ label, rel }) => [label, [value * (1 + rel), value * (1 - rel)]] as const),
    ]);
  });
}

/**
 * The same for one figure.
 * @example propagate(plan, (s) => s.at('outlet')?.pressureDewPointC).low // -5.26
 */
export function propagate(
  plan: Plan,
  pick: ReadFigure,
  basis: Basis = 'real',
  more: readonly { readonly label: string; readonly rel: number }[] = [],
): Band | undefined {
  return propagateAll(plan, [pick], basis, more)[0];
}
