import { median } from 'simple-statistics';
import { inAll, judgeOutlets, type Verdict } from '../line/judge-outlet';
import type { Section } from '../line/section';
import type { LoggedEntry } from '../log/log-entry';
import { type SiteTime, siteTimeMs } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { allStages } from '../plan/runs';
import { DAY_MS } from '../quantity/constants';
import { type DueTask, dueTime } from './due';
import type { LogSummary } from './log-summary';
import type { Task } from './task';

/** What a visit can still serve: tasks due within a month; a choice of ours. */
export const AHEAD_DAYS = 31;
/** So many of the newest drains of each point tell the trend of its water; a choice of ours. */
const NEWEST_DRAINS = 5;

/** What to take along for what a task renews. */
const PARTS: Readonly<Record<NonNullable<Task['renews']>, string>> = {
  element: 'filter element',
  carbon: 'activated carbon',
  towers: 'desiccant for the towers',
  charge: 'desiccant charge',
};

/** A task that somebody travels for. */
export interface WorkTask {
  readonly key: string;
  readonly stage: string;
  readonly does: string;
  readonly dueAt: SiteTime;
  readonly minutes: number;
  readonly isolates: boolean;
  readonly part?: string;
  readonly cautions: readonly string[];
}

/** How a line stands, for whoever looks after many. */
export interface LineState {
  /** Due within a month or overdue, the most pressing first; what is postponed is left out; none before a routine is begun. */
  readonly tasks: readonly WorkTask[];
  /** The outlet that is worst off, with the air of the survey. */
  readonly outlet?: { readonly name: string; readonly verdict: Verdict };
  readonly complaints: number;
  /** Water drained over water expected, lately; 1 is as expected. */
  readonly waterShare?: number;
}

const WORST_FIRST: readonly Verdict[] = ['fails', 'open', 'meets'];

/**
 * Complaints that nothing answers yet: after each no check at its stage went well (a choice of ours). One of the whole line is
 * answered by a check anywhere.
 * @param entries that stand, in any order
 * @example openComplaints([]) // []
 */
export function openComplaints(entries: readonly LoggedEntry[]): LoggedEntry[] {
  return entries.filter(
    (c) =>
      c.kind === 'complaint' &&
      !entries.some(
        (e) =>
          e.result === 'ok' &&
          e.measuredAt > c.measuredAt &&
          (c.stageId === '' || e.stageId === c.stageId || e.stageId === ''),
      ),
  );
}

/**
 * How a line stands on a day.
 * @param tasks what is due on it, from dueTasks
 * @param now the clock of the site
 * @example lineState(plan, section, [], { series: [], newest: [] }, now).complaints // 0
 */
export function lineState(
  plan: Plan,
  section: Section,
  tasks: readonly DueTask[],
  log: Pick<LogSummary, 'series' | 'newest'>,
  now: SiteTime,
): LineState {
  const until = siteTimeMs(now) + AHEAD_DAYS * DAY_MS;
  const verdicts = [...judgeOutlets(plan, section)].map(([id, judgement]) => ({ id, verdict: inAll(judgement) }));
  const worst = WORST_FIRST.map((v) => verdicts.find(({ verdict }) => verdict === v)).find((found) => found);
  const ratios = log.series.filter((s) => s.of === 'drain').flatMap((s) => s.ratios.slice(-NEWEST_DRAINS));
  return {
    tasks: (plan.routine.startedOn === null ? [] : tasks)
      .filter((t) => t.state !== 'postponed' && t.dueMs < until)
      .map((t) => ({
        key: t.key,
        stage: t.stage.name,
        does: t.task.does,
        dueAt: dueTime(t),
        minutes: t.task.minutes,
        isolates: t.task.isolates === true,
        ...(t.task.renews && { part: PARTS[t.task.renews] }),
        cautions: t.task.cautions,
      })),
    ...(worst && {
      outlet: { name: allStages(plan).find((s) => s.id === worst.id)?.name ?? '', verdict: worst.verdict },
    }),
    complaints: openComplaints(log.newest).length,
    ...(ratios.length > 0 && { waterShare: median(ratios) }),
  };
}
