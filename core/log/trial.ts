import { mean, sampleVariance } from 'simple-statistics';
import { DAY_MS } from '../quantity/constants';
import { type LoggedEntry, standingEntries } from './log-entry';
import { READINGS, type ReadingName } from './readings';
import { siteTimeMs } from './site-clock';

/** One quantity of a trial: what it was in the days before a change, and in the days after. */
export interface TrialRow {
  readonly stageId: string;
  readonly stageName: string;
  readonly of: ReadingName;
  readonly before: { readonly mean: number; readonly count: number };
  readonly after: { readonly mean: number; readonly count: number };
  /** Whether the two part by more than they scatter: over two standard errors. */
  readonly parts: boolean;
}

/** Standard errors by which two means differ with 95 % confidence; statistics, the normal distribution. */
const ERRORS_APART = 2;

/**
 * Holds the readings of the days before a change against those of the days after: commissioning, or a week’s trial.
 * @param at shop time of the change
 * @param days on each side
 * @source means; two standard errors of their difference (Welch)
 * @example trial([], now, 7) // []
 */
export function trial(entries: readonly LoggedEntry[], at: string, days: number): TrialRow[] {
  const change = siteTimeMs(at);
  const by = new Map<
    string,
    { stageId: string; stageName: string; of: ReadingName; before: number[]; after: number[] }
  >();
  for (const e of standingEntries(entries)) {
    const apart = (siteTimeMs(e.measuredAt) - change) / DAY_MS;
    if (Math.abs(apart) > days) continue;
    for (const r of e.readings) {
      const key = `${e.stageId} ${r.of}`;
      const own = by.get(key) ?? { stageId: e.stageId, stageName: e.stageName, of: r.of, before: [], after: [] };
      (apart < 0 ? own.before : own.after).push(r.value);
      by.set(key, own);
    }
  }
  return [...by.values()]
    .filter((r) => r.before.length > 0 && r.after.length > 0)
    .map(({ before, after, ...rest }) => {
      const ofMean = (xs: number[]): number =>
        xs.length > 1 ? sampleVariance(xs) / xs.length : Number.POSITIVE_INFINITY;
      const error = Math.sqrt(ofMean(before) + ofMean(after));
      return {
        ...rest,
        before: { mean: mean(before), count: before.length },
        after: { mean: mean(after), count: after.length },
        parts: Math.abs(mean(after) - mean(before)) > ERRORS_APART * error,
      };
    })
    .sort((a, b) => a.stageName.localeCompare(b.stageName) || READINGS[a.of].label.localeCompare(READINGS[b.of].label));
}
