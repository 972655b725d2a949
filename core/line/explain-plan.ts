import type { Plan } from '../plan/plan';
import { stageById } from '../plan/runs';
import { placeOf, surveyAtmosphericPa } from '../plan/survey';
import { input, type Reason } from '../quantity/derivation';
import type { QuantityName } from '../quantity/units';
import { MOIST_AIR } from './explain-moisture';
import type { ReadFigure } from './propagate';
import type { Section } from './section';
import { loadedHoursPerDay, waterInPerDayKg } from './working-day';

/** The computed figures of a whole plan that a person may question. */
export const PLAN_FIGURES = [
  'waterIn',
  'waterPerDay',
  'dryAir',
  'atmosphere',
  'caughtInAll',
  'vapourOut',
  'dropsOut',
] as const;
export type PlanFigure = (typeof PLAN_FIGURES)[number];

/** How a figure of the plan comes about, and how to read it from a walked section. */
export function planReason(
  plan: Plan,
  section: Section,
  name: PlanFigure,
): Reason & { title: string; quantity: QuantityName; pick: ReadFigure } {
  const { survey } = plan;
  const place = placeOf(survey, survey.intakePlaceId);
  const compressor = plan.stages[1] as Extract<Plan['stages'][number], { kind: 'compressor' }>;
  const atmosphere = input('barometer', 'barometer', surveyAtmosphericPa(survey), survey.atmosphereFrom);
  const air = [
    input('temperature', 'temperature', place.temperatureC, place.name),
    input('relative humidity', 'share', place.relativeHumidity, place.name),
    atmosphere,
  ];
  switch (name) {
    case 'atmosphere':
      return {
        title: 'Air pressure at this place',
        quantity: 'barometer',
        pick: (_s, p) => surveyAtmosphericPa(p.survey),
        formula: survey.atmosphereFrom === 'altitude' ? '101 325 Pa · (1 − 2.25577e−5 · z)^5.2559' : 'as read',
        inputs: [input('altitude', 'altitude', survey.altitudeM, 'Survey')],
        source: 'ICAO standard atmosphere (ASHRAE)',
      };
    case 'dryAir':
      return {
        title: 'Dry air while loaded',
        quantity: 'massFlow',
        pick: (s) => s.dryAirKgPerS,
        formula: 'free air delivery · (barometer − filter loss) · (1 − x) / (R·T), x = RH·f·e/p',
        inputs: [
          input('free air delivery', 'volumeFlow', compressor.parameters.freeAirDeliveryM3PerS, compressor.name),
          ...air,
        ],
        source: 'ideal gas, R = 287.042 J/(kg·K)',
      };
    case 'waterIn':
      return {
        title: 'Water drawn in while loaded',
        quantity: 'waterFlow',
        pick: (s) => s.ledger.waterInKgPerS,
        formula: '0.622 · x/(1−x) · dry air, x = RH·f·e(T)/p',
        inputs: [...air, input('dry air', 'massFlow', section.dryAirKgPerS, 'compressor')],
        source: MOIST_AIR,
      };
    case 'waterPerDay':
      return {
        title: 'Water drawn in per working day',
        quantity: 'drained',
        pick: (s, p) => waterInPerDayKg(s, p) / 1000,
        formula: 'water drawn in · hours a day · share of them loaded (1 g is 1 mL)',
        inputs: [
          input('water drawn in', 'waterFlow', section.ledger.waterInKgPerS, 'above'),
          input('loaded hours a day', 'time', loadedHoursPerDay(plan) * 3600, 'Survey'),
        ],
        source: 'multiplication',
      };
    case 'caughtInAll':
      return {
        title: 'Caught in all',
        quantity: 'waterFlow',
        pick: (s) => s.ledger.caughtKgPerS,
        formula: 'sum over the drains',
        inputs: section.stations
          .filter((s) => s.caughtKgPerS > 0)
          .map((s) => {
            const name = stageById(plan, s.stageId)?.name ?? '';
            return input(name, 'waterFlow', s.caughtKgPerS, 'its drain');
          }),
        source: 'water balance',
      };
    default: {
      const vapour = name === 'vapourOut';
      return {
        title: vapour ? 'Vapour that leaves the line' : 'Drops that leave the line',
        quantity: 'waterFlow',
        pick: (s) => (vapour ? s.ledger.vapourOutKgPerS : s.ledger.liquidOutKgPerS),
        formula: vapour ? 'vapour downstream of the last stage' : 'drops downstream of the last stage',
        inputs: [
          input('water drawn in', 'waterFlow', section.ledger.waterInKgPerS, 'intake'),
          input('caught in all', 'waterFlow', section.ledger.caughtKgPerS, 'drains'),
        ],
        source: 'water balance',
      };
    }
  }
}
