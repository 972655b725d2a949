import { walk } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { hoursPerWeek } from '../plan/working-time';
import { HOUR_S, WATER_KG_PER_M3 } from '../quantity/constants';
import { SEASONS } from './case';
import { practiceLine, type Shape } from './lines';
import { type Maker, stageOf } from './maker';

/** Loaded hours of a working week. */
const loadedHours = ({ survey: { working } }: Plan): number => hoursPerWeek(working) * working.loadedShare;
const WORKING_DAYS = 5;

/** Water that a stage catches in a working day, m³. */
function caughtADay(plan: Plan, stageId: string): number {
  const kgPerS = walk(plan).at(stageId)?.caughtKgPerS ?? 0;
  return (kgPerS * HOUR_S * loadedHours(plan)) / WORKING_DAYS / WATER_KG_PER_M3;
}

/** Cases of the water of a day. */
export const askEstimate: Maker = (draws, season) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'plant']), season);
  const section = walk(plan);
  const separator = stageOf(plan, 'separator');
  const compressor = stageOf(plan, 'compressor') as Extract<Stage, { kind: 'compressor' }>;
  return {
    title: `Water of a day, ${SEASONS[season].says}`,
    plan,
    says: `${plan.survey.shop}. The owner asks what bucket to put below the separator.`,
    asks: 'How much water does its drain give in a working day?',
    asked: { form: 'number', quantity: 'drained', truth: caughtADay(plan, separator.id) },
    because: [
      { says: 'The compressor gives', si: compressor.parameters.freeAirDeliveryM3PerS, quantity: 'volumeFlow' },
      { says: 'Its loaded hours in a day', si: (loadedHours(plan) / WORKING_DAYS) * HOUR_S, quantity: 'time' },
      { says: 'Water that comes in, loaded', si: section.ledger.waterInKgPerS, quantity: 'waterFlow' },
      {
        says: 'Air behind the cooler',
        si: section.at(stageOf(plan, 'aftercooler').id)?.temperatureC ?? 0,
        quantity: 'temperature',
      },
      { says: 'Caught here, loaded', si: section.at(separator.id)?.caughtKgPerS ?? 0, quantity: 'waterFlow' },
    ],
  };
};
