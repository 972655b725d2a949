import type { Chain } from './chains';
import type { Joint } from './joints';

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

/**
 * One chain for each joint, so that the whole line has the fewest parts, then the fewest kinds of part, then the least
 * price: one tape, one flare, one coupler, and few spares.
 * @param joints those of a line; one without chains keeps none
 * @returns the chain of each joint by its id; certain for a shop, the best found for a plant
 * @source branch and bound over the best chains of each joint, those with most in common first
 * @example fewestKinds(jointsOf(plan, section)).size // 15
 */
export function fewestKinds(joints: readonly Joint[]): ReadonlyMap<string, Chain> {
  const open = joints
    .flatMap(({ id, chains }) => (chains.ok ? [{ id, options: chains.best }] : []))
    .sort((a, b) => a.options.length - b.options.length);
  const leastParts = open.map(({ options }) => Math.min(...options.map((o) => o.parts.length)));
  const leastPrice = open.map(({ options }) => Math.min(...options.map((o) => o.price)));
  const after = (list: readonly number[], i: number): number => list.slice(i).reduce((a, b) => a + b, 0);
  let best = open.map(({ options }) => options[0] as Chain);
  let bestSum = sumOf(best);
  let tried = 0;
  const chosen: Chain[] = [];
  const choose = (i: number): void => {
    if (tried++ > MOST_TRIED) return;
    const [parts, kinds, price] = sumOf(chosen);
    const bound: Sum = [parts + after(leastParts, i), kinds, price + after(leastPrice, i)];
    if (!less(bound, bestSum)) return;
    const joint = open[i];
    if (!joint) {
      best = [...chosen];
      bestSum = [parts, kinds, price];
      return;
    }
    const known = new Set(chosen.flatMap((c) => c.parts.map((p) => p.id)));
    const fresh = (c: Chain): number => c.parts.filter((p) => !known.has(p.id)).length;
    for (const option of joint.options.toSorted((a, b) => a.parts.length - b.parts.length || fresh(a) - fresh(b))) {
      chosen.push(option);
      choose(i + 1);
      chosen.pop();
    }
  };
  choose(0);
  return new Map(open.map(({ id }, i) => [id, best[i] as Chain]));
}
