import { deliveryFromPumpUp } from '../day/cycle';
import { leakM3PerS } from '../day/shut-in';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { placeOf, surveyAtmosphericPa } from '../plan/survey';
import type { LogEntry } from './log-entry';
import { NAMED_TASKS } from './named-tasks';
import type { ReadingName } from './readings';

/** What a timed test means: free air, m³/s, and of what the compressor is said to deliver. */
export interface Implied {
  readonly what: 'delivery' | 'leak';
  readonly flowM3PerS: number;
  readonly ofDelivery: number;
}

/**
 * What a pump-up or a leak-down of the receivers means.
 * @returns `undefined` where the entry is none, or its readings do not go together
 * @source FAD = V·(p2 − p1)/(p_a·t)·(T_a/T_tank); leak = V·Δp/(p_a·t) (trade handbook)
 * @example implied(plan, { task: 'M01', readings: [], intakeTemperatureC: null }) === undefined // true
 */
export function implied(
  plan: Plan,
  entry: Pick<LogEntry, 'task' | 'readings' | 'intakeTemperatureC'>,
): Implied | undefined {
  const of = (name: ReadingName): number | undefined => entry.readings.find((r) => r.of === name)?.value;
  const [from, to, seconds] = [of('pressure-from'), of('pressure-to'), of('seconds')];
  if (from === undefined || to === undefined || !seconds) return undefined;
  const stages = allStages(standing(plan));
  const volumeM3 = stages.reduce((sum, s) => sum + (s.kind === 'receiver' ? s.parameters.volumeM3 : 0), 0);
  const delivery = stages.reduce(
    (sum, s) => sum + (s.kind === 'compressor' ? s.parameters.freeAirDeliveryM3PerS : 0),
    0,
  );
  const atmosphericPa = surveyAtmosphericPa(plan.survey);
  if (volumeM3 === 0 || delivery === 0) return undefined;
  if (entry.task === NAMED_TASKS.timePumpUp && to > from) {
    const intakeC = entry.intakeTemperatureC ?? placeOf(plan.survey, plan.survey.intakePlaceId).temperatureC;
    // The wall of the tank is taken at the room: a quick pump-up reads 2–7 % too much.
    const receiverC = placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC;
    const flowM3PerS = deliveryFromPumpUp(
      { volumeM3, fromPa: from, toPa: to, seconds, intakeC, receiverC },
      atmosphericPa,
    );
    return { what: 'delivery', flowM3PerS, ofDelivery: flowM3PerS / delivery };
  }
  if (entry.task === NAMED_TASKS.timeLeakDown && from > to) {
    const flowM3PerS = leakM3PerS({ volumeM3, fromPa: from, toPa: to, seconds, atmosphericPa });
    return { what: 'leak', flowM3PerS, ofDelivery: flowM3PerS / delivery };
  }
  return undefined;
}
