import { impliedWallWPerK, receiverSurfaceM2 } from '../equipment/supply/receiver';
import { prepare } from '../line/prepare';
import { walkPrepared } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { surroundingsAt, surroundingsOf } from '../plan/surroundings';
import type { AirStream } from '../stream/air-stream';
import { type PlaceAir, placeAir } from './place-air';
import type { WeatherHours } from './weather';

const MOST_HEAT_LOSS = 50; // W/(m²·K), the range of the field

/** What a temperature that was read tells of the stage: how well it cools, which is what stays when the weather changes. */
function whatItImplies(plan: Plan, stage: Stage, inlet: AirStream): Stage {
  const around = surroundingsAt(plan, stage);
  if (stage.kind === 'aftercooler' && stage.parameters.method === 'measured') {
    const effectiveness =
      (inlet.temperatureC - stage.parameters.outletTemperatureC) / (inlet.temperatureC - around.roomTemperatureC);
    if (!(effectiveness >= 0 && effectiveness <= 1)) return stage;
    return { ...stage, parameters: { ...stage.parameters, method: 'effectiveness', effectiveness } };
  }
  if (stage.kind === 'receiver' && stage.parameters.method === 'measured') {
    const { outletTemperatureC, volumeM3 } = stage.parameters;
    const wallWPerK = impliedWallWPerK(inlet, outletTemperatureC, around) ?? Number.NaN;
    const heatLossWPerM2K = wallWPerK / receiverSurfaceM2(volumeM3);
    if (!(heatLossWPerM2K <= MOST_HEAT_LOSS))
      return { ...stage, parameters: { ...stage.parameters, method: 'estimated' } };
    return { ...stage, parameters: { ...stage.parameters, method: 'estimated', heatLossWPerM2K } };
  }
  return stage;
}

/**
 * The line as it goes through a year: a temperature that was measured downstream of a cooler or receiver belongs to the weather of
 * that day, so what it implies takes its place (effectiveness, heat loss). In the air of the survey it is the same line.
 * What is left as it was read: the discharge of the compressor, and stages that are nothing but their readings.
 */
export function throughYear(plan: Plan): Plan {
  const line = standing(plan);
  const isRead = (s: Stage): boolean => 'method' in s.parameters && s.parameters.method === 'measured';
  if (!allStages(line).some(isRead)) return plan;
  const prepared = prepare(line);
  const inlets = new Map<string, AirStream>();
  walkPrepared(prepared, surroundingsOf(line), null, (i, air) => {
    const stage = prepared.stages[i];
    if (stage && isRead(stage)) inlets.set(stage.id, air.copy());
  });
  const implied = (s: Stage): Stage => {
    const inlet = inlets.get(s.id);
    return inlet ? whatItImplies(plan, s, inlet) : s;
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

/**
 * The plan with the air of one hour at its places, for looking at the line as it is then.
 * @example placeOf(planAtHour(plan, weather, 0).survey, 'in').temperatureC // 30.6
 */
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
