import { judgeLine } from '../advice/judge-line';
import { walk } from '../line/walk';
import { setParameters } from '../plan/edit';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { type Because, SEASONS } from './case';
import { practiceLine, type Shape } from './lines';
import { type Maker, outletOf, stageOf } from './maker';

/** Stages of an order case, as they should stand. */
const ORDER = ['aftercooler', 'separator', 'receiver', 'refrigerated-dryer'] as const;

/**
 * The line with its stages in another order.
 * @param ids in the order in which the air passes them
 * @param cards all that may stand there: those that are not among the ids are left out
 * @example inOrder(plan, ['receiver'], ['receiver']).stages.length === plan.stages.length // true
 */
export function inOrder(plan: Plan, ids: readonly string[], cards: readonly string[] = ids): Plan {
  const inTurn = ids.flatMap((id) => plan.stages.filter((s) => s.id === id));
  let next = 0;
  const stages = plan.stages.flatMap((s) => (cards.includes(s.id) ? (inTurn[next++] ?? []) : [s]));
  return { ...plan, stages: stages as Stage[] };
}

/** Of a line that no air comes through. */
const NO_AIR = 1000;

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
  return faults + (at ? Math.max(0, at.pressureDewPointC + 40) / 20 + (at.liquidKgPerS > 0 ? 10 : 0) : NO_AIR);
}

/** Orders nearer than this are as good as one another: two kelvin of dew point. */
export const AS_GOOD = 0.1;

const ordersOf = (ids: readonly string[]): string[][] =>
  ids.length < 2 ? [[...ids]] : ids.flatMap((id, i) => ordersOf(ids.toSpliced(i, 1)).map((rest) => [id, ...rest]));
const choicesOf = (ids: readonly string[]): string[][] => {
  const [first, ...rest] = ids;
  return first === undefined ? [[]] : choicesOf(rest).flatMap((some) => [some, [first, ...some]]);
};

/** A choice as it is met: what the job needs, and what may be spent. */
const JOBS = [
  { says: 'The tools bear damp air, but no drops.', needs: { need: 'no-liquid' } },
  { says: 'The job wants a pressure dew point of {7 °C}.', needs: { need: 'dew-point', dewPointC: 7 } },
] as const;

/** Cases of stages in their order; from the second level on with a budget that is not enough for all of them. */
export const askOrder: Maker = (draws, season, level) => {
  const made = practiceLine(draws, draws.pick<Shape>(['dry', 'plant']), season);
  const cards = made.stages.filter((s) => (ORDER as readonly string[]).includes(s.kind));
  const usual = cards.map((s) => s.id);
  const shuffled = cards.toSorted((a, b) => ORDER.indexOf(b.kind as never) - ORDER.indexOf(a.kind as never));
  const turn = Math.floor(draws.between(0, shuffled.length - 1));
  const inTurn = [...shuffled.slice(turn), ...shuffled.slice(0, turn)];
  const asks = 'Put them in the order in which the air passes them.';
  if (level === 0) {
    const best = bestOf(made, usual, [usual]);
    return {
      title: 'From the compressor to the tool',
      plan: made,
      says: `${made.survey.shop}. The crate is unpacked; what comes first behind the compressor?`,
      asks,
      asked: { form: 'order', cards: inTurn.map(({ id, name }) => ({ id, name })), best },
      because: [
        {
          says: `The air passes ${cards.map((c) => c.name.toLowerCase()).join(', ')}: cold first, then catch, then store, then dry.`,
        },
        dewPointAtTool(made),
      ],
    };
  }
  const job = draws.pick(JOBS);
  const plan = setParameters(made, outletOf(made).id, job.needs);
  // The receiver is there already: a compressor of this kind comes with one.
  const { id: receiverId } = stageOf(plan, 'receiver');
  const priced = inTurn.map((s) => ({
    ...{ id: s.id, name: s.name },
    ...(s.id !== receiverId && { price: Math.round(priceOfStage(plan.money, s).price.first) }),
  }));
  const price = (ids: readonly string[]): number =>
    priced.reduce((sum, c) => sum + (ids.includes(c.id) ? (c.price ?? 0) : 0), 0);
  // One of the others has to go.
  const budget = price(usual) - (draws.pick(priced.filter((c) => c.price !== undefined)).price ?? 0);
  const affordable = choicesOf(usual).filter((ids) => ids.includes(receiverId) && price(ids) <= budget);
  const best = bestOf(plan, usual, affordable);
  const names = (ids: readonly string[]): string =>
    ids.map((id) => cards.find((c) => c.id === id)?.name.toLowerCase()).join(', ');
  return {
    title: 'Not enough for all of it',
    plan,
    says: `${plan.survey.shop}, ${SEASONS[season].says}. ${job.says} The receiver is there already; there are ${budget} to spend on the rest.`,
    asks: `${asks} Leave out what there is no money for.`,
    asked: { form: 'order', cards: priced, budget, best },
    because: [
      { says: `For ${price(best)} of ${budget}: ${names(best) || 'nothing'}.` },
      dewPointAtTool(inOrder(plan, best, usual)),
    ],
  };
};

/** The best order of the best choice; the usual order where another is as good. */
function bestOf(plan: Plan, usual: readonly string[], choices: readonly (readonly string[])[]): string[] {
  const bad = (ids: readonly string[]): number => badness(inOrder(plan, ids, usual));
  const ranked = choices
    .flatMap(ordersOf)
    .map((ids) => ({ ids, bad: bad(ids) }))
    .sort((a, b) => a.bad - b.bad);
  const least = ranked[0]?.bad ?? 0;
  const inUsualOrder = ranked.filter(({ ids }) =>
    usual.filter((id) => ids.includes(id)).every((id, i) => id === ids[i]),
  );
  return (inUsualOrder.find((r) => r.bad <= least + AS_GOOD) ?? ranked[0])?.ids ?? [...usual];
}

function dewPointAtTool(plan: Plan): Because {
  const at = walk(plan).at(outletOf(plan).id);
  return { says: 'Its dew point at the tool then', si: at?.pressureDewPointC ?? 0, quantity: 'temperature' };
}
