import type { Plan } from '../plan/plan';
import { stageById } from '../plan/runs';
import { placeOf, surveyAtmosphericPa } from '../plan/survey';
import { input, type Reason, type ReasonInput } from '../quantity/derivation';
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

interface PlanReason extends Reason {
  readonly title: string;
  readonly quantity: QuantityName;
  readonly pick: ReadFigure;
}

const barometer = ({ survey }: Plan): ReasonInput =>
  input('barometer', 'barometer', surveyAtmosphericPa(survey), survey.atmosphereFrom);

function intakeAir(plan: Plan): ReasonInput[] {
  const place = placeOf(plan.survey, plan.survey.intakePlaceId);
  return [
    input('temperature', 'temperature', place.temperatureC, place.name),
    input('relative humidity', 'share', place.relativeHumidity, place.name),
    barometer(plan),
  ];
}

const waterLeaves = ({ ledger }: Section): Pick<PlanReason, 'quantity' | 'inputs' | 'source'> => ({
  quantity: 'waterFlow',
  inputs: [
    input('water drawn in', 'waterFlow', ledger.waterInKgPerS, 'intake'),
    input('caught in all', 'waterFlow', ledger.caughtKgPerS, 'drains'),
  ],
  source: 'water balance',
});

const WHY: Readonly<Record<PlanFigure, (plan: Plan, section: Section) => PlanReason>> = {
  atmosphere: ({ survey }) => ({
    title: 'Air pressure at this place',
    quantity: 'barometer',
    pick: (_s, p) => surveyAtmosphericPa(p.survey),
    formula: survey.atmosphereFrom === 'altitude' ? '101 325 Pa · (1 − 2.25577e−5 · z)^5.2559' : 'as read',
    inputs: [input('altitude', 'altitude', survey.altitudeM, 'Survey')],
    source: 'ICAO standard atmosphere (ASHRAE)',
  }),
  dryAir: (plan) => {
    const compressor = plan.stages[1] as Extract<Plan['stages'][number], { kind: 'compressor' }>;
    return {
      title: 'Dry air while loaded',
      quantity: 'massFlow',
      pick: (s) => s.dryAirKgPerS,
      formula: 'free air delivery · (barometer − filter loss) · (1 − x) / (R·T), x = RH·f·e/p',
      inputs: [
        input('free air delivery', 'volumeFlow', compressor.parameters.freeAirDeliveryM3PerS, compressor.name),
        ...intakeAir(plan),
      ],
      source: 'ideal gas, R = 287.042 J/(kg·K)',
    };
  },
  waterIn: (plan, section) => ({
    title: 'Water drawn in while loaded',
    quantity: 'waterFlow',
    pick: (s) => s.ledger.waterInKgPerS,
    formula: '0.622 · x/(1−x) · dry air, x = RH·f·e(T)/p',
    inputs: [...intakeAir(plan), input('dry air', 'massFlow', section.dryAirKgPerS, 'compressor')],
    source: MOIST_AIR,
  }),
  waterPerDay: (plan, section) => ({
    title: 'Water drawn in per working day',
    quantity: 'drained',
    pick: (s, p) => waterInPerDayKg(s, p) / 1000,
    formula: 'water drawn in · hours a day · share of them loaded (1 g is 1 mL)',
    inputs: [
      input('water drawn in', 'waterFlow', section.ledger.waterInKgPerS, 'above'),
      input('loaded hours a day', 'time', loadedHoursPerDay(plan) * 3600, 'Survey'),
    ],
    source: 'multiplication',
  }),
  caughtInAll: (plan, section) => ({
    title: 'Caught in all',
    quantity: 'waterFlow',
    pick: (s) => s.ledger.caughtKgPerS,
    formula: 'sum over the drains',
    inputs: section.stations
      .filter((s) => s.caughtKgPerS > 0)
      .map((s) => input(stageById(plan, s.stageId)?.name ?? '', 'waterFlow', s.caughtKgPerS, 'its drain')),
    source: 'water balance',
  }),
  vapourOut: (_plan, section) => ({
    title: 'Vapour that leaves the line',
    pick: (s) => s.ledger.vapourOutKgPerS,
    formula: 'vapour downstream of the last stage',
    ...waterLeaves(section),
  }),
  dropsOut: (_plan, section) => ({
    title: 'Drops that leave the line',
    pick: (s) => s.ledger.liquidOutKgPerS,
    formula: 'drops downstream of the last stage',
    ...waterLeaves(section),
  }),
};

/** How a figure of the plan comes about, and how to read it from a walked section. */
export const planReason = (plan: Plan, section: Section, name: PlanFigure): PlanReason => WHY[name](plan, section);
