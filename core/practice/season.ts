import type { Plan } from '../plan/plan';
import { SEASONS, type Season } from './case';

/**
 * A line in the air of a season, at its intake and round it.
 * @example setPlaces(plan, 'august').survey.places[0].temperatureC // 30
 */
export function setPlaces(plan: Plan, season: Season): Plan {
  const { temperatureC, relativeHumidity } = SEASONS[season];
  const places = plan.survey.places.map((p) => ({ ...p, temperatureC, relativeHumidity }));
  return { ...plan, survey: { ...plan.survey, places } };
}

/**
 * A line in warmer or colder air than before, everywhere.
 * @param k within what a plan allows, {@link MOST_C}
 * @example warmedBy(plan, 2).survey.places[0].temperatureC - plan.survey.places[0].temperatureC // 2
 */
export function warmedBy(plan: Plan, k: number): Plan {
  const places = plan.survey.places.map((p) => ({ ...p, temperatureC: Math.min(MOST_C, p.temperatureC + k) }));
  return { ...plan, survey: { ...plan.survey, places } };
}
/** The warmest air that a plan allows, °C. */
const MOST_C = 60;
