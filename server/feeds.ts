import { and, count, eq, isNull } from 'drizzle-orm';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { database } from '../db/client';
import { feeds, plans } from '../db/schema';
import { calendarOf } from './calendar/calendar-of';
import { RequestRefused } from './errors';
import { permitted, type Who } from './people/may';
import { hashOf, newSecret } from './people/secret';
import { noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';

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
export async function newFeed(who: Who, planId: string): Promise<{ token: string }> {
  const id = await permitted(who, 'log', planId);
  return inTransaction(async (tx) => {
    const [plan] = await tx.select({ id: plans.id }).from(plans).where(eq(plans.id, id)).for('update');
    if (!plan) throw noSuchPlan();
    const own = and(eq(feeds.planId, id), isNull(feeds.revokedAt));
    const [there] = await tx.select({ n: count() }).from(feeds).where(own);
    if ((there?.n ?? 0) >= MOST_ADDRESSES)
      throw new RequestRefused(409, 'conflict', `There are ${MOST_ADDRESSES} addresses. Take them back first.`);
    const token = newSecret();
    await tx.insert(feeds).values({ hash: hashOf(token), planId: id });
    return { token };
  });
}

/** Takes all private addresses of a line back: whoever has one gets nothing any more. */
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
    .innerJoin(plans, eq(plans.id, feeds.planId))
    .where(and(eq(feeds.hash, hash), isNull(feeds.revokedAt), isNull(plans.removedAt)));
  if (!row) {
    await within(wrong, caller);
    throw new RequestRefused(404, 'not-found', 'There is no calendar at this address.');
  }
  await within(reads, hash);
  return calendarOf(row.plans.id, storedPlan(row.plans.document));
}
