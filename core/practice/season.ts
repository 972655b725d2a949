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
