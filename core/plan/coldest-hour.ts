import { DAY_S } from '../quantity/constants';
import type { Plan, Stage } from './plan';
import { type Place, placeOf, type Survey, USUAL_YEAR } from './survey';

/** Outdoors on a usual day, from the coldest hour to the warmest, where the survey has no months, K (estimate). */
const USUAL_SWING_K = 10;

/**
 * How cold a place gets overnight, as it was surveyed by day: outdoors by the swing of a usual day; in a shelter by as much of it
 * as comes through, and not below what it is heated to; where the air is held, not at all.
 *
 * @returns °C
 * @source first-order lag of a daily sine: amplitude 1/√(1 + (2π·lag/24 h)²); swing by the months of the survey
 * @example coldestHourC(plan.survey, plan.survey.places[0]) // 16.1
 */
export function coldestHourC({ climate }: Survey, place: Place): number {
  const { follows, lagS, heatedToC } = place.year ?? USUAL_YEAR;
  if (follows === 'warm' || follows === 'held') return place.temperatureC;
  const months = climate.months ?? [];
  const swingK = months.length > 0 ? months.reduce((sum, m) => sum + m.swingK, 0) / months.length : USUAL_SWING_K;
  if (follows === 'outdoors') return place.temperatureC - swingK;
  const comesThrough = 1 / Math.hypot(1, (2 * Math.PI * lagS) / DAY_S);
  return Math.min(place.temperatureC, Math.max(heatedToC, place.temperatureC - comesThrough * swingK));
}

/**
 * The coldest reach of a stage overnight: where it stands, and wherever it passes through.
 * @returns °C
 * @example coldestReachC(plan, stage('receiver')) // 16.1
 */
export function coldestReachC({ survey }: Plan, { place, fit }: Pick<Stage, 'place' | 'fit'>): number {
  const here = place ?? survey.roomPlaceId;
  const passes = fit?.legs?.map((leg) => leg.place ?? here) ?? [here];
  return Math.min(...passes.map((id) => coldestHourC(survey, placeOf(survey, id))));
}
