import { isDeepStrictEqual } from 'node:util';
import { and, desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { type Merged, merge } from '../core/plan/merge';
import { type Plan, planSchema } from '../core/plan/plan';
import { database } from '../db/client';
import { type PROPOSAL_STATES, plans, planWrites, proposals } from '../db/schema';
import { checked, RequestRefused } from './errors';
import { changesOf, note } from './people/audit';
import { ALONE, permitted, personIdOf, type Who } from './people/may';
import { checkedId, idSchema, noSuchPlan } from './plan-id';
import { storedPlan } from './stored-plan';
import { inTransaction } from './transaction';

/** Open proposals of one line at a time. */
const OPEN_MOST = 20;
const LISTED = 40;

const proposalSchema = z.strictObject({
  id: idSchema,
  base: planSchema,
  plan: planSchema,
  note: z.string().trim().min(1, 'Say in a few words why.').max(500, 'At most 500 characters.'),
});
const decisionSchema = z.strictObject({
  state: z.enum(['accepted', 'declined', 'withdrawn']),
  /** The version of the line that whoever accepts it has seen. */
  rowVersion: z.int().min(1).optional(),
});

/**
 * Proposes a change of a plan: planners of the site accept or decline it. Repeated with the same content it is one proposal.
 * @throws RequestRefused 409 where nothing is changed, or too many proposals wait
 */
export async function propose(who: Who, planId: string, input: unknown): Promise<{ id: string }> {
  const own = await permitted(who, 'propose', planId);
  const { id, base, plan, note: why } = checked(proposalSchema, input);
  return inTransaction(async (tx) => {
    const [line] = await tx.select({ id: plans.id }).from(plans).where(eq(plans.id, own)).for('update');
    if (!line) throw noSuchPlan();
    const [there] = await tx.select().from(proposals).where(eq(proposals.id, id));
    if (there) {
      if (there.planId === own && there.note === why && isDeepStrictEqual(there.document, plan)) return { id };
      throw new RequestRefused(409, 'conflict', 'Another proposal has this id already.', [
        { field: 'id', message: 'Already used.' },
      ]);
    }
    if (isDeepStrictEqual(base, plan)) throw new RequestRefused(409, 'conflict', 'Nothing is changed in it.');
    if ((await tx.$count(proposals, openOf(own))) >= OPEN_MOST)
      throw new RequestRefused(409, 'conflict', `${OPEN_MOST} proposals wait already. Some have to be decided first.`);
    await tx.insert(proposals).values({
      id,
      planId: own,
      base,
      document: plan,
      note: why,
      personId: personIdOf(who),
      who: who === ALONE ? '' : who.name,
    });
    return { id };
  });
}

const openOf = (planId: string) => and(eq(proposals.planId, planId), eq(proposals.state, 'open'));

/** How many proposals wait for whoever may decide them. */
export const openProposals = (planId: string): Promise<number> => database().$count(proposals, openOf(planId));

export interface Proposal {
  readonly id: string;
  readonly who: string;
  readonly at: string;
  readonly note: string;
  readonly state: (typeof PROPOSAL_STATES)[number];
  readonly decidedBy: string | null;
  readonly decidedAt: string | null;
  /** What it would change in the line as it is now, or for one that was decided, what it was to change; with figures as in people/audit.ts. */
  readonly says: readonly string[];
  /** Where the line was changed in another way since: the proposal would win. */
  readonly clashes: number;
  /** Whether it still makes one plan with the line as it is now. */
  readonly fits: boolean;
  /** Whether whoever reads made it. */
  readonly isOwn: boolean;
}

export interface ProposalList {
  /** The version of the line with which they were joined. */
  readonly rowVersion: number;
  readonly list: readonly Proposal[];
}

/** The proposals of a line, the newest first. */
export async function listProposals(who: Who, planId: string): Promise<ProposalList> {
  const own = await permitted(who, 'read', planId);
  const [[line], rows] = await Promise.all([
    database().select({ document: plans.document, rowVersion: plans.rowVersion }).from(plans).where(eq(plans.id, own)),
    database().select().from(proposals).where(eq(proposals.planId, own)).orderBy(desc(proposals.at)).limit(LISTED),
  ]);
  if (!line) throw noSuchPlan();
  const now = storedPlan(line.document);
  const list = rows.map((row) => {
    const merged = row.state === 'open' ? mergedWith(now, row) : undefined;
    return {
      id: row.id,
      who: row.who,
      at: row.at.toISOString(),
      note: row.note,
      state: row.state,
      decidedBy: row.decidedBy,
      decidedAt: row.decidedAt?.toISOString() ?? null,
      says: merged ? changesOf(now, merged.plan) : changesOf(row.base, storedPlan(row.document)),
      clashes: merged?.clashes.length ?? 0,
      fits: merged !== undefined,
      isOwn: row.personId !== null && row.personId === personIdOf(who),
    };
  });
  return { rowVersion: line.rowVersion, list };
}

const mergedWith = (now: Plan, row: { base: Plan; document: Plan }): Merged | undefined =>
  merge(storedPlan(row.base), storedPlan(row.document), now);

/**
 * Accepts a proposal, joined with what was changed since; declines it; or, its maker, withdraws it.
 * @throws RequestRefused 409 where it was decided already, where the line is no longer the one that was seen, or they do not
 * make one plan
 */
export async function decide(who: Who, planId: string, proposalId: string, input: unknown): Promise<{ id: string }> {
  const own = await permitted(who, 'propose', planId);
  const id = checkedId('proposalId', proposalId);
  const { state, rowVersion } = checked(decisionSchema, input);
  if (state !== 'withdrawn') await permitted(who, 'plan', planId);
  return inTransaction(async (tx) => {
    const [line] = await tx.select().from(plans).where(eq(plans.id, own)).for('update');
    const [row] = await tx.select().from(proposals).where(eq(proposals.id, id)).for('update');
    if (!line || row?.planId !== own || (state === 'withdrawn' && row.personId !== personIdOf(who)))
      throw new RequestRefused(404, 'not-found', 'There is no such proposal.', [
        { field: 'proposalId', message: 'Unknown.' },
      ]);
    if (row.state === state) return { id };
    if (row.state !== 'open') throw new RequestRefused(409, 'conflict', `It was ${row.state} already.`);
    if (state === 'accepted') {
      if (rowVersion !== line.rowVersion)
        throw new RequestRefused(
          409,
          'conflict',
          'The line was changed meanwhile. Look at what the proposal does now.',
          [{ field: 'rowVersion', message: `The stored version is ${line.rowVersion}.` }],
        );
      const merged = mergedWith(storedPlan(line.document), row);
      if (!merged) throw new RequestRefused(409, 'conflict', 'It does not fit the line any more.');
      const next = line.rowVersion + 1;
      await tx
        .update(plans)
        .set({ document: merged.plan, rowVersion: next, updatedAt: new Date() })
        .where(eq(plans.id, own));
      await tx.insert(planWrites).values({ id: crypto.randomUUID(), planId: own, rowVersion: next, digest: null });
      const says = [`Proposal of ${row.who} accepted: ${row.note}`, ...changesOf(line.document, merged.plan)];
      await note(tx, who, { siteId: line.siteId, planId: own, about: merged.plan.name, says });
    }
    await tx
      .update(proposals)
      .set({ state, decidedBy: who === ALONE ? '' : who.name, decidedAt: new Date() })
      .where(eq(proposals.id, id));
    return { id };
  });
}
