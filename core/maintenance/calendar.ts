import { type SiteTime, siteTimeOf } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { hoursOfWeek } from '../plan/working-time';
import { DAY_MS, HOUR_MS } from '../quantity/constants';
import type { DueTask } from './due';
import { sayInterval } from './interval';

/** An event of the routine’s calendar, on the shop’s wall clock. */
export interface CalendarEvent {
  /** The same for the same rhythm of a line, and no other line’s. */
  readonly uid: string;
  readonly title: string;
  readonly text: string;
  readonly starts: SiteTime;
  readonly minutes: number;
  /** Working days of a week (1 = Monday), or every so many days. */
  readonly repeats: { readonly weekdays: readonly number[] } | { readonly everyDays: number };
}

/**
 * The routine as a calendar: tasks of one rhythm are one event that comes again, at the beginning of work. Times are the
 * shop’s wall clock without a zone, so that they stay the same when the clocks change.
 * @example calendarEvents('p', plan, dueTasks(facts, [], [], now)).length // 13
 */
export function calendarEvents(planId: string, plan: Plan, tasks: readonly DueTask[]): CalendarEvent[] {
  const { working } = plan.survey;
  const groups = new Map<string, DueTask[]>();
  for (const t of tasks) {
    if (t.state === 'postponed') continue;
    const days = Math.max(1, Math.round(t.interval.days));
    const key = `${days} ${t.task.isolates ? 'stopped' : 'running'}`;
    groups.set(key, [...(groups.get(key) ?? []), t]);
  }
  const weekdays = hoursOfWeek(working).flatMap((h, i) => (h > 0 ? [i + 1] : []));
  const opens = working.startsAtH * HOUR_MS;
  return [...groups].map(([key, own]): CalendarEvent => {
    const days = Math.max(1, Math.round(own[0]?.interval.days ?? 1));
    const first = Math.min(...own.map((t) => t.dueMs));
    const stopped = own[0]?.task.isolates === true;
    return {
      uid: `${key.replace(' ', '-')}.${planId}`,
      title: `${stopped ? 'Shutdown' : 'Round'} · ${own.length === 1 ? `${own[0]?.stage.name}: ${own[0]?.task.does.toLowerCase()}` : `${own.length} tasks, ${sayInterval(days)}`}`,
      text: own.map((t) => `${t.stage.name}: ${t.task.does}`).join('\n'),
      starts: siteTimeOf(Math.floor(first / DAY_MS) * DAY_MS + opens),
      minutes: own.reduce((sum, t) => sum + t.task.minutes, 0),
      repeats: days === 1 ? { weekdays } : { everyDays: days },
    };
  });
}
