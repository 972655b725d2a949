import { randomBytes } from 'node:crypto';
import { and, eq, isNull } from 'drizzle-orm';
import ical, { ICalEventRepeatingFreq, ICalWeekday } from 'ical-generator';
import type { Plan } from '../core/line/plan';
import { type RoutineEvent, routineEvents } from '../core/routine/calendar';
import { database } from '../db/client';
import { feeds, plans } from '../db/schema';
import { clockOnTheWall } from './clock';
import { dueOn } from './due-today';
import { RequestRefused } from './errors';
import { checkedId, noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';

const WEEKDAYS = [
  ICalWeekday.MO,
  ICalWeekday.TU,
  ICalWeekday.WE,
  ICalWeekday.TH,
  ICalWeekday.FR,
  ICalWeekday.SA,
  ICalWeekday.SU,
];

/** Events as iCalendar text. Times float: they are those of the wall clock wherever it is read. */
export function calendarText(name: string, events: readonly RoutineEvent[]): string {
  const calendar = ical({ name, prodId: { company: 'Cool Dram', product: 'Routine' } });
  for (const e of events) {
    const [y, m, d, h, min] = e.starts.split(/[-T:]/).map(Number) as [number, number, number, number, number];
    // A floating time is written from the UTC parts of a date.
    const start = new Date(Date.UTC(y, m - 1, d, h, min));
    calendar.createEvent({
      id: `${e.uid}@cool-dram`,
      summary: e.title,
      description: e.text,
      start,
      end: new Date(start.getTime() + e.minutes * 60_000),
      floating: true,
      repeating:
        'weekdays' in e.repeats
          ? {
              freq: ICalEventRepeatingFreq.WEEKLY,
              byDay: e.repeats.weekdays.map((w) => WEEKDAYS[w - 1] as ICalWeekday),
            }
          : { freq: ICalEventRepeatingFreq.DAILY, interval: e.repeats.everyDays },
    });
  }
  return calendar.toString();
}

/** The calendar of a line as text. */
export async function calendarOf(planId: string, plan: Plan): Promise<string> {
  const tasks = await dueOn(planId, plan, clockOnTheWall());
  return calendarText(`${plan.survey.shop} · ${plan.name}`, routineEvents(planId, plan, tasks));
}

/** The private address of a line’s calendar, made when it is first asked for. */
export async function feedOf(planId: string): Promise<{ token: string }> {
  const id = checkedId('id', planId);
  return inTransaction(async (tx) => {
    const [plan] = await tx.select({ id: plans.id }).from(plans).where(eq(plans.id, id)).for('update');
    if (!plan) throw noSuchPlan();
    const [there] = await tx
      .select()
      .from(feeds)
      .where(and(eq(feeds.planId, id), isNull(feeds.revokedAt)));
    if (there) return { token: there.token };
    const token = randomBytes(32).toString('base64url');
    await tx.insert(feeds).values({ token, planId: id });
    return { token };
  });
}

/** Takes the private address back: whoever has it gets nothing any more. */
export async function revokeFeed(planId: string): Promise<{ revoked: number }> {
  const [done] = await database()
    .update(feeds)
    .set({ revokedAt: new Date() })
    .where(and(eq(feeds.planId, checkedId('id', planId)), isNull(feeds.revokedAt)));
  return { revoked: done.affectedRows };
}

export async function readFeed(token: string): Promise<string> {
  const [row] = /^[\w-]{43}$/.test(token)
    ? await database().select().from(feeds).innerJoin(plans, eq(plans.id, feeds.planId)).where(eq(feeds.token, token))
    : [];
  if (!row || row.feeds.revokedAt) throw new RequestRefused(404, 'not-found', 'There is no calendar at this address.');
  return calendarOf(row.plans.id, storedPlan(row.plans.document));
}
