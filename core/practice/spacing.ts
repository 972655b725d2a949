import { DAY_MS } from '../quantity/constants';
import type { CaseKind } from './case';

/** A case that was played. */
export interface Played {
  /** ISO 8601. */
  readonly at: string;
  readonly kind: CaseKind;
  readonly seed: number;
  /** 0…1. */
  readonly score: number;
  /** Of an estimate: the guess over the truth. */
  readonly ratio?: number | undefined;
}

/** From here on a case counts as right (estimate). */
export const RIGHT = 0.7;
/** What went wrong comes again after so many days; a right answer takes it a step on. */
export const AGAIN_DAYS = [1, 3, 10] as const;

/**
 * Cases that went wrong and come again now.
 * @param now ISO 8601
 * @source spaced repetition with growing gaps
 * @example comesAgain([{ at: '2026-11-01T08:00:00Z', kind: 'find', seed: 3, score: 0 }], '2026-11-02T08:00:00Z').length // 1
 */
export function comesAgain(played: readonly Played[], now: string): Pick<Played, 'kind' | 'seed'>[] {
  const cases = new Map<string, Played[]>();
  for (const p of played) cases.set(`${p.kind} ${p.seed}`, [...(cases.get(`${p.kind} ${p.seed}`) ?? []), p]);
  return [...cases.values()].flatMap((all) => {
    const inOrder = all.toSorted((a, b) => a.at.localeCompare(b.at));
    const wrong = inOrder.findLastIndex((p) => p.score < RIGHT);
    const last = inOrder.at(-1);
    const gap = AGAIN_DAYS[inOrder.length - 1 - wrong];
    if (wrong < 0 || !last || gap === undefined) return [];
    const due = Date.parse(now) - Date.parse(last.at) >= gap * DAY_MS;
    return due ? [{ kind: last.kind, seed: last.seed }] : [];
  });
}

/**
 * How a skill stands: the newest five cases of a kind.
 * @returns 0…1; nothing where none was played
 * @example skillOf([], 'find') === undefined // true
 */
export function skillOf(played: readonly Played[], kind: CaseKind): number | undefined {
  const newest = played
    .filter((p) => p.kind === kind)
    .toSorted((a, b) => b.at.localeCompare(a.at))
    .slice(0, 5);
  return newest.length === 0 ? undefined : newest.reduce((sum, p) => sum + p.score, 0) / newest.length;
}

/**
 * How one estimates: the middle of guess over truth, and the factor within which half of the guesses lie.
 * @returns nothing with fewer than three estimates
 * @example calibrationOf([]) === undefined // true
 */
export function calibrationOf(
  played: readonly Played[],
): { readonly bias: number; readonly within: number } | undefined {
  const logs = played
    .flatMap((p) => (p.ratio !== undefined && p.ratio > 0 ? [Math.log(p.ratio)] : []))
    .sort((a, b) => a - b);
  if (logs.length < 3) return undefined;
  const middle = (of: readonly number[]): number => of[Math.floor(of.length / 2)] as number;
  const bias = middle(logs);
  const off = logs.map((l) => Math.abs(l - bias)).sort((a, b) => a - b);
  return { bias: Math.exp(bias), within: Math.exp(middle(off)) };
}
