import { z } from 'zod';
import { MEDIA, type Medium } from '../desiccant/isotherm';
import { type LifeEntry, standingEntries } from './log-entry';
import { NAMED_TASKS } from './named-tasks';
import { type SiteTime, siteTimeMs } from './site-clock';

/** A charge of beads as a thing: it is bought, put in, taken out, dried, and discarded in the end. */
export const chargeSchema = z.strictObject({
  id: z.uuid('The charge needs an id.'),
  name: z.string().trim().min(1, 'Enter a name, as on its container.').max(40, 'At most 40 characters.'),
  medium: z.enum(Object.keys(MEDIA) as [Medium, ...Medium[]], { error: 'Unknown beads.' }),
  dyed: z.boolean().default(false),
  /** Dry. */
  massKg: z.number().min(0.01, 'At least 10 g.').max(500, 'At most 500 kg.'),
  batch: z.string().trim().max(60, 'At most 60 characters.').default(''),
  boughtAt: z.string().refine((t) => Number.isFinite(siteTimeMs(t)), 'Not a date and time.'),
  /** When its bag or tin was opened; null while it is sealed. */
  openedAt: z
    .string()
    .refine((t) => Number.isFinite(siteTimeMs(t)), 'Not a date and time.')
    .nullable()
    .default(null),
  /** Dried so often before it came into this log. */
  timesBefore: z.int('A whole number.').min(0, 'Not below 0.').max(60, 'At most 60.').default(0),
});
export type Charge = z.infer<typeof chargeSchema>;

/** A look at a charge: how far it was spent. */
export interface LookAtCharge {
  readonly at: SiteTime;
  readonly spent: number;
}

/** A charge at its place, from when it went in to when another did. */
export interface Stint {
  readonly stageId: string;
  /** Nothing where it was put in without a name. */
  readonly charge: Charge | undefined;
  readonly inAt: SiteTime;
  readonly outAt: SiteTime | undefined;
  /** Times dried before it went in. */
  readonly times: number;
  /** The last where it came out is how far it was spent then. A dew point downstream of it over its band says: wholly. */
  readonly looks: readonly LookAtCharge[];
  /** Weighed while it is in. What is weighed at a change may be the one or the other: it counts for neither. */
  readonly weights: readonly { readonly at: SiteTime; readonly kg: number }[];
  /** Dry, when it was last weighed so. */
  readonly dryKg: number | undefined;
}

const isChange = (e: LifeEntry): boolean =>
  e.result !== 'could-not' && (e.kind === 'change' || (e.kind === 'done' && e.task === NAMED_TASKS.changeCharge));
const weightOf = (e: LifeEntry): number | undefined => e.readings.find((r) => r.of === 'weight')?.value;
function spentOf(e: LifeEntry): number | undefined {
  const seen = e.readings.find((r) => r.of === 'spent')?.value;
  if (seen !== undefined) return seen;
  const wet = e.readings.some((r, i) => r.of === 'dew-point' && e.expected[i] && r.value > e.expected[i].high);
  return wet ? 1 : undefined;
}

/** What stands of the log, the oldest first; within a minute as it was entered. */
const inOrder = (entries: readonly LifeEntry[]): LifeEntry[] =>
  standingEntries(entries).toSorted(
    (a, b) => a.measuredAt.localeCompare(b.measuredAt) || a.enteredAt.localeCompare(b.enteredAt),
  );

/**
 * Who was where, and when, by the log: a change ends one stay and begins the next; how far the old one was exhausted is its last look.
 * @param places stages that hold beads
 * @returns by the time at which they went in, the oldest first
 * @example stintsOf(['beads'], [], []).length // 0
 */
export function stintsOf(
  places: readonly string[],
  charges: readonly Charge[],
  entries: readonly LifeEntry[],
): Stint[] {
  const log = inOrder(entries);
  const times = new Map(charges.map((c) => [c.id, c.timesBefore]));
  const dry = new Map<string, number>();
  const open = new Map<string, Stint & { looks: LookAtCharge[]; weights: { at: SiteTime; kg: number }[] }>();
  const all: Stint[] = [];
  const close = (stageId: string, at: SiteTime): void => {
    const own = open.get(stageId);
    if (own) all.push({ ...own, outAt: at });
    open.delete(stageId);
  };
  for (const e of log) {
    const kg = weightOf(e);
    if (e.kind === 'regeneration' && e.chargeId) {
      times.set(e.chargeId, (times.get(e.chargeId) ?? 0) + 1);
      if (kg !== undefined) dry.set(e.chargeId, kg);
    }
    if (!places.includes(e.stageId) || e.kind === 'put-off') continue;
    const spent = spentOf(e);
    if (spent !== undefined) open.get(e.stageId)?.looks.push({ at: e.measuredAt, spent });
    if (!isChange(e)) {
      if (kg !== undefined) open.get(e.stageId)?.weights.push({ at: e.measuredAt, kg });
      continue;
    }
    close(e.stageId, e.measuredAt);
    // A tin can be in one place only: put in elsewhere, it has left where it was.
    for (const [stageId, s] of open) if (e.chargeId && s.charge?.id === e.chargeId) close(stageId, e.measuredAt);
    const charge = charges.find((c) => c.id === e.chargeId);
    open.set(e.stageId, {
      stageId: e.stageId,
      charge,
      inAt: e.measuredAt,
      outAt: undefined,
      times: charge ? (times.get(charge.id) ?? 0) : 0,
      looks: [],
      weights: [],
      dryKg: charge && (dry.get(charge.id) ?? charge.massKg),
    });
  }
  return [...all, ...open.values()].toSorted((a, b) => a.inAt.localeCompare(b.inAt));
}

/** Where a charge is now. */
export type Whereabouts = 'in place' | 'dry' | 'spent' | 'discarded';

export interface ChargeNow {
  readonly charge: Charge;
  readonly is: Whereabouts;
  readonly stageId?: string;
  /** Times dried in all. */
  readonly times: number;
  /** Since when it is so. */
  readonly since: SiteTime;
  /** Water driven off when it was dried last, kg, where both weights were logged. */
  readonly drivenOffKg?: number;
  readonly dryKg?: number;
}

/**
 * Each charge as the log leaves it: in its place, dry on the shelf, spent and to be dried, or gone.
 * @example chargesNow([], [], []) // []
 */
export function chargesNow(
  charges: readonly Charge[],
  entries: readonly LifeEntry[],
  stints: readonly Stint[],
): ChargeNow[] {
  const log = inOrder(entries);
  return charges.map((charge) => {
    const own = log.filter((e) => e.chargeId === charge.id);
    const dried = own.filter((e) => e.kind === 'regeneration');
    const last = dried.at(-1);
    const gone = own.findLast((e) => e.kind === 'discard');
    const stays = stints.filter((s) => s.charge?.id === charge.id);
    const stay = stays.at(-1);
    const weight = (of: 'weight' | 'weight-wet') => last?.readings.find((r) => r.of === of)?.value;
    const [wet, dry] = [weight('weight-wet'), weight('weight')];
    const rest = {
      charge,
      times: charge.timesBefore + dried.length,
      ...(wet !== undefined && dry !== undefined && { drivenOffKg: wet - dry }),
      ...(dry !== undefined && { dryKg: dry }),
    };
    if (gone) return { ...rest, is: 'discarded', since: gone.measuredAt };
    if (stay && stay.outAt === undefined) return { ...rest, is: 'in place', stageId: stay.stageId, since: stay.inAt };
    if (stay?.outAt && (!last || last.measuredAt < stay.outAt)) return { ...rest, is: 'spent', since: stay.outAt };
    return { ...rest, is: 'dry', since: last?.measuredAt ?? charge.boughtAt };
  });
}
