import { and, asc, count, eq, inArray, like, max, sql } from 'drizzle-orm';
import type { Climate } from '../../core/plan/survey';
import { database } from '../../db/client';
import { sites } from '../../db/people';
import { drainEntries, logEntries, plans } from '../../db/schema';
import { isListed, isThere } from '../listed-lines';
import { permittedSite, sitesOf, type Who } from '../people/may';
import { type Member, membersOf } from '../people/members';
import { staleLines } from '../work/line-states';
import { statesOfSites } from '../work/work-list';
import { type RemovedLine, removedOf } from './remove-line';
import { sitePhotosOf } from './site-photos';
import { listTemplates, type TemplateName } from './templates';

/** Sites that a list shows at once; more are found by their names. */
const LISTED = 100;

export interface SiteSummary {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly lines: number;
  /** When somebody was last there, as far as the log says; site time. */
  readonly lastEntry: string | null;
  /** As far as its lines were worked out today: tasks overdue, complaints open, the worst outlet, water against expected. */
  readonly overdue: number;
  readonly complaints: number;
  readonly verdict: 'fails' | 'open' | 'meets' | null;
  readonly waterShare: number | null;
}
export interface SiteList {
  readonly sites: readonly SiteSummary[];
  readonly of: number;
}

/** The sites that somebody may see, by name. @param words of name, customer or address, all of which have to be in it */
export async function listSites(who: Who, words = ''): Promise<SiteList> {
  const own = sitesOf(who, 'read');
  const asked = words.split(/\s+/).filter(Boolean).slice(0, 8);
  const seen = and(
    own && inArray(sites.id, own),
    ...asked.map((word) =>
      like(
        sql`CONCAT_WS(' ', ${sites.name}, ${sites.customer}, ${sites.address})`,
        `%${word.replace(/[\\%_]/g, '\\$&')}%`,
      ),
    ),
  );
  const { id, name, customer } = sites;
  const [rows, [all]] = await Promise.all([
    database().select({ id, name, customer }).from(sites).where(seen).orderBy(asc(name), asc(id)).limit(LISTED),
    database().select({ n: count() }).from(sites).where(seen),
    staleLines(own),
  ]);
  const ids = rows.map((r) => r.id);
  const [told, states] = ids.length === 0 ? [[], []] : await Promise.all([linesOfSites(ids), statesOfSites(ids)]);
  return {
    sites: rows.map((row) => {
      const found = told.find((t) => t.siteId === row.id);
      const state = states.find((s) => s.siteId === row.id);
      return {
        ...row,
        lines: found?.lines ?? 0,
        lastEntry: found?.lastEntry ?? null,
        overdue: state?.overdue ?? 0,
        complaints: state?.complaints ?? 0,
        verdict: state?.verdict ?? null,
        waterShare: state?.waterShare ?? null,
      };
    }),
    of: all?.n ?? 0,
  };
}

const linesOfSites = (ids: readonly string[]) =>
  database()
    .select({
      siteId: plans.siteId,
      lines: count(),
      lastEntry: max(
        sql<string | null>`GREATEST(
          COALESCE((SELECT MAX(${logEntries.measuredAt}) FROM ${logEntries} WHERE ${logEntries.planId} = ${plans.id} AND ${logEntries.stands} = 1), ''),
          COALESCE((SELECT MAX(${drainEntries.drainedAt}) FROM ${drainEntries} WHERE ${drainEntries.planId} = ${plans.id} AND ${drainEntries.struckAt} IS NULL), ''))`,
      ),
    })
    .from(plans)
    .where(and(inArray(plans.siteId, [...ids]), isListed))
    .groupBy(plans.siteId)
    .then((found) => found.map((f) => ({ ...f, lastEntry: f.lastEntry === '' ? null : f.lastEntry })));

export interface SiteLine {
  readonly id: string;
  readonly shop: string;
  readonly name: string;
  readonly stages: number;
}
export interface SitePage {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly contacts: string;
  readonly notes: string;
  /** Empty where none is said. */
  readonly timeZone: string;
  /** The weather of the year that new lines begin with. */
  readonly climate: Climate | null;
  readonly lines: readonly SiteLine[];
  readonly archived: readonly SiteLine[];
  readonly removed: readonly RemovedLine[];
  readonly members: readonly Member[];
  /** Ids of its photos. */
  readonly photos: readonly string[];
  readonly templates: readonly TemplateName[];
  /** Whether whoever reads may build lines here. */
  readonly plans: boolean;
  /** Whether whoever reads may write into its logs, and add photos. */
  readonly logs: boolean;
  /** Whether whoever reads may change the site and move its lines. */
  readonly isOwn: boolean;
  /** Other sites to which they may move lines. */
  readonly others: readonly { readonly id: string; readonly name: string }[];
}

/** A site with its lines. */
export async function readSite(who: Who, siteId: string): Promise<SitePage> {
  const own = await permittedSite(who, 'read', siteId);
  const [led, plansOn, logsOn] = [sitesOf(who, 'people'), sitesOf(who, 'plan'), sitesOf(who, 'log')];
  const isOwn = led?.includes(own) ?? true;
  const { id, shop, name, stages, archivedAt } = plans;
  const [[site], lines, removed, members, others, photos, templates] = await Promise.all([
    database().select().from(sites).where(eq(sites.id, own)),
    database()
      .select({ id, shop, name, stages, archivedAt })
      .from(plans)
      .where(and(eq(plans.siteId, own), isThere))
      .orderBy(asc(shop), asc(name))
      .limit(200),
    isOwn ? removedOf(own) : [],
    isOwn ? membersOf(own) : [],
    isOwn
      ? database()
          .select({ id: sites.id, name: sites.name })
          .from(sites)
          .where(led && inArray(sites.id, led))
          .orderBy(asc(sites.name))
          .limit(500)
      : [],
    sitePhotosOf(own),
    listTemplates(who),
  ]);
  const { at: _at, ...details } = site as NonNullable<typeof site>;
  const told = (l: (typeof lines)[number]): SiteLine => ({
    id: l.id,
    shop: l.shop ?? '–',
    name: l.name ?? '–',
    stages: l.stages ?? 0,
  });
  return {
    ...details,
    lines: lines.filter((l) => l.archivedAt === null).map(told),
    archived: lines.filter((l) => l.archivedAt !== null).map(told),
    removed,
    members,
    photos,
    templates: templates.filter((t) => t.siteId === own),
    isOwn,
    plans: plansOn?.includes(own) ?? true,
    logs: logsOn?.includes(own) ?? true,
    others: others.filter((o) => o.id !== own),
  };
}
