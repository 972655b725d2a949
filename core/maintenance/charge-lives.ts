import {
  type Belief,
  type ChangeDay,
  type ChargeAtPlace,
  capacityOf,
  FACTOR_BEFORE,
  LEAST_READ,
  learnFactor,
  predictChange,
} from '../desiccant/charge-life';
import { type Medium, usableWater } from '../desiccant/isotherm';
import { leftAfter } from '../desiccant/judge-charge';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import { type Charge, type Stint, stintsOf } from '../log/charge';
import type { LifeEntry } from '../log/log-entry';
import { type SiteTime, siteTimeMs, siteTimeOf } from '../log/site-clock';
import { setParameter } from '../plan/edit';
import { unitById } from '../plan/machine-units';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { DAY_MS } from '../quantity/constants';
import { type Neglect, neglectOfDrains } from '../year/neglect';
import { runWeather, type WeatherRun } from '../year/run-weather';
import type { WeatherHours } from '../year/weather';
import { chargeLoad, inletHumidity } from './charge-load';
import { type LoadedClock, loadedClock } from './loaded-clock';

/** So far ahead a change is looked for, and so far back the log counts. */
export const AHEAD_DAYS = 540;
const BACK_DAYS = 1100;
const SOON_DAYS = 7;
/** Heavier than so many times what handbooks give it was weighed with something else. */
const MOST_SPENT = 2;
/** Charges that were followed before a place counts as known (estimate: then half of the first uncertainty is gone). */
export const KNOWN_FROM = 3;

/** Where beads can be put, also in a unit that is away just now. */
export type BeadPlace = Extract<Stage, { kind: 'bead-cartridge' | 'home-made-housing' }>;
/**
 * Whether a stage holds beads.
 * @example isBeadPlace(stage('receiver')) // false
 */
export const isBeadPlace = (s: Stage): s is BeadPlace =>
  s.kind === 'bead-cartridge' || (s.kind === 'home-made-housing' && s.parameters.filling === 'gel');
/**
 * The stages of a line that hold beads.
 * @example beadPlaces(plan).map((s) => s.id) // ["beads"]
 */
export const beadPlaces = (plan: Plan): BeadPlace[] => allStages(plan).filter(isBeadPlace);

/**
 * What a place is filled with, where no charge says otherwise.
 * @example mediumOf(stage('beads')) // 'silica'
 */
export const mediumOf = (place: BeadPlace): Medium =>
  place.kind === 'bead-cartridge' ? place.parameters.medium : 'silica';

/** A stay that is over, and what it taught. */
export interface PastStay {
  readonly stint: Stint;
  readonly loadKg: number;
  readonly handbookKg: number;
  /** How far it was spent when it came out, where somebody looked. */
  readonly spent: number | undefined;
}

export type LifeState = 'empty' | 'overdue' | 'soon' | 'learning' | 'known';

/** A place with beads: what its charges taught, the one that is in, and when it is spent. */
export interface PlaceLife {
  readonly stageId: string;
  readonly name: string;
  readonly state: LifeState;
  readonly factor: Belief;
  readonly learnedFrom: number;
  readonly past: readonly PastStay[];
  /** What reaches it where a drain before it is left alone, the worst first. */
  readonly neglect: readonly Neglect[];
  readonly stay?: Stint;
  readonly handbookKg?: number;
  readonly loadKg?: number;
  readonly capacity?: Belief;
  readonly change?: ChangeDay;
  /** Where it is overdue: when, as estimated, it was exhausted. */
  readonly spentOn?: SiteTime;
}

/** Weighings as looks: the water in it, of what it should take up by the book. What is lighter than dry tells nothing. */
const weighed = (s: Stint, handbookKg: number): Stint['looks'] =>
  s.weights.flatMap(({ at, kg }) => {
    const spent = s.dryKg === undefined ? 0 : (kg - s.dryKg) / handbookKg;
    return spent > 0 && spent < MOST_SPENT ? [{ at, spent }] : [];
  });

/** The first day between two times on which something that stays true is true. */
function dayOf(from: SiteTime, to: SiteTime, is: (t: SiteTime) => boolean): SiteTime {
  let ms = siteTimeMs(from);
  while (ms < siteTimeMs(to) && !is(siteTimeOf(ms))) ms += DAY_MS;
  return siteTimeOf(ms);
}

/** Beads as good as new at every place, and every unit in its place: what comes to beads does not hang on how far the last look found them spent, nor what came on a unit being away now. */
function asNew(plan: Plan): Plan {
  const here: Plan = { ...plan, units: plan.units.map((u) => ({ ...u, is: 'here' })) };
  return beadPlaces(here).reduce((p, s) => setParameter(p, s.id, 'spentShare', 0), here);
}

/** Until when air can have come to a place: for ever, or until the unit that it is part of was carried away, when its hours were settled. */
function airUntil(plan: Plan, place: BeadPlace, now: SiteTime): SiteTime | undefined {
  const unit = unitById(plan, place.unit);
  return unit?.form === 'portable' && unit.is === 'away' ? (unit.countedAt ?? now) : undefined;
}

/** The line, its log and its weather up to now: what every place is judged on. */
interface Course {
  readonly plan: Plan;
  /** With beads as good as new, and every unit in its place. */
  readonly line: Plan;
  readonly run: WeatherRun | undefined;
  readonly section: Section;
  readonly clock: LoadedClock;
  readonly stints: readonly Stint[];
  /** From when on loads are known. */
  readonly fromMs: number;
  readonly now: SiteTime;
}

function stateOf({ days: [, mid] }: ChangeDay, learnedFrom: number): LifeState {
  if (mid <= 0) return 'overdue';
  if (mid <= SOON_DAYS) return 'soon';
  return learnedFrom < KNOWN_FROM ? 'learning' : 'known';
}

/** What is known of one place; nothing where it was stopped. */
function lifeAt(course: Course, place: BeadPlace, onProgress: (share: number) => boolean): PlaceLife | undefined {
  const { plan, line, now } = course;
  const load = chargeLoad(line, course.run, place.id, course.clock, airUntil(plan, place, now));
  const humidity = inletHumidity(line, course.section, place.id);
  const handbookKg = ({ charge, times }: Stint): number => {
    const medium: Medium = charge?.medium ?? mediumOf(place);
    return (charge?.massKg ?? place.parameters.massKg) * usableWater(medium, humidity) * leftAfter(medium, times);
  };
  const atPlace = (s: Stint): ChargeAtPlace => ({
    handbookKg: handbookKg(s),
    looks: [...s.looks, ...weighed(s, handbookKg(s))]
      .filter((l) => l.at <= now)
      .toSorted((a, b) => a.at.localeCompare(b.at))
      .map((l) => ({ loadKg: load.kgBetween(s.inAt, l.at), spent: l.spent })),
  });
  const own = course.stints.filter((s) => s.stageId === place.id);
  const over = own.filter((s) => s.outAt !== undefined && siteTimeMs(s.inAt) >= course.fromMs);
  const past = over.map(
    (s): PastStay => ({
      stint: s,
      loadKg: load.kgBetween(s.inAt, s.outAt as SiteTime),
      handbookKg: handbookKg(s),
      spent: s.looks.at(-1)?.spent,
    }),
  );
  const factor = learnFactor(over.map(atPlace), FACTOR_BEFORE);
  const learnedFrom = past.filter((p) => (p.spent ?? 0) >= LEAST_READ && p.loadKg > 0).length;
  const unit = unitById(plan, place.unit)?.name;
  const known = {
    stageId: place.id,
    name: unit ? `${place.name} · ${unit}` : place.name,
    factor,
    learnedFrom,
    past,
    neglect: neglectOfDrains(line, place.id),
  };
  const stay = own.find((s) => s.outAt === undefined);
  if (!stay) return { ...known, state: 'empty' };
  const at = atPlace(stay);
  const capacity = capacityOf(factor, at);
  const loadKg = load.kgBetween(stay.inAt, now);
  const change = predictChange(capacity, loadKg, load.daily(now, AHEAD_DAYS), { onProgress });
  if (!change) return undefined;
  const state = stateOf(change, learnedFrom);
  const isSpent = (t: SiteTime): boolean => load.kgBetween(stay.inAt, t) >= Math.exp(capacity.ln);
  const spentOn = state === 'overdue' ? dayOf(stay.inAt, now, isSpent) : undefined;
  return { ...known, ...(spentOn && { spentOn }), state, stay, handbookKg: at.handbookKg, loadKg, capacity, change };
}

/**
 * What is known of every place with beads, by the log, the line and the weather.
 * @param weather of a year; left out, the air of the survey counts
 * @param onProgress is told the share that is done; where it says false nothing is returned
 * @throws OutOfRange as the walk does
 * @example livesOf(plan, undefined, [], [], now).map((l) => l.state) // ["empty"]
 */
export function livesOf(
  plan: Plan,
  weather: WeatherHours | undefined,
  charges: readonly Charge[],
  entries: readonly LifeEntry[],
  now: SiteTime,
  onProgress: (share: number) => boolean = () => true,
): PlaceLife[] | undefined {
  const line = asNew(plan);
  const places = beadPlaces(line);
  if (places.length === 0) return [];
  const ids = places.map((s) => s.id);
  const stints = stintsOf(ids, charges, entries).filter((s) => s.inAt <= now);
  const year = Number(now.slice(0, 4));
  const run = weather && runWeather(line, weather, { year }, 'real', (done, of) => onProgress((0.7 * done) / of));
  if (weather && !run) return undefined;
  const nowMs = siteTimeMs(now);
  const firstMs = stints[0] ? siteTimeMs(stints[0].inAt) : nowMs;
  const fromMs = Math.max(firstMs, nowMs - BACK_DAYS * DAY_MS);
  const days = Math.ceil((nowMs - fromMs) / DAY_MS) + AHEAD_DAYS + 2;
  const clock = loadedClock(line, entries, fromMs, days);
  const course = { plan, line, run, section: walk(standing(line)), clock, stints, fromMs, now };
  const lives: PlaceLife[] = [];
  for (const [i, place] of places.entries()) {
    const life = lifeAt(course, place, (share) => onProgress(0.7 + (0.3 * (i + share)) / places.length));
    if (!life) return undefined;
    lives.push(life);
  }
  return lives;
}
