import type { Basis } from '../air/enhancement-factor';
import { fieldsOf, isRelevant } from '../equipment/index';
import type { FieldMeta } from '../equipment/kind';
import { type Band, bandOf } from '../quantity/derivation';
import { setParameter } from './edit';
import { type Plan, placeSchema, surveySchema, workingSchema } from './plan';
import { allStages, standing } from './runs';
import { type Section, walk } from './walk';

/** One input that can be off, by how much, and the plan with it changed. */
interface UncertainInput {
  readonly label: string;
  readonly plus: Plan;
  readonly minus: Plan;
}

/** Reads the figure in question from a walked plan; `undefined` where the walk did not get that far. */
export type Pick = (section: Section, plan: Plan) => number | undefined;

function shifted(value: number, meta: FieldMeta, sign: 1 | -1): number {
  const { abs = 0, rel = 0 } = meta.uncertainty ?? {};
  const moved = value + sign * Math.hypot(abs, rel * value);
  return Math.min(meta.most ?? Number.POSITIVE_INFINITY, Math.max(meta.least ?? Number.NEGATIVE_INFINITY, moved));
}

function inputsOf(plan: Plan): UncertainInput[] {
  const inputs: UncertainInput[] = [];
  const add = (label: string, meta: FieldMeta, value: unknown, withValue: (v: number) => Plan): void => {
    if (!meta.uncertainty || typeof value !== 'number') return;
    inputs.push({ label, plus: withValue(shifted(value, meta, 1)), minus: withValue(shifted(value, meta, -1)) });
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
      if (isRelevant(meta, parameters))
        add(`${meta.label}, ${stage.name}`, meta, parameters[field], (v) => setParameter(plan, stage.id, field, v));
    }
  }
  return inputs;
}

/**
 * A figure of the section with the band that the stated uncertainties of its inputs give it: the walk is repeated with
 * each input moved by its standard uncertainty up and down.
 *
 * @param more further relative standard uncertainties that the walk does not know of, for instance of the hours run
 * @returns `undefined` if the walk does not reach the figure
 */
export function propagate(
  plan: Plan,
  pick: Pick,
  basis: Basis = 'real',
  more: readonly { readonly label: string; readonly rel: number }[] = [],
): Band | undefined {
  const value = pick(walk(plan, basis), plan);
  if (value === undefined) return undefined;
  return bandOf(value, [
    ...inputsOf(plan).map(({ label, plus, minus }) => {
      const becomes = [plus, minus].flatMap((changed) => pick(walk(changed, basis), changed) ?? []);
      return [label, becomes] as const;
    }),
    ...more.map(({ label, rel }) => [label, [value * (1 + rel), value * (1 - rel)]] as const),
  ]);
}
