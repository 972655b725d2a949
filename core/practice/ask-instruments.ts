import type { Stage } from '../plan/plan';
import { practiceLine, type Shape } from './lines';
import { type Maker, stageOf } from './maker';

/** A gauge is off by so much, Pa. */
const OFF_PA = [
  [6e4, 9e4],
  [4e4, 6e4],
  [2.5e4, 4e4],
] as const;

/** Cases of gauges that disagree. */
export const askInstruments: Maker = (draws, season, level) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['shop', 'dry']), season);
  const at = ['the tank', 'the filter bowl', 'the end of the hose'] as const;
  const compressor = stageOf(plan, 'compressor') as Extract<Stage, { kind: 'compressor' }>;
  const restPa = draws.between(compressor.parameters.cutInPa, compressor.parameters.cutOutPa);
  const wrong = Math.floor(draws.between(0, at.length));
  const [least, most] = OFF_PA[level];
  const off = draws.between(least, most) * draws.pick([-1, 1]);
  const bar = (pa: number): string => `{${((pa - 101_325) / 1e5).toFixed(1)} bar}`;
  const read = at.map((place, i) => `${place} ${bar(restPa + (i === wrong ? off : draws.between(-5e3, 5e3)))}`);
  return {
    title: 'Three gauges at rest',
    plan,
    says: `${plan.survey.shop}. Everything is at rest, all valves are open, the regulator is wound right up: ${read.join(', ')}.`,
    asks: 'Which one do you not believe?',
    asked: { form: 'choice', options: [...at.map((p) => `That at ${p}`), 'The line: there is a loss'], right: wrong },
    because: [
      { says: 'Nothing flows, so nothing is lost: all three must read the same.' },
      { says: `That at ${at[wrong]} is off by`, si: Math.abs(off), quantity: 'pressureDifference' },
      { says: 'A loss shows in flow only. Two that agree outvote one; a good gauge decides.' },
    ],
  };
};
