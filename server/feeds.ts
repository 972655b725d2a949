import { and, eq, isNull } from 'drizzle-orm';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { database } from '../db/client';
import { feeds, plans } from '../db/schema';
import { calendarOf } from './calendar/calendar-of';
import { RequestRefused } from './errors';
import { ALONE, ownSignIn, permitted, type Who } from './people/may';
import { hashOf, newSecret } from './people/secret';
import { noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';
import { workCalendar } from './work/work-calendar';
import { orderOf } from './work/work-list';

/** Addresses of one line at a time: one for each calendar program that reads it, and some. */
const MOST_ADDRESSES = 10;
/** A calendar program asks every quarter of an hour or less often; whoever tries addresses asks without end. */
const READS_A_MINUTE = 30;
const WRONG_A_MINUTE = 30;
const reads = new RateLimiterMemory({ keyPrefix: 'read', points: READS_A_MINUTE, duration: 60 });
const wrong = new RateLimiterMemory({ keyPrefix: 'wrong', points: WRONG_A_MINUTE, duration: 60 });

async function within(limiter: RateLimiterMemory, key: string): Promise<void> {
  await limiter.consume(key).catch(() => {
    throw new RequestRefused(429, 'too-often', 'That is asked too often. Ask again in a minute.');
  });
}

/** A new private address of a line’s calendar. It is told this once: what is kept cannot be turned back into it. */
export const newFeed = async (who: Who, planId: string): Promise<{ token: string }> =>
  addFeed({ planId: await permitted(who, 'log', planId) });

/** Adds a private address of a line’s calendar, or of somebody’s work list. */
export function addFeed(of: { planId: string } | { personId: string }): Promise<{ token: string }> {
  return inTransaction(async (tx) => {
    const own = 'planId' in of ? eq(feeds.planId, of.planId) : eq(feeds.personId, of.personId);
    if ('planId' in of) {
      const [plan] = await tx.select({ id: plans.id }).from(plans).where(eq(plans.id, of.planId)).for('update');
      if (!plan) throw noSuchPlan();
    }
    if ((await tx.$count(feeds, and(own, isNull(feeds.revokedAt)))) >= MOST_ADDRESSES)
      throw new RequestRefused(409, 'conflict', `There are ${MOST_ADDRESSES} addresses. Revoke them first.`);
    const token = newSecret();
    await tx.insert(feeds).values({ hash: hashOf(token), ...of });
    return { token };
  });
}

/** A new private address of the calendar of one’s own work list. It is told this once. */
export async function newWorkFeed(who: Who): Promise<{ token: string }> {
  if (who !== ALONE) ownSignIn(who);
  return addFeed({ personId: orderOf(who) });
}

/** Revokes all private addresses of one’s own work list. */
export async function revokeWorkFeeds(who: Who): Promise<{ revoked: number }> {
  const [done] = await database()
    .update(feeds)
    .set({ revokedAt: new Date() })
    .where(and(eq(feeds.personId, orderOf(who)), isNull(feeds.revokedAt)));
  return { revoked: done.affectedRows };
}

/** Revokes all private addresses of a line: whoever has one gets nothing any more. */
export async function revokeFeeds(who: Who, planId: string): Promise<{ revoked: number }> {
  const [done] = await database()
    .update(feeds)
    .set({ revokedAt: new Date() })
    .where(and(eq(feeds.planId, await permitted(who, 'log', planId)), isNull(feeds.revokedAt)));
  return { revoked: done.affectedRows };
}

/**
 * The calendar at a private address.
 * @param caller who asks, to count wrong addresses by
 * @throws RequestRefused 404 where there is none, 429 where it is asked too often
 */
export async function readFeed(token: string, caller = ''): Promise<string> {
  const hash = hashOf(token);
  const [row] = await database()
    .select()
    .from(feeds)
    .leftJoin(plans, eq(plans.id, feeds.planId))
    .where(and(eq(feeds.hash, hash), isNull(feeds.revokedAt), isNull(plans.removedAt)));
  if (!row || (row.plans === null && row.feeds.personId === null)) {
    await within(wrong, caller);
    throw new RequestRefused(404, 'not-found', 'There is no calendar at this address.');
  }
  await within(reads, hash);
  if (row.plans) return calendarOf(row.plans.id, storedPlan(row.plans.document));
  return workCalendar(row.feeds.personId as string);
}
