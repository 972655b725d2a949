import { and, desc, eq, lt, lte, or } from 'drizzle-orm';
import { changes } from '../../core/plan/changes';
import type { Plan } from '../../core/plan/plan';
import { relinked } from '../../core/plan/relink';
import { say } from '../../core/quantity/format';
import { keepFigure, sayKept } from '../../core/quantity/kept-figure';
import { METRIC } from '../../core/quantity/units';
import { database } from '../../db/client';
import { audit } from '../../db/people';
import { lineOf } from '../csv-line';
import type { Transaction } from '../transaction';
import { ALONE, permittedSite, type Who } from './may';

const SHOWN = 60;
const LINES_MOST = 50;

export interface Done {
  readonly siteId: string;
  readonly planId?: string;
  /** The name of what was changed. */
  readonly about: string;
  readonly says: readonly string[];
}

/** Takes note of what somebody changed, in the transaction that changes it. One person alone keeps no such list. */
export async function note(
  tx: Pick<Transaction, 'insert'>,
  who: Who,
  { siteId, planId, about, says }: Done,
): Promise<void> {
  if (who === ALONE || says.length === 0) return;
  const more = says.length - LINES_MOST;
  const kept = more > 0 ? [...says.slice(0, LINES_MOST), `and ${more} more.`] : [...says];
  await tx.insert(audit).values({
    id: crypto.randomUUID(),
    siteId,
    planId: planId ?? null,
    personId: who.id,
    who: who.name,
    about,
    says: kept,
  });
}

/** What a save of a plan changes, as texts to keep. @param document the plan before, as it is stored */
export function changesOf(document: unknown, after: Plan): string[] {
  const before = relinked(document);
  if (!before.success) return ['Saved over a plan that could not be read.'];
  return changes(before.data, after).map((c) => c.says(keepFigure));
}

export interface AuditEntry {
  readonly id: string;
  readonly at: string;
  readonly who: string;
  readonly planId: string | null;
  readonly about: string;
  readonly says: readonly string[];
}
export interface AuditPage {
  readonly entries: readonly AuditEntry[];
  /** The key of what is older; none where this is all. */
  readonly next: string | undefined;
}

/** What was changed on a site, the newest first. @param before `next` of the page before */
export const readAudit = async (who: Who, siteId: string, before?: string): Promise<AuditPage> =>
  auditPageOf(await permittedSite(who, 'people', siteId), before);

async function auditPageOf(site: string, before = ''): Promise<AuditPage> {
  const [, at, id] = /^([\dT:.Z-]{24})_([0-9a-f-]{36})$/.exec(before) ?? [];
  const moment = new Date(at ?? '');
  const older =
    id && !Number.isNaN(moment.getTime())
      ? and(lte(audit.at, moment), or(lt(audit.at, moment), lt(audit.id, id)))
      : undefined;
  const rows = await database()
    .select()
    .from(audit)
    .where(and(eq(audit.siteId, site), older))
    .orderBy(desc(audit.at), desc(audit.id))
    .limit(SHOWN + 1);
  const entries = rows
    .slice(0, SHOWN)
    .map(({ siteId: _site, personId: _person, ...r }) => ({ ...r, at: r.at.toISOString() }));
  const last = entries.at(-1);
  return { entries, next: rows.length > SHOWN && last ? `${last.at}_${last.id}` : undefined };
}

/** All of it as lines of CSV, with figures in SI units’ usual multiples. */
export async function* auditTable(siteId: string): AsyncGenerator<string> {
  yield `\uFEFF${lineOf(['When (UTC)', 'Who', 'What', 'Changes'])}`;
  let before: string | undefined;
  do {
    const page: AuditPage = await auditPageOf(siteId, before);
    for (const { at, who, about, says } of page.entries)
      yield lineOf([at, who, about, says.map((text) => sayKept(text, (si, of) => say(si, of, METRIC))).join(' ')]);
    before = page.next;
  } while (before !== undefined);
}
