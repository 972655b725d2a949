import { walk } from '../line/walk';
import { setParameters } from '../plan/edit';
import { WATER_KG_PER_M3 } from '../quantity/constants';
import { SEASONS } from './case';
import { practiceLine, type Shape } from './lines';
import { type Maker, stageOf } from './maker';

/** So full a sump may be when its drain opens (trade handbook: half). */
const HALF = 0.5;

/** Cases of a timer drain. */
export const askSetting: Maker = (draws, season) => {
  const made = practiceLine(draws, draws.pick<Shape>(['shop', 'plant']), season);
  const separator = stageOf(made, 'separator');
  const plan = setParameters(made, separator.id, { drain: 'timer' });
  const { sumpM3 } = stageOf(plan, 'separator').parameters as { sumpM3: number };
  const kgPerS = walk(plan).at(separator.id)?.caughtKgPerS ?? 0;
  return {
    title: `A timer drain, ${SEASONS[season].says}`,
    plan,
    says: `${plan.survey.shop}. Somebody turned the timer of the separator’s drain, and nobody knows to what.`,
    asks: 'At most how long may it wait between two openings, loaded, so that its sump is never more than half full?',
    asked: {
      form: 'number',
      quantity: 'duration',
      truth: (HALF * sumpM3 * WATER_KG_PER_M3) / Math.max(kgPerS, 1e-9),
      never: 'more',
    },
    because: [
      { says: 'Its sump holds', si: sumpM3, quantity: 'drained' },
      { says: 'It catches, loaded', si: kgPerS, quantity: 'waterFlow' },
      { says: 'In August it catches more than in spring: a setting of the spring drowns then.' },
    ],
  };
};
