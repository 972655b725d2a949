import { and, desc, eq, getTableColumns, lt, lte, or } from 'drizzle-orm';
import type { DrainPage } from '../core/log/log-pages';
import type { Derivation } from '../core/quantity/derivation';
import { database } from '../db/client';
import { drainEntries } from '../db/schema';
import { RequestRefused } from './errors';
import { marksOf } from './log-marks';
import { permitted, type Who } from './people/may';
import { withKnownNames } from './people/names';
import { checkedId } from './plan-id';

const SHOWN = 120;

/** “Why?” of what was expected of a drain, as it was answered on its day; `null` where the log is older than that. */
export async function readWhy(who: Who, planId: string, entryId: string): Promise<{ why: Derivation | null }> {
  const [row] = await database()
    .select({ why: drainEntries.why })
    .from(drainEntries)
    .where(
      and(
        eq(drainEntries.id, checkedId('entryId', entryId)),
        eq(drainEntries.planId, await permitted(who, 'read', planId)),
      ),
    );
  if (!row) throw new RequestRefused(404, 'not-found', 'There is no such entry.');
  return row;
}

/** The drain log of a line, newest first, struck entries included; without “why?”, which is long. */
export async function readLogbook(who: Who, planId: string, before = ''): Promise<DrainPage> {
  const id = await permitted(who, 'read', planId);
  const { planId: _plan, why: _why, loggedAt: _loggedAt, ...shown } = getTableColumns(drainEntries);
  const [, at, after] = /^(\d{4}-\d\d-\d\dT\d\d:\d\d)_([0-9a-f-]{36})$/.exec(before) ?? [];
  const older =
    at && after ? and(lte(shown.drainedAt, at), or(lt(shown.drainedAt, at), lt(shown.id, after))) : undefined;
  const [rows, marks] = await Promise.all([
    database()
      .select(shown)
      .from(drainEntries)
      .where(and(eq(drainEntries.planId, id), older))
      .orderBy(desc(shown.drainedAt), desc(shown.id))
      .limit(SHOWN + 1),
    marksOf(id),
  ]);
  const page = rows.slice(0, SHOWN);
  const last = page.at(-1);
  return {
    entries: (await withKnownNames(id, page)).map(({ struckAt, ...entry }) => ({
      ...entry,
      struck: struckAt !== null,
    })),
    drained: marks.drains,
    next: rows.length > SHOWN && last ? `${last.drainedAt}_${last.id}` : undefined,
  };
}
