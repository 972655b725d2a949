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

/** As much of a stage as says where it stands. */
type Placed = Pick<Stage, 'place' | 'fit'>;

/**
 * Whether a stage stands elsewhere than the line, or is drawn through another place.
 * @example isElsewhere({ place: undefined, fit: undefined }) // false
 */
export const isElsewhere = ({ place, fit }: Placed): boolean =>
  place !== undefined || (fit?.legs?.some((l) => l.place !== undefined) ?? false);

/**
 * What surrounds a stage: the place where it stands, and those that its legs pass through.
 * @example aroundStage(around, { place: 'room', fit: undefined }).roomTemperatureC // 24
 */
export function aroundStage(around: Surroundings, { place, fit }: Placed): Surroundings {
  const here = inPlace(around, place);
  const legs = fit?.legs;
  if (!legs?.some((l) => l.place !== undefined)) return here;
  const lengthM = legs.reduce((sum, l) => sum + l.lengthM, 0);
  const roomC = (id: string | undefined): number =>
    (id === undefined ? undefined : around.rooms?.[id]) ?? here.roomTemperatureC;
  const along = legs.map((l) => ({ share: l.lengthM / lengthM, roomC: roomC(l.place) }));
  return { ...here, along };
}

/**
 * The surroundings of one stage, where it stands.
 * @example surroundingsAt(plan, stage('receiver')).roomTemperatureC // 24
 */
export function surroundingsAt(plan: Plan, stage: Placed, basis: Basis = 'real'): Surroundings {
  return aroundStage(surroundingsOf(plan, basis), stage);
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
