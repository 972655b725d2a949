import type { Plan } from '../plan/plan';
import { DAY_MS, HOUR_MS } from '../quantity/constants';
import { type SiteTime, siteTimeMs, siteTimeOf } from './site-clock';

/**
 * The time from which water has been collecting at a drain: when it was last opened before `at`; else the start of that
 * working day, or of the day before where the day is less than an hour old.
 * @param drained when drains were opened, in any order
 * @example collectingSince(plan, [], 'receiver', now) // '2026-11-24T08:00'
 */
export function collectingSince(
  plan: Plan,
  drained: readonly { readonly stageId: string; readonly at: SiteTime }[],
  stageId: string,
  at: SiteTime,
): SiteTime {
  const last = drained
    .filter((d) => d.stageId === stageId && d.at < at)
    .map((d) => d.at)
    .sort()
    .at(-1);
  if (last) return last;
  const opening = siteTimeMs(`${at.slice(0, 10)}T00:00`) + plan.survey.working.startsAtH * HOUR_MS;
  return siteTimeOf(siteTimeMs(at) - opening > HOUR_MS ? opening : opening - DAY_MS);
}
