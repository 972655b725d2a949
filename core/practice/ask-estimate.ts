import { usableWater } from '../desiccant/isotherm';
import { walk } from '../line/walk';
import { isBeadPlace, mediumOf } from '../maintenance/charge-lives';
import { inletHumidity } from '../maintenance/charge-load';
import { insertStage, newStage, removeStage } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { hoursPerWeek } from '../plan/working-time';
import { HOUR_S, WATER_KG_PER_M3 } from '../quantity/constants';
import { SEASONS } from './case';
import { practiceLine, type Shape } from './lines';
import { type Maker, outletOf, servingOf, stageOf } from './maker';

/** Loaded hours of a working week. */
const loadedHours = ({ survey: { working } }: Plan): number => hoursPerWeek(working) * working.loadedShare;
const WORKING_DAYS = 5;

/** Water that a stage catches in a working day, m³. */
function caughtADay(plan: Plan, stageId: string): number {
  const kgPerS = walk(plan).at(stageId)?.caughtKgPerS ?? 0;
  return (kgPerS * HOUR_S * loadedHours(plan)) / WORKING_DAYS / WATER_KG_PER_M3;
}

const askWater: Maker = (draws, season) => {
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

const askBeads: Maker = (draws, season) => {
  const made = practiceLine(draws, draws.pick<Shape>(['shop', 'dry']), season);
  const at = made.stages.findIndex((s) => s.kind === 'regulator');
  const plan = insertStage(made, newStage('bead-cartridge', 'beads'), at);
  const place = plan.stages.find(isBeadPlace);
  if (!place) throw new RangeError('the line has no beads');
  const section = walk(plan);
  const humidity = inletHumidity(plan, section, place.id);
  const holdsKg = place.parameters.massKg * usableWater(mediumOf(place), humidity);
  const takesKgPerS = section.at(place.id)?.adsorbedKgPerS ?? 0;
  return {
    title: `A fresh charge, ${SEASONS[season].says}`,
    plan,
    says: `${plan.survey.shop}. A cartridge of beads was filled this morning. “When do I have to change them?”`,
    asks: 'For how many hours of loaded running do the beads last?',
    given: [{ says: 'Silica gel in it', si: place.parameters.massKg, quantity: 'mass' }],
    asked: { form: 'number', quantity: 'time', truth: holdsKg / Math.max(takesKgPerS, 1e-12) },
    because: [
      { says: 'Humidity of the air that comes, in the line', si: humidity, quantity: 'share' },
      { says: 'Water that they can hold of it', si: holdsKg / WATER_KG_PER_M3, quantity: 'drained' },
      { says: 'Water that they take up, loaded', si: takesKgPerS, quantity: 'waterFlow' },
    ],
  };
};

const askLoss: Maker = (draws, season) => {
  const made = practiceLine(draws, draws.pick<Shape>(['shop', 'dry']), season);
  const plan = removeStage(made, stageOf(made, 'regulator').id);
  const section = walk(plan);
  const [tank, tool] = [stageOf(plan, 'receiver'), outletOf(plan)];
  const at = (id: string): number => section.at(id)?.pressurePa ?? 0;
  const hose = plan.stages.at(-2) as Stage;
  const before = plan.stages.at(-3) as Stage;
  return {
    title: 'What is left at the tool',
    plan,
    says: `${plan.survey.shop}. No regulator is in the line, and the tool takes all that the compressor gives.`,
    asks: 'How much pressure is lost between the tank and the end of the hose, in flow?',
    given: servingOf(plan),
    asked: { form: 'number', quantity: 'pressureDifference', truth: at(tank.id) - at(tool.id) },
    because: [
      { says: 'In the tank', si: at(tank.id), quantity: 'pressure' },
      { says: 'Of it in the hose', si: at(before.id) - at(hose.id), quantity: 'pressureDifference' },
      { says: 'Left at the tool', si: at(tool.id), quantity: 'pressure' },
    ],
  };
};

const TOPICS: readonly Maker[] = [askLoss, askWater, askBeads];

/** Cases of an estimate: the water of a day, the life of a charge, the pressure that is lost. */
export const askEstimate: Maker = (draws, season, level, seed) =>
  (TOPICS[seed % TOPICS.length] as Maker)(draws, season, level, seed);
