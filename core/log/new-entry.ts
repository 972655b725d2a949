import type { Plan } from '../plan/plan';
import { placeOf } from '../plan/survey';
import type { DrainEntry } from './drain-entry';
import type { LogEntry } from './log-entry';
import type { SiteTime } from './site-clock';

/** What the device gives a new entry: an id, and the time on its clock. */
export interface Fresh {
  readonly id: string;
  readonly at: SiteTime;
}

/** The air that the intake draws in, as the survey has it. */
function intakeAir(plan: Plan): { intakeTemperatureC: number; intakeRelativeHumidity: number } {
  const { temperatureC, relativeHumidity } = placeOf(plan.survey, plan.survey.intakePlaceId);
  return { intakeTemperatureC: temperatureC, intakeRelativeHumidity: relativeHumidity };
}

/**
 * A new entry of the log, in the air of the survey, without anything that is not said of it.
 * @example newEntry(plan, { id: 'e', at: now }, { kind: 'observation', stageId: 'fine', who: 'A' }).intakeTemperatureC // 24
 */
export function newEntry(
  plan: Plan,
  { id, at }: Fresh,
  said: Partial<LogEntry> & { kind: LogEntry['kind']; stageId: string; who: string },
): LogEntry {
  return {
    id,
    task: null,
    measuredAt: at,
    result: null,
    chargeId: null,
    what: '',
    readings: [],
    instrument: 'hand',
    ...intakeAir(plan),
    until: null,
    symptom: null,
    finding: null,
    amends: null,
    photoId: null,
    ...said,
  };
}

/**
 * A new entry of a drain, in the air of the survey; the hours run since the drain before follow the working pattern.
 * @example newDrain(plan, { id: 'd', at: now }, { stageId: 'receiver', sinceAt: '2026-11-24T09:00', amountM3: 0.0002, appearance: 'clear', who: 'A' }).loadedHours // null
 */
export function newDrain(
  plan: Plan,
  { id, at }: Fresh,
  said: Pick<DrainEntry, 'stageId' | 'sinceAt' | 'amountM3' | 'appearance' | 'who'>,
): DrainEntry {
  return { id, drainedAt: at, note: '', loadedHours: null, ...intakeAir(plan), ...said };
}
