import { CHILLED, COOLERS, is, TOWERS } from '../equipment/groups';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';

/** What stages do, in the order of flow, and what a stage that does it is; what is not here goes without saying. */
const WORDS: readonly (readonly [word: string, does: (s: Stage) => boolean, noun?: string])[] = [
  ['cool', (s) => is(COOLERS, s.kind) && s.kind !== 'cooling-run', 'cooler'],
  ['separate', (s) => s.kind === 'separator', 'separator'],
  ['cooling run', (s) => s.kind === 'cooling-run'],
  ['chill', (s) => is(CHILLED, s.kind), 'refrigerated dryer'],
  ['filter', (s) => s.kind === 'coalescing-filter', 'filters'],
  ['beads', (s) => s.kind === 'bead-cartridge'],
  ['membrane', (s) => s.kind === 'membrane'],
  ['twin tower', (s) => is(TOWERS, s.kind)],
  ['carbon', (s) => s.kind === 'carbon-filter'],
];

const wordsOf = (stages: readonly Stage[]): string[] =>
  WORDS.filter(([, does]) => stages.some(does)).map(([word]) => word);

/**
 * A line in words: what is done to its air, and what is done at one job alone.
 * @example nameLine(plan) // 'Cool, separate, chill, filter; beads at Spray'
 */
export function nameLine(plan: Plan): string {
  // Downstream of the last take-off the main serves one job alone.
  const taken = plan.stages.findLastIndex((s) => plan.branches.some((b) => b.from === s.id));
  const shared = taken < 0 ? plan.stages.length : taken + 1;
  const main = wordsOf(plan.stages.slice(0, shared));
  const runs = [{ name: plan.stages.at(-1)?.name, stages: plan.stages.slice(shared) }, ...plan.branches];
  const own = runs.flatMap(({ name, stages }) => {
    const words = wordsOf(stages);
    return words.length > 0 ? [`${words.join(', ')} at ${name}`] : [];
  });
  const automatic = plan.stages.some(
    (s) => s.kind === 'receiver' && s.parameters.drain !== 'manual' && s.parameters.drain !== 'none',
  );
  const all = [main.join(', ') || 'Tank and hose alone', ...own].join('; ');
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}${automatic ? ', automatic tank drain' : ''}`;
}

/** What the stages of a line cost that do a thing, and how many they are. */
function sizeOf(plan: Plan, does: (s: Stage) => boolean): { readonly price: number; readonly count: number } {
  const stages = allStages(plan).filter(does);
  return { price: stages.reduce((sum, s) => sum + priceOfStage(plan.money, s).price.first, 0), count: stages.length };
}

/**
 * Names of lines, each of its own: where they are the same, it is said what is larger than in the smallest.
 * @param names as they are, in the order of the lines
 * @example toldApart(['Chill, filter', 'Chill'], [plan, plan]) // ["Chill, filter","Chill"]
 */
export function toldApart(names: readonly string[], plans: readonly Plan[]): string[] {
  return plans.map((plan, i) => {
    const alike = plans.filter((_, k) => names[k] === names[i]);
    const larger = WORDS.flatMap(([word, does, noun]) => {
      const [own, sizes] = [sizeOf(plan, does), alike.map((p) => sizeOf(p, does))];
      const [fewest, least] = [Math.min(...sizes.map((s) => s.count)), Math.min(...sizes.map((s) => s.price))];
      if (own.price <= least) return [];
      const between = sizes.some((s) => s.price > least && s.price < own.price);
      return [`${own.count > fewest ? 'more' : between ? 'still larger' : 'larger'} ${noun ?? word}`];
    });
    return [names[i], ...larger].join(', ');
  });
}
