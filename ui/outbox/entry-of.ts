import type { LogEntry } from '@/core/log/log-entry';
import type { Plan } from '@/core/plan/plan';
import { placeOf } from '@/core/plan/survey';
import { nowOnTheWall } from '@/ui/units/when';

/** A fresh entry, in the air of the survey. */
export function entryOf(plan: Plan, change: Partial<LogEntry> & Pick<LogEntry, 'kind' | 'stageId' | 'who'>): LogEntry {
  const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
  return {
    id: crypto.randomUUID(),
    task: null,
    measuredAt: nowOnTheWall(),
    result: null,
    chargeId: null,
    what: '',
    readings: [],
    instrument: 'hand',
    intakeTemperatureC: intake.temperatureC,
    intakeRelativeHumidity: intake.relativeHumidity,
    until: null,
    symptom: null,
    amends: null,
    photoId: null,
    ...change,
  };
}
