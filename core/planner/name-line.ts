import { CHILLED, COOLERS, is, TOWERS } from '../equipment/groups';
import type { Plan, Stage } from '../plan/plan';

/** What stages do, in the order of flow; what is not here goes without saying. */
const WORDS: readonly (readonly [word: string, does: (s: Stage) => boolean])[] = [
  ['cool', (s) => is(COOLERS, s.kind)],
  ['separate', (s) => s.kind === 'separator'],
  ['chill', (s) => is(CHILLED, s.kind)],
  ['filter', (s) => s.kind === 'coalescing-filter'],
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
