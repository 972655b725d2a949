import { priceOfStage } from '../plan/money';
import type { Stage } from '../plan/plan';
import type { Asked } from './base-line';
import { type Bound, leastOf, plus } from './bound';
import { withDrain } from './build-line';
import type { FastWalk } from './fast-walk';
import { buysCompressor, ENOUGH_K } from './judge-proposal';
import type { LeastCost } from './least-cost';
import { choicesOf } from './order';
import { airUse, type Part } from './part';
import { drainOf, type Position } from './positions';

/** Mains that send on the same air: they differ in their drains only. */
export interface Alike {
  readonly stages: readonly Stage[];
  readonly alike: readonly Part[];
  /** What one of them costs at least. */
  readonly least: Bound;
}

/** What is worked out once for a question. */
interface Given {
  readonly asked: Asked;
  readonly positions: readonly Position[];
  readonly fast: FastWalk;
  readonly cost: LeastCost;
  /** What any line costs at least. */
  readonly least: Bound;
}

/** Everything that all jobs share, put together in all ways that its order and its air allow. */
function mainsOf({ asked, positions, fast, cost, least }: Given, places: readonly number[]): Part[] {
  const { type } = asked.question.compressor;
  const own = places.map((p) => positions[p] as Position);
  const before = own.filter(({ where }) => where === 'before-tank').length;
  const [, , receiver, valve] = asked.base.stages as [Stage, Stage, Stage, Stage];
  const start = fast.start();
  const parts: Part[] = [];
  for (const { choices, options, stages } of choicesOf(own, type !== 'oilfree')) {
    const first = options.slice(0, before).reduce((n, o) => n + o.stages.length, 0);
    const drains = options.find((o) => o.drains)?.drains ?? 'by hand';
    const drained = (s: Stage): Stage => withDrain(s, drainOf(s.kind, drains, asked.question.hasPower === 'yes'));
    const tank = drained(receiver);
    const walked = fast.main(start, [...stages.slice(0, first).map(drained), tank, valve, ...stages.slice(first)]);
    if (!walked) continue;
    const price = (s: Stage): number => priceOfStage(asked.question.money, s).price.first;
    const bound = cost.withAir(cost.of([...stages.map(drained), tank]), walked);
    parts.push({
      ...plus(bound, least),
      purchase: bound.purchase + least.purchase + (buysCompressor(asked) ? 0 : price(tank) - price(receiver)),
      choices,
      walked,
      marginK: ENOUGH_K,
      isServed: true,
      ...airUse([walked]),
    });
  }
  return parts;
}

/** The mains by the air that they send on, those with the cheapest first. */
export function mainsByAir(given: Given, places: readonly number[]): Alike[] {
  const byAir = new Map<string, Alike>();
  for (const main of mainsOf(given, places)) {
    const stages = places.flatMap(
      (p, i) => (given.positions[p] as Position).options[main.choices[i] as number]?.stages ?? [],
    );
    const known = byAir.get(airOf(stages));
    byAir.set(airOf(stages), {
      stages,
      alike: [...(known?.alike ?? []), main],
      least: known ? leastOf([known.least, main]) : main,
    });
  }
  return [...byAir.values()].sort((a, b) => a.least.purchase - b.least.purchase);
}

/** Mains that differ in their drains only send on the same air. */
const airOf = (stages: readonly Stage[]): string =>
  JSON.stringify(stages.map(({ id, parameters }) => [id, parameters]));
