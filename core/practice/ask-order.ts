import { judgeLine } from '../advice/judge-line';
import { walk } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { practiceLine, type Shape } from './lines';
import { type Maker, outletOf } from './maker';

/** Stages of an order case, as they should stand. */
const ORDER = ['aftercooler', 'separator', 'receiver', 'refrigerated-dryer'] as const;

/** The line with its stages in another order. */
export function inOrder(plan: Plan, ids: readonly string[]): Plan {
  const cards = ids.flatMap((id) => plan.stages.filter((s) => s.id === id));
  let next = 0;
  return { ...plan, stages: plan.stages.map((s) => (ids.includes(s.id) ? (cards[next++] as Stage) : s)) };
}

/**
 * How bad an order of a line is: what the advice objects to, then how damp the air comes out.
 * @example badness(plan) >= 0 // true
 */
export function badness(plan: Plan): number {
  const section = walk(plan);
  const { advice } = judgeLine(plan, section);
  const faults = advice.reduce(
    (sum, { rule }) => sum + (rule.stop ? 20 : { must: 10, should: 3, note: 0 }[rule.grade]),
    0,
  );
  const at = section.at(outletOf(plan).id);
  return faults + (at ? Math.max(0, at.pressureDewPointC + 40) / 20 + (at.liquidKgPerS > 0 ? 10 : 0) : 100);
}

/** Orders nearer than this are as good as one another: two kelvin of dew point. */
export const AS_GOOD = 0.1;

const ordersOf = (ids: readonly string[]): string[][] =>
  ids.length < 2 ? [[...ids]] : ids.flatMap((id, i) => ordersOf(ids.toSpliced(i, 1)).map((rest) => [id, ...rest]));

/** Cases of stages in their order. */
export const askOrder: Maker = (draws, season) => {
  const plan = practiceLine(draws, draws.pick<Shape>(['dry', 'plant']), season);
  const cards = plan.stages.filter((s) => (ORDER as readonly string[]).includes(s.kind));
  const usual = cards.map((s) => s.id);
  const ranked = ordersOf(usual)
    .map((ids) => ({ ids, bad: badness(inOrder(plan, ids)) }))
    .sort((a, b) => a.bad - b.bad);
  // Where another order is as good, the usual one counts as best.
  const best = badness(plan) <= (ranked[0]?.bad ?? 0) + AS_GOOD ? usual : (ranked[0]?.ids ?? usual);
  const shuffled = cards.toSorted((a, b) => ORDER.indexOf(b.kind as never) - ORDER.indexOf(a.kind as never));
  const turn = Math.floor(draws.between(0, shuffled.length - 1));
  const at = walk(plan).at(outletOf(plan).id);
  return {
    title: 'From the compressor to the tool',
    plan,
    says: `${plan.survey.shop}. The crate is unpacked; what comes first behind the compressor?`,
    asks: 'Put them in the order in which the air passes them.',
    asked: {
      form: 'order',
      cards: [...shuffled.slice(turn), ...shuffled.slice(0, turn)].map(({ id, name }) => ({ id, name })),
      best,
    },
    because: [
      {
        says: `The air passes ${cards.map((c) => c.name.toLowerCase()).join(', ')}: cold first, then catch, then store, then dry.`,
      },
      { says: 'Its dew point at the tool then', si: at?.pressureDewPointC ?? 0, quantity: 'temperature' },
    ],
  };
};
