import type { Basis } from '../air/enhancement-factor';
import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import type { Surroundings } from '../equipment/shared/kind';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import type { Plan, Stage } from './plan';
import { placeOf, surveyAtmosphericPa } from './survey';

/**
 * The surroundings of every stage of a plan.
 * @example surroundingsOf(plan).roomTemperatureC // 24
 */
export function surroundingsOf(plan: Plan, basis: Basis = 'real'): Surroundings {
  const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
  return {
    basis,
    atmosphericPa: surveyAtmosphericPa(plan.survey),
    roomTemperatureC: placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC,
    intakeTemperatureC: intake.temperatureC,
    intakeRelativeHumidity: intake.relativeHumidity,
    rooms: Object.fromEntries(plan.survey.places.map((p) => [p.id, p.temperatureC])),
    loadedShare: plan.survey.working.loadedShare,
    depressurised: plan.survey.working.overnight === 'depressurised',
  };
}

/**
 * The same in another place; a place that is gone is the one where the line stands.
 * @example inPlace(around, 'room').roomTemperatureC // 24
 */
export function inPlace(around: Surroundings, placeId: string | undefined): Surroundings {
  const roomTemperatureC = placeId === undefined ? undefined : around.rooms?.[placeId];
  return roomTemperatureC === undefined ? around : { ...around, roomTemperatureC };
}

/**
 * The surroundings of one stage, where it stands.
 * @example surroundingsAt(plan, stage('receiver')).roomTemperatureC // 24
 */
export function surroundingsAt(plan: Plan, stage: Pick<Stage, 'place'>, basis: Basis = 'real'): Surroundings {
  return inPlace(surroundingsOf(plan, basis), stage.place);
}

/**
 * Dry air in a cubic metre of free air: at the barometer, and the temperature and humidity of the intake.
 * @example freeAirKgPerM3(around) // 1.169
 */
export function freeAirKgPerM3(around: Surroundings): number {
  const { intakeRelativeHumidity, intakeTemperatureC, atmosphericPa, basis } = around;
  const x = vapourFractionFromRelativeHumidity(intakeRelativeHumidity, intakeTemperatureC, atmosphericPa, basis);
  return dryAirDensityKgPerM3(atmosphericPa, intakeTemperatureC, x);
}
