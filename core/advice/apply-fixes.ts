import type { DayRemark } from '../day/judge-day';
import { DRYERS, is } from '../equipment/groups';
import { walk } from '../line/walk';
import { removeStage } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { allStages, runOfStage, stageById } from '../plan/runs';
import { type Advice, judgeLine, RULES } from './judge-line';

/** What came of a fix: the plan fixed, or why not. */
export type Fixed = { readonly plan: Plan } | { readonly refused: string };

const isGrave = (a: Advice): boolean => a.dismissed === undefined && a.rule.grade !== 'note';

/**
 * How much speaks against a plan, the gravest first: where the walk stops, dangers, musts, shoulds; last, how early the first of
 * their rules stands in the order of the rules.
 */
function against(plan: Plan): readonly number[] {
  const section = walk(plan);
  const standing = judgeLine(plan, section).advice.filter((a) => a.dismissed === undefined);
  const of = (is: (a: Advice) => boolean): number => standing.filter(is).length;
  return [
    section.problems.length,
    of((a) => a.rule.stop === true),
    of((a) => a.rule.grade === 'must' && !a.rule.stop),
    of((a) => a.rule.grade === 'should'),
    -Math.min(RULES.length, ...standing.filter(isGrave).map((a) => RULES.indexOf(a.rule))),
  ];
}

/** Below 0 where less, or less grave, speaks against the first. */
function compare(a: readonly number[], b: readonly number[]): number {
  const i = a.findIndex((n, k) => n !== b[k]);
  return i < 0 ? 0 : (a[i] as number) - (b[i] as number);
}

/**
 * Applies a fix as one edit to the line as it is now, whatever it was when the advice was read. A stage that stands in the
 * wrong place is moved rather than a second one put in, where that leaves no more against the line; none is taken out that
 * another rule asks for.
 * @param which of the fixes of the finding, from 0
 * @example applyFix(plan, 'O09 none', 0, newId).refused // 'The stage is no longer in the line. Nothing was changed.'
 */
export function applyFix(
  plan: Plan,
  key: string,
  which: number,
  newId: () => string,
  day: readonly DayRemark[] = [],
): Fixed {
  const [ruleId = '', ...ids] = key.split(' ');
  const rule = RULES.filter((r) => r.id === ruleId);
  const gone = ids.find((id) => !stageById(plan, id));
  if (gone) return { refused: 'The stage is no longer in the line. Nothing was changed.' };
  const speaks = (of: Plan): Advice | undefined => judgeLine(of, walk(of), rule, day).advice.find((a) => a.key === key);
  const fix = speaks(plan)?.finding.fixes?.[which];
  if (!fix) return { refused: 'The line has changed: this fix is no longer needed. Nothing was changed.' };
  const added = fix.edit(plan, newId);
  if (allStages(added).length < allStages(plan).length && !isNoWorse(against(added), against(plan)))
    return { refused: 'Another stage or rule needs that stage. Nothing was changed.' };
  const moved = fix.moves?.(plan, newId) ?? [];
  if (moved.length === 0) return { plan: added };
  const most = against(added);
  return { plan: moved.find((m) => isNoWorse(against(m), most) && !speaks(m)) ?? added };
}

/** Whether no more speaks against the first; of as much, whatever rule it is. */
const isNoWorse = (a: readonly number[], b: readonly number[]): boolean => compare(a.slice(0, -1), b.slice(0, -1)) <= 0;

/** Whether another coalescer of its grade guards the same dryer or carbon in its run. */
function hasTwin(plan: Plan, stage: Stage): boolean {
  const run = runOfStage(plan, stage.id)?.stages ?? [];
  const place = (s: Stage): string | undefined =>
    s.kind === 'coalescing-filter'
      ? `${s.parameters.grade} ${run.slice(run.indexOf(s)).find((d) => is([...DRYERS, 'carbon-filter'], d.kind))?.id}`
      : undefined;
  return place(stage) !== undefined && run.some((s) => s.id !== stage.id && place(s) === place(stage));
}

/**
 * Applies fixes one after another, each to the line as the ones before have left it, until none leaves less against the
 * line than before; then takes out what has nothing to do any more. What only somebody who looked can say is left.
 * @returns the fixed plan, and what remains that no fix here solves
 * @example applyFixes(plan, newId).left.length // 0
 */
export function applyFixes(plan: Plan, newId: () => string): { plan: Plan; left: readonly Advice[] } {
  let now = plan;
  let most = against(now);
  /** The first plan against which less stands, by one fix, or by a second one for what the first brings up. */
  const improve = (from: Plan, known: ReadonlySet<string>, more: number): Plan | undefined => {
    const advice = judgeLine(from).advice.filter(isGrave);
    const keys = new Set([...known, ...advice.map((a) => a.key)]);
    const results = advice
      .filter((a) => !known.has(a.key))
      .flatMap((a) =>
        [...(a.finding.fixes ?? []).entries()].flatMap(([which, fix]) => {
          if (fix.states) return [];
          const result = applyFix(from, a.key, which, newId);
          return 'plan' in result ? [result.plan] : [];
        }),
      );
    return (
      results.find((r) => compare(against(r), most) < 0) ??
      (more > 0 ? results.map((r) => improve(r, keys, more - 1)).find((r) => r !== undefined) : undefined)
    );
  };
  for (let better = improve(now, new Set(), 1); better; better = improve(now, new Set(), 1)) {
    now = better;
    most = against(now);
  }
  const idle = (a: Advice): boolean => a.rule.idle === true && a.dismissed === undefined;
  const was = new Set(judgeLine(plan).advice.map((a) => a.key));
  for (const { key } of judgeLine(now).advice.filter((a) => idle(a) && !was.has(a.key))) {
    const result = applyFix(now, key, 0, newId);
    if ('plan' in result && isNoWorse(against(result.plan), most)) now = result.plan;
  }
  for (const s of allStages(now)) {
    if (!hasTwin(now, s)) continue;
    const without = removeStage(now, s.id);
    if (isNoWorse(against(without), most)) now = without;
  }
  return { plan: now, left: judgeLine(now).advice.filter(isGrave) };
}
