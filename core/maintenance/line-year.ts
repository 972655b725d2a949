import type { Section } from '../line/section';
import { type SiteTime, siteTimeMs } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { DAY_MS } from '../quantity/constants';
import type { PlaceLife } from './charge-lives';
import { type DrainYear, type MaintenanceFacts, maintenanceFacts } from './facts';
import type { LogSummary } from './log-summary';

/** When the charge at a place is spent. */
export type ChargeEnd = Pick<PlaceLife, 'stageId' | 'name' | 'state' | 'change' | 'spentOn'>;

/** What the dates of a line’s tasks follow from that takes long to calculate: a year of weather, and its charges. */
export interface LineYear {
  readonly drains: ReadonlyMap<string, DrainYear>;
  readonly lives: readonly ChargeEnd[];
  /** When it was calculated. */
  readonly at: SiteTime;
}

/** What a page of due tasks is given: the log, and the year of that version of the line where it was at hand. */
export interface DueSources {
  readonly log: LogSummary;
  readonly year?: LineYear | undefined;
  readonly rowVersion?: number;
}

/**
 * When the charge that is in is exhausted, as estimated, ms of the shop’s clock; by its place. What is beyond a year and a half is left out.
 * @example spentTimes([], now).size // 0
 */
export function spentTimes(lives: readonly ChargeEnd[], now: SiteTime): Map<string, number> {
  return new Map(
    lives.flatMap((l) => {
      const days = l.change?.days[1];
      if (l.spentOn) return [[l.stageId, siteTimeMs(l.spentOn)] as const];
      return days !== undefined && Number.isFinite(days) ? [[l.stageId, siteTimeMs(now) + days * DAY_MS] as const] : [];
    }),
  );
}

/**
 * The facts of a line with its year; without one, by the air of the survey alone.
 * @example factsOfYear(plan, section, undefined).years.size // 0
 */
export const factsOfYear = (plan: Plan, section: Section, year: LineYear | undefined): MaintenanceFacts =>
  maintenanceFacts(plan, section, year?.drains, year && spentTimes(year.lives, year.at));
