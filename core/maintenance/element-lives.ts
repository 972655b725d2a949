import { Z80 } from '../desiccant/charge-life';
import { carbonLastsS } from '../equipment/filtering/carbon-filter';
import { freeAirM3PerS } from '../equipment/shared/free-air';
import type { Section } from '../line/section';
import { compressorsOf, SHARE_PER_PA } from '../line/waterfall';
import { type LifeEntry, standingEntries } from '../log/log-entry';
import { type SiteTime, siteTimeMs, siteTimeOf } from '../log/site-clock';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import { DAY_MS, HOUR_S } from '../quantity/constants';
import { cheapestChangeH, type DropRead, type Growth, growthOf } from './element-life';
import { type LoadedClock, loadedClock } from './loaded-clock';
import { taskThatRenews } from './tasks';

const AHEAD_DAYS = 1500;
const BACK_DAYS = 1100;
/** An element that drops reach soaks first: what it reads in its first loaded hours is no loading (estimate). */
const SOAKS_H = 24;
/** The task that changes it, by its kind. */
const WITH_ELEMENTS = ['coalescing-filter', 'particulate-filter', 'carbon-filter'] as const;
type ElementStage = Extract<Stage, { kind: (typeof WITH_ELEMENTS)[number] }>;
/** Stages whose element or charge of carbon is changed. */
export const ELEMENT_KINDS: ReadonlySet<string> = new Set(WITH_ELEMENTS);

/** Why an element is changed on a day. */
export type ChangeReason = 'drop' | 'hours' | 'calendar' | 'oil' | 'cheapest';

/** An element or a charge of carbon: what it has run, how it loads, and the days that ask for a new one. */
export interface ElementLife {
  readonly stage: ElementStage;
  /** When it went in by the log; nothing where the log does not say. */
  readonly since?: SiteTime;
  readonly loadedH?: number;
  /** Whether drops reach it: then its drop about doubles as it soaks. */
  readonly wet: boolean;
  /** Drop of a clean one as the line runs, Pa. */
  readonly cleanPa: number;
  readonly growth?: Growth;
  /** Days that ask for a change, the earliest first; those beyond four years are left out. */
  readonly days: readonly { readonly reason: ChangeReason; readonly on: SiteTime }[];
  /** Between these its drop is at the limit(80 %), by how surely it rises; the second left out where it may never be. */
  readonly dropBand?: readonly [early: SiteTime | undefined, late: SiteTime | undefined];
}

/** The line and its log, as far as the life of an element goes by them. */
interface Known {
  readonly plan: Plan;
  readonly line: Plan;
  readonly section: Section;
  readonly log: readonly LifeEntry[];
  readonly clock: LoadedClock;
  readonly now: SiteTime;
  /** What a pascal costs for a loaded hour. */
  readonly perPaH: number;
}

const loadedH = ({ clock }: Known, from: SiteTime, to: SiteTime): number =>
  clock.factor * clock.hours.between(siteTimeMs(from), siteTimeMs(to));

/** The time at which so many loaded hours have come since another. */
function after({ clock }: Known, since: SiteTime, hours: number | undefined): SiteTime | undefined {
  if (hours === undefined || !Number.isFinite(hours)) return undefined;
  const ms = clock.hours.reaches(siteTimeMs(since), hours / clock.factor);
  return ms === undefined ? undefined : siteTimeOf(ms);
}

/** Drops that were read since, over what was expected; of a wet element those after it has soaked. */
const readsOf = (known: Known, own: readonly LifeEntry[], since: SiteTime, wet: boolean): DropRead[] =>
  own.flatMap((e) =>
    e.readings.flatMap((r, i) => {
      const expected = e.expected[i]?.value ?? 0;
      const hours = loadedH(known, since, e.measuredAt);
      return r.of === 'pressure-drop' && expected > 0 && hours > (wet ? SOAKS_H : 0)
        ? [{ loadedH: hours, ratio: r.value / expected }]
        : [];
    }),
  );

function lifeOf(known: Known, stage: ElementStage): ElementLife {
  const { plan, line, section, log, now, perPaH } = known;
  const task = taskThatRenews(stage.kind);
  const own = log.filter((e) => e.stageId === stage.id && e.result !== 'could-not');
  const since = own
    .filter((e) => e.kind === 'change' || (e.kind === 'done' && e.task === task?.id))
    .map((e) => e.measuredAt)
    .toSorted()
    .at(-1);
  const before = section.at(pathTo(line, stage.id).at(-2)?.id);
  const at = section.at(stage.id);
  const cleanPa = before && at ? before.pressurePa - at.pressurePa : 0;
  const wet = (before?.liquidKgPerS ?? 0) > 0;
  if (since === undefined) return { stage, wet, cleanPa, days: [] };
  const growth = stage.kind === 'carbon-filter' ? undefined : growthOf(readsOf(known, own, since, wet));
  const every = task?.every ?? {};
  const rises = growth && growth.perH * cleanPa > 0 ? growth.perH * cleanPa : undefined;
  const oilS =
    stage.kind === 'carbon-filter' && before
      ? carbonLastsS(stage.parameters, before.temperatureC, freeAirM3PerS(before, surroundingsAt(plan, stage)))
      : undefined;
  const price = priceOfStage(plan.money, stage).price.yearly;
  const days: [ChangeReason, SiteTime | undefined][] = [
    ['drop', after(known, since, rises && every.dropPa && every.dropPa / rises)],
    ['hours', after(known, since, every.loadedH)],
    ['calendar', every.days === undefined ? undefined : siteTimeOf(siteTimeMs(since) + every.days * DAY_MS)],
    ['oil', after(known, since, oilS && oilS / HOUR_S)],
    ['cheapest', after(known, since, rises && cheapestChangeH(price, rises, perPaH))],
  ];
  const limitAt = (perH: number): SiteTime | undefined =>
    every.dropPa && perH > 0 ? after(known, since, every.dropPa / (perH * cleanPa)) : undefined;
  return {
    stage,
    wet,
    since,
    loadedH: loadedH(known, since, now),
    cleanPa,
    ...(growth && { growth }),
    ...(growth &&
      rises && { dropBand: [limitAt(growth.perH + Z80 * growth.sd), limitAt(growth.perH - Z80 * growth.sd)] as const }),
    days: days
      .flatMap(([reason, on]) => (on === undefined ? [] : [{ reason, on }]))
      .toSorted((a, b) => a.on.localeCompare(b.on)),
  };
}

/**
 * Elements and carbon as the log and the line have them. The drop is compared with that of a clean element at the flow of its
 * day, which is kept with each reading; carbon tells nothing by its drop: it goes by oil, temperature, hours and the calendar.
 * @example elementLives(plan, section, [], now).map((l) => l.stage.id) // ["coalescing-filter","fine"]
 */
export function elementLives(
  plan: Plan,
  section: Section,
  entries: readonly LifeEntry[],
  now: SiteTime,
): ElementLife[] {
  const line = standing(plan);
  const known: Known = {
    plan,
    line,
    section,
    log: standingEntries(entries).filter((e) => e.measuredAt <= now),
    clock: loadedClock(plan, entries, siteTimeMs(now) - BACK_DAYS * DAY_MS, BACK_DAYS + AHEAD_DAYS),
    now,
    perPaH: SHARE_PER_PA * (compressorsOf(plan).watts / 1000) * plan.money.perKWh,
  };
  return allStages(line)
    .filter((s): s is ElementStage => ELEMENT_KINDS.has(s.kind))
    .map((stage) => lifeOf(known, stage));
}
