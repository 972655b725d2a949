import type { StageOf } from '../advice/line-facts';
import { CHILLED_W } from '../cost/cost-of-line';
import { CHILLED, DESICCANT, is, SENSITIVE } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { walk } from '../line/walk';
import { costOfPressure, energyPerM3 } from '../line/waterfall';
import { maintenanceFacts } from '../maintenance/facts';
import { hoursPerMonth, leastServiceMinutes, tasksOfLine } from '../maintenance/line-tasks';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { hoursPerWeek } from '../plan/working-time';
import { WORKING_WEEKS } from '../quantity/constants';
import { type Asked, askedOf, dutyLimitOf, IDS, stagesOfJob } from './base-line';
import { type Bound, isNoDearer, NOTHING, plus } from './bound';
import { asProposed, buildLine, type Choices, withDrain } from './build-line';
import { FastWalk, type Walked } from './fast-walk';
import { inSteps, type Merits, noWorse, withMember } from './front';
import {
  boughtIn,
  ENOUGH_K,
  isAlwaysBought,
  isDirtyAtAJob,
  isFaultedAtOnce,
  isFeasible,
  isOwned,
  type Judged,
  judgeProposal,
  meritsOf,
  missesJob,
  onColdDay,
  worstMarginK,
} from './judge-proposal';
import { loadedFor, rated } from './loaded-line';
import { drainOf, type Group, groupsOf, isTreatedEarly, type Option, type Position, positionsOf } from './positions';
import type { Question } from './question';

/** A line that serves every job, with nothing wrong. */
export interface Proposal {
  readonly plan: Plan;
  readonly choices: readonly number[];
  readonly merits: Merits;
  readonly judged: Judged;
}

/** How far a search is. */
export interface Progress {
  /** Complete lines that are settled, by a bound or by a judgement. */
  readonly settled: number;
  readonly of: number;
  readonly front: readonly Proposal[];
}

/** What came of a search. */
export interface Found extends Progress {
  readonly asked: Asked;
  readonly positions: readonly Position[];
}

/** Of the cut-in pressure, what is certainly left where a dryer blows (the advice faults more loss than a tenth). */
const SWEPT_AT = 0.8;
const WIDEST = 2;
/** Hold the dust of beads back. */
const HOLD_DUST = ['particulate-filter', 'coalescing-filter', 'carbon-filter', 'tool-filter'] as const;
const NO_STAGES: readonly Stage[] = [];
const TELL_EVERY = 200;

/** Whether the stages before it allow a stage: what is faulted in any line whatever. */
function allowed(stage: Stage, before: readonly Stage[], oiled: boolean): boolean {
  const has = (test: (s: Stage) => boolean): boolean => before.some(test);
  const coalescer = (grade: string) => (s: Stage) => s.kind === 'coalescing-filter' && s.parameters.grade === grade;
  if (stage.kind === 'coalescing-filter' && stage.parameters.grade === 'fine') return has(coalescer('general'));
  if (oiled && is([...DESICCANT, 'membrane', 'carbon-filter'], stage.kind)) return has(coalescer('fine'));
  if (is(CHILLED, stage.kind)) return !has((s) => is(DESICCANT, s.kind));
  return true;
}

/** One choice of a part of the line (its main, or the run of a group), with the air that it makes. */
interface Part extends Bound {
  readonly choices: readonly number[];
  readonly walked: Walked | undefined;
  readonly marginK: number;
  readonly lostPa: number;
}

const WEEKS_PER_MONTH = 30.4 / 7;

/** The search of one question. */
class Search {
  readonly asked: Asked;
  readonly positions: readonly Position[];
  private readonly groups: readonly Group[];
  private readonly fast: FastWalk;
  private readonly oiled: boolean;
  private readonly pressurePerPa: number;
  /** What is given costs at least, whatever is built; the tank without its drain is in the bound of the main. */
  private readonly given: Bound;
  private front: readonly Proposal[] = [];
  private settled = 0;
  private of = 0;

  constructor(question: Question, positions?: readonly Position[]) {
    this.asked = askedOf(question);
    this.positions = positions ?? positionsOf(this.asked);
    this.groups = groupsOf(question.jobs);
    this.fast = new FastWalk(this.asked);
    this.oiled = question.compressor.type !== 'oilfree';
    this.pressurePerPa = costOfPressure(this.asked.base).kWhPerPa * question.money.perKWh;
    this.given = this.givenBound();
  }

  /** What is given: the compressor by its hours, anything else as usual. */
  private givenBound(): Bound {
    const { base, question } = this.asked;
    const machines = tasksOfLine(maintenanceFacts(base, walk(base))).filter(
      ({ stage }) => stage.kind === 'intake' || stage.kind === 'compressor',
    );
    const minutes = (hoursPerMonth(machines) * 60) / WEEKS_PER_MONTH;
    const compressor = stageById(base, IDS.compressor) as Stage;
    const pipes = question.jobs.flatMap((_, i) => this.pipeOf(i));
    const { yearly } = priceOfStage(question.money, compressor).price;
    return plus(this.boundOf([stageById(base, IDS.valve) as Stage, ...pipes]), {
      ...NOTHING,
      yearly: yearly + ((minutes * 52) / 60) * question.money.perHour,
      minutesPerWeek: minutes,
    });
  }

  /** What an option costs at least. */
  private boundOf(stages: readonly Stage[]): Bound {
    const { money } = this.asked.question;
    const hours = hoursPerWeek(this.asked.base.survey.working) * WORKING_WEEKS;
    let [purchase, yearly, minutesPerWeek] = [0, 0, 0];
    const owned: Record<string, number> = {};
    for (const s of stages) {
      const { price } = priceOfStage(money, s);
      if (isAlwaysBought(this.asked, s)) purchase += price.first;
      else if (isOwned(this.asked, s)) owned[s.kind] = (owned[s.kind] ?? 0) + price.first;
      const minutes = leastMinutes(s);
      const kWh = ((is(CHILLED, s.kind) ? CHILLED_W * rated(s) : 0) + this.sweepW(s)) * (hours / 1000);
      yearly += price.yearly + kWh * money.perKWh + ((minutes * 52) / 60) * money.perHour;
      minutesPerWeek += minutes;
    }
    return { purchase, yearly, minutesPerWeek, owned };
  }

  /** With the minutes that charges and hand drains ask for by what comes to them. */
  private withWear(bound: Bound, minutes: number): Bound {
    const yearly = ((minutes * 52) / 60) * this.asked.question.money.perHour;
    return { ...bound, yearly: bound.yearly + yearly, minutesPerWeek: bound.minutesPerWeek + minutes };
  }

  /** Power behind the air that a stage blows away whatever passes, at cut-in. */
  private sweepW(s: Stage): number {
    const { base, atmosphericPa, question } = this.asked;
    if ((s.parameters as { control?: string }).control === 'dew-point') return 0; // by its load
    const vents = kindOf(s.kind).ventsM3PerS?.(
      s.parameters,
      atmosphericPa + SWEPT_AT * question.compressor.cutInGaugePa,
    );
    return (vents ?? 0) * energyPerM3(base);
  }

  /** All choices of some positions that the order allows, each with its bound. */
  private *choose(
    places: readonly number[],
    stagesOf: (option: Option) => readonly Stage[],
    before: readonly Stage[],
  ): Generator<{ choices: number[]; stages: readonly Stage[] }> {
    const choices: number[] = [];
    const { positions, oiled } = this;
    function* from(i: number, stages: readonly Stage[]): Generator<{ choices: number[]; stages: readonly Stage[] }> {
      if (i === places.length) {
        yield { choices: [...choices], stages };
        return;
      }
      const { options } = positions[places[i] as number] as Position;
      for (const [k, option] of options.entries()) {
        const own = stagesOf(option);
        if (own.some((s) => !allowed(s, [...before, ...stages], oiled))) continue;
        choices[i] = k;
        yield* from(i + 1, [...stages, ...own]);
      }
    }
    yield* from(0, []);
  }

  /** The mains: everything that all jobs share. */
  private mains(places: readonly number[]): Part[] {
    const { asked, positions, fast } = this;
    const before = places.filter((p) => positions[p]?.where === 'before-tank').length;
    const [, , receiver, valve] = asked.base.stages as [Stage, Stage, Stage, Stage];
    const start = fast.start();
    const parts: Part[] = [];
    for (const { choices, stages } of this.choose(places, (o) => o.stages, [])) {
      const options = choices.map((c, i) => (positions[places[i] as number] as Position).options[c] as Option);
      const first = options.slice(0, before).reduce((n, o) => n + o.stages.length, 0);
      const drains = options.find((o) => o.drains)?.drains ?? 'by hand';
      const drained = (s: Stage): Stage => withDrain(s, drainOf(s.kind, drains, asked.question.hasPower === 'yes'));
      const tank = drained(receiver);
      const walked = fast.main(start, [...stages.slice(0, first).map(drained), tank, valve, ...stages.slice(first)]);
      if (!walked) continue;
      const price = (s: Stage): number => priceOfStage(asked.question.money, s).price.first;
      const bound = this.withWear(this.boundOf([...stages.map(drained), tank]), walked.wearMinutes);
      parts.push({
        ...plus(bound, this.given),
        purchase: bound.purchase + this.given.purchase + price(tank) - price(receiver),
        choices,
        walked,
        marginK: ENOUGH_K,
        lostPa: walked.lostPa,
      });
    }
    return parts;
  }

  /**
   * What a group’s jobs may get of a main’s air: of all that is allowed, what serves each of them by the fast walk. Runs that
   * begin alike are walked once; one that has lost the pressure of its job, or is too dear already, is followed no further.
   */
  private served(main: Part, before: readonly Stage[], places: readonly number[], group: readonly number[]): Part[] {
    const { asked, positions, fast, oiled } = this;
    const { budget, minutesPerWeek } = asked.question;
    const isEarly = isTreatedEarly(asked, group[0] as number);
    const arrives = group.map((job) => {
      const air = fast.toJob(main.walked, job);
      return isEarly ? air : fast.run(air, this.pipeOf(job), job);
    });
    const found: Part[] = [];
    const choices: number[] = [];
    const enter = (airs: readonly Walked[], stagesAt: (job: number) => readonly Stage[]): Walked[] | undefined => {
      const left: Walked[] = [];
      for (const [g, job] of group.entries()) {
        const air = fast.run(airs[g], stagesAt(job), job);
        if (!air || fast.isStarved(air, job)) return undefined;
        left.push(air);
      }
      return left;
    };
    const stagesAt = (job: number): readonly Stage[] =>
      places.flatMap((p, i) => this.stagesOf(p, choices[i] as number, job));
    const end = (airs: readonly Walked[], stages: readonly Stage[], bound: Bound): void => {
      const own = stages.slice(before.length);
      if (this.shedsDust(own, group) || this.takesRoomOil(stages, group)) return;
      let marginK = ENOUGH_K;
      for (const [g, job] of group.entries()) {
        if (!fast.isSupplied(arrives[g] as Walked, airs[g] as Walked, () => stagesAt(job), job)) return;
        const margin = fast.marginAtJob(airs[g] as Walked, job);
        if (margin === undefined || margin < -fast.slack.k) return;
        marginK = Math.min(marginK, margin);
      }
      const hasBeads = own.some((s) => s.kind === 'bead-cartridge');
      if (hasBeads && group.some((job, g) => fast.isOpen(arrives[g] as Walked, stagesAt(job), job))) return;
      found.push({ ...bound, choices: [...choices], walked: undefined, marginK, lostPa: mostLost(airs) });
    };
    const isParted = this.groups.length > 1;
    const dryPlace = this.dryPlaceOf(places);
    /** What follows only costs more and loses more: another run with the same dryer stays better, where it is as dry as is worth having. */
    const isBeaten = (airs: readonly Walked[], bound: Bound): boolean =>
      found.some(
        (k) =>
          k.choices[dryPlace] === choices[dryPlace] &&
          k.marginK >= ENOUGH_K &&
          isNoDearer(k, bound) &&
          k.yearly <= bound.yearly &&
          k.minutesPerWeek <= bound.minutesPerWeek &&
          k.lostPa <= mostLost(airs),
      );
    const follow = (i: number, airs: readonly Walked[], stages: readonly Stage[], paid: Bound): void => {
      const wear = airs.reduce((sum, a) => sum + a.wearMinutes - (main.walked?.wearMinutes ?? 0), 0);
      const bound = this.withWear(paid, wear);
      if (bound.purchase > budget || bound.minutesPerWeek + this.given.minutesPerWeek > minutesPerWeek) return;
      if (isParted && i > dryPlace && isBeaten(airs, bound)) return;
      if (i === places.length) {
        end(airs, stages, bound);
        return;
      }
      const { options } = positions[places[i] as number] as Position;
      for (const [k, { wider }] of options.entries()) {
        const at = (job: number): readonly Stage[] => this.stagesOf(places[i] as number, k, job);
        const own = at(group[0] as number);
        if (own.some((s) => !allowed(s, stages, oiled))) continue;
        const leaves = own.length === 0 ? airs : enter(airs, at);
        if (!leaves) continue;
        choices[i] = k;
        const bought = this.boundOfOption(
          `${places[i]} ${k}`,
          () => group.flatMap(at).filter((s) => s.kind !== 'pipe'), // a pipe is given, wherever it stands
        );
        follow(i + 1, leaves, own.length === 0 ? stages : [...stages, ...own], plus(paid, bought));
        if (wider !== undefined) break; // the smallest that brings the pressure: sized, not searched
      }
    };
    this.of += places.reduce((n, p) => n * (positions[p] as Position).options.length, 1);
    if (arrives.every((air) => air !== undefined)) follow(0, arrives, before, NOTHING);
    return found;
  }

  /**
   * Of the runs of a group those that no other with the same dryer beats in all that counts: what a run costs and does depends
   * on the air of the main, not on the runs of other groups.
   */
  private unbeaten(parts: readonly Part[], dryPlace: number): Part[] {
    const kept: Part[] = [];
    const sorted = parts.toSorted((a, b) => a.purchase - b.purchase || a.yearly - b.yearly);
    for (const p of sorted) {
      const beaten = kept.some(
        (k) =>
          k.choices[dryPlace] === p.choices[dryPlace] &&
          isNoDearer(k, p) &&
          k.yearly <= p.yearly &&
          k.minutesPerWeek <= p.minutesPerWeek &&
          k.marginK >= p.marginK - 1e-9 &&
          k.lostPa <= p.lostPa,
      );
      if (!beaten) kept.push(p);
    }
    return kept;
  }

  private servedAll(
    main: Part,
    stages: readonly Stage[],
    groups: readonly Group[],
    places: readonly (readonly number[])[],
  ): Part[][] {
    const perGroup: Part[][] = [];
    for (const [g, group] of groups.entries()) {
      const own = places[g] as readonly number[];
      const served = this.served(main, stages, own, group);
      perGroup.push(groups.length > 1 ? this.unbeaten(served, this.dryPlaceOf(own)) : served);
      if (served.length === 0) break; // whatever the others get, one job is not served
    }
    return perGroup.length === groups.length ? perGroup : [[]];
  }

  private dryPlaceOf = (places: readonly number[]): number =>
    places.findIndex((p) => this.positions[p]?.id.startsWith('dry-'));

  private readonly bounds = new Map<string, Bound>();
  private boundOfOption(key: string, stages: () => readonly Stage[]): Bound {
    const known = this.bounds.get(key) ?? this.boundOf(stages());
    this.bounds.set(key, known);
    return known;
  }

  /** What an option of a position puts at a job. */
  private stagesOf(place: number, option: number, job: number): readonly Stage[] {
    const { byJob, wider } = (this.positions[place] as Position).options[option] as Option;
    return wider === undefined ? (byJob?.get(job) ?? NO_STAGES) : this.endOf(job, wider);
  }

  private outletOf = (job: number): StageOf<'outlet'>['parameters'] =>
    (stageById(this.asked.base, IDS.outlet(job)) as StageOf<'outlet'>).parameters;

  /** Whether the dust of a job’s own beads would reach it, where dust matters (O09). */
  private shedsDust(own: readonly Stage[], group: readonly number[]): boolean {
    const beads = own.findLastIndex((s) => is(DESICCANT, s.kind));
    if (beads < 0 || own.slice(beads).some((s) => is(HOLD_DUST, s.kind))) return false;
    return group.some((job) => {
      const { use, particleClass } = this.outletOf(job);
      return (SENSITIVE as readonly string[]).includes(use) || ['1', '2', '3'].includes(particleClass);
    });
  }

  /** Whether the oil of the room would reach a job that asks for class 1 or 2, from a compressor without oil (O56). */
  private takesRoomOil(stages: readonly Stage[], group: readonly number[]): boolean {
    if (this.oiled || ['carbon-filter', 'coalescing-filter'].every((k) => stages.some((s) => s.kind === k)))
      return false;
    return group.some((job) => ['1', '2'].includes(this.outletOf(job).oilClass));
  }

  /** The pipe to a job, of the smallest size: a wider one loses less, and cools the air alike. */
  private pipeOf = (job: number): readonly Stage[] => this.runOf(job, WIDEST).filter((s) => s.kind === 'pipe');

  /** What stands downstream of a job’s treatment: regulator, hose, outlet, and a pipe that is always cold. */
  private endOf(job: number, steps: number): readonly Stage[] {
    return isTreatedEarly(this.asked, job)
      ? this.runOf(job, steps)
      : this.runOf(job, steps).filter((s) => s.kind !== 'pipe');
  }

  private readonly runs = new Map<string, readonly Stage[]>();
  private runOf(job: number, steps: number): readonly Stage[] {
    const key = `${job} ${steps}`;
    const known = this.runs.get(key) ?? stagesOfJob(this.asked, job, steps);
    this.runs.set(key, known);
    return known;
  }

  private progress(): Progress {
    return { settled: this.settled, of: this.of, front: this.front };
  }

  /** Looks at all lines; tells how far it is as it goes. */
  *run(): Generator<Progress, Found> {
    const { asked, positions } = this;
    const { question: q } = asked;
    // No treatment gives air: with too much asked of the compressor nothing is possible.
    if (asked.demandM3PerS > asked.deliversM3PerS * dutyLimitOf(q.compressor.type) || q.breathed === 'yes')
      return { ...this.progress(), asked, positions };
    const { groups } = this;
    const at = (test: (p: Position) => boolean): number[] => positions.flatMap((p, i) => (test(p) ? [i] : []));
    const mainPlaces = at((p) => typeof p.where !== 'number');
    const groupPlaces = groups.map((_, g) => at((p) => p.where === g));
    const lines: (Omit<Bound, 'owned'> & { choices: number[]; marginK: number })[] = [];
    const servedBy = new Map<string, Part[][]>();
    for (const main of this.mains(mainPlaces)) {
      const stages = mainPlaces.flatMap(
        (p, i) => (positions[p] as Position).options[main.choices[i] as number]?.stages ?? [],
      );
      const alike = airOf(stages);
      const known = servedBy.get(alike);
      const perGroup = known ?? this.servedAll(main, stages, groups, groupPlaces);
      if (!known) servedBy.set(alike, perGroup);
      yield this.progress();
      for (const parts of product(perGroup)) {
        const sum = parts.reduce<Bound>(plus, main);
        if (sum.purchase > q.budget || sum.minutesPerWeek > q.minutesPerWeek) {
          this.settled++;
          continue;
        }
        const lostPa = Math.max(0, ...parts.map((p) => p.lostPa));
        const choices = new Array<number>(positions.length).fill(0);
        for (const [i, p] of mainPlaces.entries()) choices[p] = main.choices[i] as number;
        for (const [g, part] of parts.entries())
          for (const [i, p] of (groupPlaces[g] as number[]).entries()) choices[p] = part.choices[i] as number;
        lines.push({
          purchase: sum.purchase,
          yearly: sum.yearly + lostPa * this.pressurePerPa,
          minutesPerWeek: sum.minutesPerWeek,
          marginK: Math.min(ENOUGH_K, ...parts.map((p) => p.marginK + this.fast.slack.k)),
          choices,
        });
      }
    }
    lines.sort((a, b) => a.purchase - b.purchase || a.yearly - b.yearly);
    for (const [n, { choices, ...bound }] of lines.entries()) {
      this.settled++;
      if (n % TELL_EVERY === 0) yield this.progress();
      const least = inSteps(bound);
      if (this.front.some((m) => noWorse(m.merits, least))) continue;
      this.consider(choices);
    }
    return { ...this.progress(), asked, positions };
  }

  /** Judges a line as its own screens would, and keeps it where no other is nowhere worse. */
  private consider(choices: readonly number[]): void {
    const { asked } = this;
    const plan = loadedFor(buildLine(asked, this.positions, choices));
    const section = walk(plan);
    const marginK = worstMarginK(plan, section);
    if (marginK === undefined) return;
    // What misses a job by its middle figures does so all the more by its bands: no need to judge it.
    const cold = onColdDay(asked, plan);
    const coldSection = walk(cold);
    if (marginK < 0 || (worstMarginK(cold, coldSection) ?? -1) < 0) return;
    const merits = meritsOf(asked, plan, section, marginK);
    if (merits.minutesPerWeek > asked.question.minutesPerWeek || merits.purchase > asked.question.budget) return;
    if (this.front.some((m) => noWorse(m.merits, merits))) return;
    const bought = boughtIn(asked, plan);
    const proposed = asProposed(plan, (s) => bought.has(s.id));
    if (isDirtyAtAJob(cold, coldSection) || isFaultedAtOnce(proposed, section)) return;
    if (missesJob(onColdDay(asked, proposed), coldSection) || missesJob(proposed, section)) return;
    const judged = judgeProposal(asked, proposed);
    if (isFeasible(judged)) this.front = withMember(this.front, { plan: proposed, choices, merits, judged });
  }
}

const mostLost = (airs: readonly Walked[]): number => airs.reduce((most, a) => Math.max(most, a.lostPa), 0);

/** Mains that differ in their drains only send on the same air. */
const airOf = (stages: readonly Stage[]): string =>
  JSON.stringify(stages.map(({ id, parameters }) => [id, parameters]));

/**
 * The line of a choice: its new stages told as proposed, its compressor loaded for what the jobs and its own losses take.
 * @example proposedLine(asked, positionsOf(asked), new Array(12).fill(0)).name // 'Proposed line'
 */
export function proposedLine(asked: Asked, positions: readonly Position[], choices: Choices): Plan {
  const plan = loadedFor(buildLine(asked, positions, choices));
  const bought = boughtIn(asked, plan);
  return asProposed(plan, (s) => bought.has(s.id));
}

/** Minutes a week that a stage asks for at least: water and hours only add to them. */
const leastMinutes = (s: Stage): number => leastServiceMinutes(s) / WEEKS_PER_MONTH;

/** One of each. */
function* product<T>(lists: readonly (readonly T[])[]): Generator<T[]> {
  const [first, ...rest] = lists;
  if (!first) yield [];
  else for (const tail of product(rest)) for (const head of first) yield [head, ...tail];
}

/**
 * Looks for the lines that serve all jobs of a question and that no other beats in purchase, yearly cost, minutes a week and
 * margin. Exact: what it leaves out by a bound could not have been on the front.
 * @returns a generator that tells how far it is; its end is the front
 * @example [...search(question({}))].length > 0 // true
 */
export const search = (question: Question, positions?: readonly Position[]): Generator<Progress, Found> =>
  new Search(question, positions).run();

/**
 * The same at once.
 * @example found.front.length // 2
 */
export function searched(question: Question, positions?: readonly Position[]): Found {
  const run = search(question, positions);
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
}
