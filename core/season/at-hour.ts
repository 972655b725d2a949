import { receiverSurfaceM2 } from '../equipment/receiver';
import type { Plan, Stage } from '../line/plan';
import { allStages, runsOf, standing } from '../line/runs';
import type { Section } from '../line/section';
import { surroundingsAt } from '../line/surroundings';
import { walk } from '../line/walk';
import { type PlaceAir, placeAir } from './place-air';
import type { WeatherHours } from './weather';

const CP_DRY_AIR = 1006; // J/(kg·K), ASHRAE Fundamentals ch. 1
const MOST_HEAT_LOSS = 50; // W/(m²·K), the range of the field

/** What a temperature that was read tells of the stage: how well it cools, which is what stays when the weather changes. */
function whatItImplies(plan: Plan, stage: Stage, inletC: number, dryAirKgPerS: number): Stage {
  const roomC = surroundingsAt(plan, stage).roomTemperatureC;
  if (stage.kind === 'aftercooler' && stage.parameters.method === 'measured') {
    const effectiveness = (inletC - stage.parameters.outletTemperatureC) / (inletC - roomC);
    if (!(effectiveness >= 0 && effectiveness <= 1)) return stage;
    return { ...stage, parameters: { ...stage.parameters, method: 'effectiveness', effectiveness } };
  }
  if (stage.kind === 'receiver' && stage.parameters.method === 'measured') {
    const { outletTemperatureC, volumeM3 } = stage.parameters;
    const ntu = Math.log((inletC - roomC) / (outletTemperatureC - roomC));
    const heatLossWPerM2K = (ntu * dryAirKgPerS * CP_DRY_AIR) / receiverSurfaceM2(volumeM3);
    if (!(heatLossWPerM2K >= 0 && heatLossWPerM2K <= MOST_HEAT_LOSS))
      return { ...stage, parameters: { ...stage.parameters, method: 'estimated' } };
    return { ...stage, parameters: { ...stage.parameters, method: 'estimated', heatLossWPerM2K } };
  }
  return stage;
}

/**
 * The line as it goes through a year: a temperature that was measured behind a cooler or receiver belongs to the weather of
 * that day, so what it implies takes its place (effectiveness, heat loss). In the air of the survey it is the same line.
 * What is left as it was read: the discharge of the pump, and stages that are nothing but their readings.
 */
export function throughYear(plan: Plan): Plan {
  const line = standing(plan);
  const isRead = (s: Stage): boolean => 'method' in s.parameters && s.parameters.method === 'measured';
  if (!allStages(line).some(isRead)) return plan;
  const section: Section = walk(line);
  const before = new Map<string, string>();
  for (const run of runsOf(line))
    run.stages.forEach((s, i) => {
      const comes = i > 0 ? run.stages[i - 1]?.id : run.from;
      if (comes) before.set(s.id, comes);
    });
  const implied = (s: Stage): Stage => {
    const inlet = section.at(before.get(s.id));
    const own = section.at(s.id);
    return isRead(s) && inlet && own ? whatItImplies(plan, s, inlet.temperatureC, own.dryAirKgPerS) : s;
  };
  return {
    ...plan,
    stages: plan.stages.map(implied),
    branches: plan.branches.map((b) => ({ ...b, stages: b.stages.map(implied) })),
  };
}

/** The air of each place of a survey, hour by hour. */
export function placesThrough(plan: Plan, weather: WeatherHours): Map<string, PlaceAir> {
  return new Map(plan.survey.places.map((p) => [p.id, placeAir(p, plan.survey, weather)]));
}

/** The plan with the air of one hour at its places, for looking at the line as it is then. */
export function planAtHour(plan: Plan, weather: WeatherHours, hour: number): Plan {
  const line = throughYear(plan);
  const air = placesThrough(plan, weather);
  const places = line.survey.places.map((p) => {
    const own = air.get(p.id) as PlaceAir;
    return {
      ...p,
      temperatureC: own.temperatureC[hour] as number,
      relativeHumidity: own.relativeHumidity[hour] as number,
    };
  });
  return { ...line, survey: { ...line.survey, places } };
}
