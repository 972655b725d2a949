import { type Chain, chainsBetween } from './chains';
import type { Joint } from './joints';
import { PARTS } from './parts';

/** What all joints of a line come to: fewer parts first, then fewer kinds of them, then the price. */
export type Sum = readonly [parts: number, kinds: number, price: number];

/** Arrangements looked at before the best so far is taken: a shop is exact, a plant bounded. */
const MOST_TRIED = 100_000;

const less = (a: Sum, b: Sum): boolean => {
  const i = a.findIndex((x, at) => Math.abs(x - (b[at] as number)) > 1e-9);
  return i >= 0 && (a[i] as number) < (b[i] as number);
};

/**
 * Parts, kinds of part and price of a choice of chains.
 * @example sumOf([]) // [0,0,0]
 */
export function sumOf(chains: readonly Chain[]): Sum {
  const parts = chains.flatMap((c) => c.parts);
  return [parts.length, new Set(parts.map((p) => p.id)).size, chains.reduce((sum, c) => sum + c.price, 0)];
}

/** Joints of the same ends and limits: what is best for one is best for all of them. */
interface Group {
  readonly ids: readonly string[];
  readonly options: readonly Chain[];
}

function groupsOf(joints: readonly Joint[]): Group[] {
  const groups = new Map<string, { ids: string[]; options: readonly Chain[] }>();
  for (const { id, sides, ...limits } of joints) {
    const chains = chainsBetween(sides[0].end, sides[1].end, PARTS, limits, 'shortest');
    if (!chains.ok) continue;
    const key = chains.best.map((c) => c.parts.map((p) => p.id).join('+')).join(' | ');
    const group = groups.get(key) ?? { ids: [], options: chains.best };
    group.ids.push(id);
    groups.set(key, group);
  }
  return [...groups.values()];
}

/** Of options that share the same parts with other groups, the one with the fewest kinds of its own, then the cheapest. */
function withoutDoubles(groups: readonly Group[]): Group[] {
  const usedBy = new Map<string, number>();
  for (const { options } of groups)
    for (const id of new Set(options.flatMap((c) => c.parts.map((p) => p.id))))
      usedBy.set(id, (usedBy.get(id) ?? 0) + 1);
  return groups.map(({ ids, options }) => {
    const best = new Map<string, { chain: Chain; own: number }>();
    for (const chain of options) {
      const kinds = [...new Set(chain.parts.map((p) => p.id))];
      const shared = kinds.filter((id) => (usedBy.get(id) ?? 0) > 1).sort();
      const own = kinds.length - shared.length;
      const key = shared.join('+');
      const there = best.get(key);
      if (!there || own < there.own || (own === there.own && chain.price < there.chain.price))
        best.set(key, { chain, own });
    }
    return { ids, options: [...best.values()].map((b) => b.chain) };
  });
}

/**
 * One chain for each joint, so that the whole line has the fewest parts, then the fewest kinds of part, then the least
 * price: one tape, one flare, one coupler, and few spares.
 * @param joints those of a line; one without chains keeps none
 * @returns the chain of each joint by its id; certain for a shop, the best found for a plant
 * @source branch and bound over all shortest chains of each joint, those with most in common first
 * @example fewestKinds(jointsOf(plan, section)).size // 15
 */
export function fewestKinds(joints: readonly Joint[]): ReadonlyMap<string, Chain> {
  const open = withoutDoubles(groupsOf(joints)).sort((a, b) => a.options.length - b.options.length);
  const least = open.map(({ ids, options }) => ids.length * Math.min(...options.map((o) => o.price)));
  const leastAfter = least.map((_, i) => least.slice(i).reduce((a, b) => a + b, 0));
  let best: readonly Chain[] = [];
  let bestSum: Sum = [Infinity, Infinity, Infinity];
  let tried = 0;
  const chosen: Chain[] = [];
  const choose = (i: number, kinds: ReadonlySet<string>, price: number): void => {
    if (tried++ > MOST_TRIED) return;
    if (!less([0, kinds.size, price + (leastAfter[i] ?? 0)], bestSum)) return;
    const group = open[i];
    if (!group) {
      best = [...chosen];
      bestSum = [0, kinds.size, price];
      return;
    }
    const next = group.options.map((option) => ({
      option,
      with: new Set([...kinds, ...option.parts.map((p) => p.id)]),
    }));
    for (const n of next.sort((a, b) => a.with.size - b.with.size || a.option.price - b.option.price)) {
      chosen.push(n.option);
      choose(i + 1, n.with, price + group.ids.length * n.option.price);
      chosen.pop();
    }
  };
  choose(0, new Set(), 0);
  return new Map(open.flatMap(({ ids }, i) => ids.map((id) => [id, best[i] as Chain] as const)));
}
