import type { Basis } from '../air/enhancement-factor';
import type { Surroundings } from '../equipment/kind';
import type { Plan } from './plan';
import { placeOf, surveyAtmosphericPa } from './survey';

/** The surroundings of every stage of a plan. */
export function surroundingsOf(plan: Plan, basis: Basis = 'real'): Surroundings {
  const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
  return {
    basis,
    atmosphericPa: surveyAtmosphericPa(plan.survey),
    roomTemperatureC: placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC,
    intakeTemperatureC: intake.temperatureC,
    intakeRelativeHumidity: intake.relativeHumidity,
    letDown: plan.survey.working.overnight === 'let-down',
  };
}
