import { relativeHumidity, vapourFractionFromRelativeHumidity } from '../air/humidity';
import type { Plan } from '../plan/plan';
import { placeOf, surveyAtmosphericPa } from '../plan/survey';

/** The air that is asked about: what the compressor draws in, and the room that it stands in. */
export interface Conditions {
  readonly intakeC: number;
  readonly intakeHumidity: number;
  readonly roomC: number;
}

/** The hottest day is so much warmer than the survey, K, where nobody says how hot it gets (estimate). */
export const HOTTER_K = 10;
/** Where a number of the survey ends. */
const MOST_C = 60;

/**
 * The conditions of a line’s survey.
 * @example conditionsOf(plan).intakeHumidity // 0.55
 */
export function conditionsOf({ survey }: Plan): Conditions {
  const intake = placeOf(survey, survey.intakePlaceId);
  return {
    intakeC: intake.temperatureC,
    intakeHumidity: intake.relativeHumidity,
    roomC: placeOf(survey, survey.roomPlaceId).temperatureC,
  };
}

/**
 * Those of the hottest day of a line: {@link HOTTER_K} warmer, with the water of the survey’s air still in it (estimate).
 * @example hottestOf(plan).roomC - conditionsOf(plan).roomC // 10
 */
export function hottestOf(plan: Plan): Conditions {
  const { intakeC, intakeHumidity, roomC } = conditionsOf(plan);
  const pa = surveyAtmosphericPa(plan.survey);
  const hotterC = Math.min(MOST_C, intakeC + HOTTER_K);
  const water = vapourFractionFromRelativeHumidity(intakeHumidity, intakeC, pa);
  return {
    intakeC: hotterC,
    intakeHumidity: Math.min(1, Math.max(0.01, relativeHumidity(water, hotterC, pa))),
    roomC: Math.min(MOST_C, roomC + HOTTER_K),
  };
}

/**
 * The same line in other conditions. The places besides intake and room follow the room, kelvin by kelvin (estimate).
 * Where the compressor draws from its own room, the room has the temperature of the intake.
 * @example conditionsOf(inConditions(plan, { intakeC: 35, intakeHumidity: 0.4, roomC: 38 })).intakeC // 35
 */
export function inConditions(plan: Plan, { intakeC, intakeHumidity, roomC }: Conditions): Plan {
  const { survey } = plan;
  const { intakePlaceId, roomPlaceId } = survey;
  const warmerK = roomC - placeOf(survey, roomPlaceId).temperatureC;
  const places = survey.places.map((p) => {
    if (p.id === intakePlaceId) return { ...p, temperatureC: intakeC, relativeHumidity: intakeHumidity };
    if (p.id === roomPlaceId) return { ...p, temperatureC: roomC };
    return { ...p, temperatureC: Math.min(MOST_C, Math.max(-45, p.temperatureC + warmerK)) };
  });
  return { ...plan, survey: { ...survey, places } };
}
