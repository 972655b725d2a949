import { walk } from '../line/walk';
import { insertStage, newStage, setParameters } from '../plan/edit';
import { surroundingsOf } from '../plan/surroundings';
import { WATER_KG_PER_M3 } from '../quantity/constants';
import { purgeShare } from '../sizing/size-towers';
import { SEASONS } from './case';
import { practiceLine, type Shape } from './lines';
import { type Maker, outletOf, servingOf, stageOf } from './maker';

/** So full a sump may be when its drain opens (trade handbook: half). */
const HALF = 0.5;

const askTimer: Maker = (draws, season) => {
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
    given: [{ says: 'Its sump holds', si: sumpM3, quantity: 'drained' }],
    asked: {
      form: 'number',
      quantity: 'duration',
      truth: (HALF * sumpM3 * WATER_KG_PER_M3) / Math.max(kgPerS, 1e-9),
      never: 'more',
    },
    because: [
      { says: 'It catches, loaded', si: kgPerS, quantity: 'waterFlow' },
      { says: 'In August it catches more than in spring: a setting of the spring drowns then.' },
    ],
  };
};

const askPurge: Maker = (draws, season) => {
  const made = practiceLine(draws, draws.pick<Shape>(['dry', 'plant']), season);
  const at = made.stages.findIndex((s) => s.kind === 'regulator');
  const plan = insertStage(made, newStage('twin-tower', 'tower'), at);
  const linePa = walk(plan).at('tower')?.pressurePa ?? 0;
  const { atmosphericPa } = surroundingsOf(plan);
  return {
    title: 'A purge that was turned',
    plan,
    says: `${plan.survey.shop}. A heatless twin tower was serviced. “The valve of the purge was shut when we began. How far do we open it?”`,
    asks: 'At least what share of the air that enters must it blow away, 15 % over the theory?',
    given: [{ says: 'Its gauge shows', si: linePa, quantity: 'pressure' }],
    asked: { form: 'number', quantity: 'share', truth: purgeShare(linePa, atmosphericPa), never: 'less' },
    because: [
      {
        says: 'By theory, the air of the room over that of the line',
        si: purgeShare(linePa, atmosphericPa, 1),
        quantity: 'share',
      },
      { says: 'With less the beads stay wet; with more the compressor works for the silencer.' },
    ],
  };
};

const askRegulator: Maker = (draws, season) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'dry']), season);
  const [tool, regulator] = [outletOf(plan), stageOf(plan, 'regulator')];
  const section = walk(plan);
  const at = (id: string): number => section.at(id)?.pressurePa ?? 0;
  const loss = at(regulator.id) - at(tool.id);
  const { leastPressurePa } = tool.parameters as { leastPressurePa: number };
  return {
    title: 'What the regulator is set to',
    plan,
    says: `${plan.survey.shop}. “The tool wants its pressure at the tool, not at the wall.”`,
    asks: 'At least how much more than the tool needs must the regulator show while the tool runs?',
    given: servingOf(plan),
    asked: { form: 'number', quantity: 'pressureDifference', truth: loss, never: 'less' },
    because: [
      { says: 'The tool needs', si: leastPressurePa, quantity: 'pressure' },
      { says: 'Lost from the regulator to the tool, in flow', si: loss, quantity: 'pressureDifference' },
      { says: 'Set by the gauge at rest, the tool starves by just that much.' },
    ],
  };
};

const TOPICS: readonly Maker[] = [askRegulator, askTimer, askPurge];

/** Cases of a setting: a timer, a purge, a regulator. */
export const askSetting: Maker = (draws, season, level, seed) =>
  (TOPICS[seed % TOPICS.length] as Maker)(draws, season, level, seed);
