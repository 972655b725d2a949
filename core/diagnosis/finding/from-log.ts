import type { Section } from '../../line/section';
import type { ReadingName } from '../../log/readings';
import { type SiteTime, siteTimeMs } from '../../log/site-clock';
import type { LogSummary } from '../../maintenance/log-summary';
import { DAY_MS } from '../../quantity/constants';
import type { Reading } from './cause';
import type { Check, CheckName } from './checks';

/** A reading older than this says nothing of a fault that shows today (estimate). */
export const SHELF_LIFE_DAYS = 3;

/** Which check a reading of the log is. */
export const AS_CHECK: Partial<Record<ReadingName, CheckName>> = {
  temperature: 'temperature',
  'dew-point': 'dew-point',
  'pressure-flowing': 'pressure',
  'pressure-drop': 'drop',
};

/**
 * What was read lately and stands in the log: it need not be read again.
 * @param section the walk of the line without a fault: what a drain gave is counted against its day
 * @returns each check once, the newest
 * @example readingsOfLog(section, [], { signals: [], series: [], drained: [] }, '2026-11-30T08:00') // []
 */
export function readingsOfLog(
  section: Section,
  checks: readonly Check[],
  { signals, series, drained }: Pick<LogSummary, 'signals' | 'series' | 'drained'>,
  now: SiteTime,
): Reading[] {
  const isFresh = (at: SiteTime): boolean => {
    const days = (siteTimeMs(now) - siteTimeMs(at)) / DAY_MS;
    return days >= 0 && days <= SHELF_LIFE_DAYS;
  };
  return checks.flatMap((check): Reading[] => {
    if (check.of === 'catch') {
      const at = drained.find((d) => d.stageId === check.stageId)?.at;
      const ratio = series.find((s) => s.of === 'drain' && s.stageId === check.stageId)?.ratios.at(-1);
      const usual = section.at(check.stageId)?.caughtKgPerS;
      return at !== undefined && isFresh(at) && ratio !== undefined && usual !== undefined
        ? [{ checkId: check.id, value: ratio * usual, at }]
        : [];
    }
    const read = signals.find((s) => s.stageId === check.stageId && AS_CHECK[s.of] === check.of && isFresh(s.at));
    return read ? [{ checkId: check.id, value: read.value, at: read.at }] : [];
  });
}
