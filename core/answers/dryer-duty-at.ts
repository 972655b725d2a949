import { askedBehind } from '../advice/dryers';
import { LineFacts } from '../advice/line-facts';
import { DRYERS, is } from '../equipment/groups';
import { humidityAt, type Section } from '../line/section';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import { surveyAtmosphericPa } from '../plan/survey';
import { hoursPerWeek } from '../plan/working-time';
import { WORKING_WEEKS } from '../quantity/constants';
import type { DryerDuty } from '../sizing/dryer-duty';
import { HOTTER_K } from './conditions';

/**
 * Where a line dries its air, or would: its first dryer, else its last tank, else its last stage before a regulator.
 * @example dryingPlace(plan).id // 'refrigerated-dryer'
 */
export function dryingPlace(plan: Plan): Stage | undefined {
  const stages = allStages(standing(plan));
  const main = standing(plan).stages;
  const regulator = main.findIndex((s) => s.kind === 'regulator' || s.kind === 'outlet');
  return (
    stages.find((s) => is(DRYERS, s.kind)) ??
    main.findLast((s) => s.kind === 'receiver') ??
    main[regulator < 0 ? main.length - 1 : Math.max(0, regulator - 1)]
  );
}

/**
 * What a dryer at a place of a line is asked to do: by the air that reaches a dryer, or that leaves any other stage.
 * @returns `undefined` where the walk does not come there
 * @example dryerDutyAt(plan, section, stage('refrigerated-dryer')).load // 0.4
 */
export function dryerDutyAt(plan: Plan, section: Section, stage: Stage): DryerDuty | undefined {
  const line = standing(plan);
  const before = is(DRYERS, stage.kind) ? pathTo(line, stage.id).at(-2) : stage;
  const air = section.at(before?.id);
  if (!air) return undefined;
  const { working } = line.survey;
  const roomC = surroundingsAt(line, stage).roomTemperatureC;
  return {
    dryAirKgPerS: air.dryAirKgPerS,
    load: working.loadedShare,
    inletC: air.temperatureC,
    inletPa: air.pressurePa,
    atmosphericPa: surveyAtmosphericPa(line.survey),
    relativeHumidity: Math.min(1, humidityAt(air, air.temperatureC, air.pressurePa)),
    roomC,
    hottestRoomC: roomC + HOTTER_K,
    ...askedBehind(new LineFacts(plan, section), stage),
    hotOilFree: false,
    hoursPerYear: hoursPerWeek(working) * WORKING_WEEKS,
    perKWh: plan.money.perKWh,
    perHour: plan.money.perHour,
  };
}
