import { walk } from '../line/walk';
import { costOfPressure } from '../line/waterfall';
import type { Plan } from '../plan/plan';
import { type Asked, askedOf, dutyLimitOf } from './base-line';
import { type Bound, plus } from './bound';
import { asProposed, buildLine, type Choices } from './build-line';
import { FastWalk } from './fast-walk';
import { inSteps, type Merits, noWorse, withMember } from './front';
import { isNoPipe, JobRuns } from './job-runs';
import {
  boughtIn,
  ENOUGH_K,
  isDirtyAtAJob,
  isFaultedAtOnce,
  isFeasible,
  type Judged,
  judgeProposal,
  meritsOf,
  missesJob,
  onColdDay,
  worstMarginK,
} from './judge-proposal';
import { LeastCost } from './least-cost';
import { loadedFor } from './loaded-line';
import { type Alike, mainsByAir } from './mains';
import { compressorsFor } from './open-compressor';
import { groupsOf, type Position, positionsOf } from './positions';
import type { Question } from './question';
import { type Part, ServedRuns } from './served-runs';

/** A line that serves every job, with nothing wrong. */
export interface Proposal {
  /** With the compressor that this line has. */
  readonly asked: Asked;
  readonly plan: Plan;
  readonly choices: readonly number[];
  readonly merits: Merits;
  readonly judged: Judged;
}

/** How far a search is. */
export interface Progress {
  /** Complete lines that are settled, by a rule, a bound or a judgement, of all that can be put together. */
  readonly settled: number;
  readonly of: number;
  readonly front: readonly Proposal[];
}

/** What came of a search. */
export interface Found extends Progress {
  /** Of several sizes of compressor, that of the cheapest line. */
  readonly asked: Asked;
  readonly positions: readonly Position[];
}

const TELL_EVERY = 200;

/** A line that is not built yet, with what it costs at least and the most that its margin may be. */
interface Line extends Merits {
  readonly choices: readonly number[];
}

/** Of so many mains one is a scout. */
const SCOUT_EVERY = 8;
const MOST_SCOUTED = 3;

/** Of lines with all the margin that is worth having those that may be on the front by their bounds, some of all sorts. */
function bestOf(lines: readonly Line[]): readonly Line[] {
  const best = lines
    .filter((l) => l.marginK >= ENOUGH_K)
    .reduce<readonly { readonly line: Line; readonly merits: Merits }[]>(
      (front, line) => withMember(front, { line, merits: inSteps(line) }),
      [],
    );
  const every = Math.ceil(best.length / MOST_SCOUTED);
  return best.flatMap(({ line }, n) => (n % every === 0 ? [line] : []));
}

/** The search of one question, with one compressor. */
class Search {
  readonly asked: Asked;
  readonly positions: readonly Position[];
  private readonly fast: FastWalk;
  private readonly cost: LeastCost;
  private readonly runs: JobRuns;
  private readonly pressurePerPa: number;
  /** What is given costs at least, whatever is built; the tank without its drain is in the bound of the main. */
  private readonly given: Bound;
  /** Lines that can be put together. */
  readonly all: number;
  private front: readonly Proposal[] = [];
  /** Lines whose air misses a job on one of the days, by {@link airKey}. */
  private readonly missed = new Set<string>();

  constructor(question: Question, positions?: readonly Position[]) {
    this.asked = askedOf(question);
    this.positions = positions ?? positionsOf(this.asked);
    this.all = this.positions.reduce((n, { options }) => n * options.length, 1);
    this.fast = new FastWalk(this.asked);
    this.cost = new LeastCost(this.asked);
    this.runs = new JobRuns(this.asked);
    this.pressurePerPa = costOfPressure(this.asked.base).kWhPerPa * question.money.perKWh;
    this.given = this.cost.given(
      question.jobs.flatMap((_, i) => [...this.runs.pipe(i), ...this.runs.end(i, 0).filter(isNoPipe)]),
    );
  }

  /**
   * Looks at all lines; tells how far it is as it goes.
   * @param front of the compressors before this one
   * @returns the front with its own
   */
  *run(front: Progress['front']): Generator<Pick<Progress, 'settled' | 'front'>, Progress['front']> {
    this.front = front;
    const { asked, positions } = this;
    const { question: q } = asked;
    // No treatment gives air: with too much asked of the compressor nothing is possible.
    if (asked.demandM3PerS > asked.deliversM3PerS * dutyLimitOf(q.compressor.type) || q.breathed === 'yes')
      return this.front;
    const groups = groupsOf(q.jobs);
    const at = (test: (p: Position) => boolean): number[] => positions.flatMap((p, i) => (test(p) ? [i] : []));
    const mainPlaces = at((p) => typeof p.where !== 'number');
    const groupPlaces = groups.map((_, g) => at((p) => p.where === g));
    const { fast, cost, runs } = this;
    const served = new ServedRuns(
      { asked, positions, fast, cost, runs, isBeaten: (bound) => this.isBeaten({ ...bound, marginK: ENOUGH_K }) },
      groups.map((group, g) => ({ group, places: groupPlaces[g] as number[] })),
    );
    const airs = mainsByAir({ asked, positions, fast, cost, least: this.given }, mainPlaces);
    const mains = airs.reduce((n, { alike }) => n + alike.length, 0);
    let waiting: Line[] = [];
    let looked = 0;
    // No main may be left that bears its air.
    const settled = (): number => (looked / Math.max(1, mains)) * this.all - waiting.length;
    const expand = ({ stages, alike, least }: Alike): void => {
      looked += alike.length;
      if (this.isBeaten({ ...least, marginK: ENOUGH_K })) return;
      const perGroup = served.all((alike[0] as Part).walked, stages, least);
      for (const main of alike)
        for (const parts of product(perGroup)) {
          const line = this.lineOf(main, mainPlaces, parts, groupPlaces);
          if (!this.isBeaten(line)) waiting.push(line);
        }
      waiting.sort((a, b) => a.purchase - b.purchase || a.yearly - b.yearly);
    };
    // A line that is found early tells what of the dearer mains is worth no look: some of all sorts first, then the cheapest.
    const isScout = (n: number): boolean => q.jobs.length > 1 && n % SCOUT_EVERY === SCOUT_EVERY / 2;
    for (const air of airs.filter((_, n) => isScout(n))) {
      const before = new Set(waiting);
      expand(air);
      for (const line of bestOf(waiting.filter((l) => !before.has(l))))
        if (!this.isBeaten(line)) this.consider(line.choices);
      yield this.told(settled());
    }
    for (const air of airs.filter((_, n) => !isScout(n))) {
      waiting = yield* this.considered(waiting, air.least.purchase, settled);
      expand(air);
    }
    yield* this.considered(waiting, Number.POSITIVE_INFINITY, settled);
    return this.front;
  }

  /** A line with what it costs at least, and the most that its margin may be. */
  private lineOf(
    main: Part,
    mainPlaces: readonly number[],
    parts: readonly Part[],
    groupPlaces: readonly (readonly number[])[],
  ): Line {
    const sum = parts.reduce<Bound>(plus, main);
    const lostPa = Math.max(0, ...parts.map((p) => p.lostPa));
    const choices = new Array<number>(this.positions.length).fill(0);
    for (const [i, p] of mainPlaces.entries()) choices[p] = main.choices[i] as number;
    for (const [g, part] of parts.entries())
      for (const [i, p] of (groupPlaces[g] as number[]).entries()) choices[p] = part.choices[i] as number;
    return {
      purchase: sum.purchase,
      yearly: sum.yearly + lostPa * this.pressurePerPa,
      minutesPerWeek: sum.minutesPerWeek,
      marginK: Math.min(ENOUGH_K, ...parts.map((p) => p.marginK + this.fast.slack.k)),
      choices,
    };
  }

  /** Whether what costs at least so much cannot be on the front: too dear, or another line is nowhere worse. */
  private isBeaten({ purchase, yearly, minutesPerWeek, marginK }: Merits): boolean {
    const { budget, minutesPerWeek: given } = this.asked.question;
    if (purchase > budget || minutesPerWeek > given) return true;
    const least = inSteps({ purchase, yearly, minutesPerWeek, marginK });
    return this.front.some((m) => noWorse(m.merits, least));
  }

  /**
   * Judges the lines that cost no more than so much.
   * @returns the others
   */
  private *considered(
    lines: readonly Line[],
    most: number,
    settled: () => number,
  ): Generator<Pick<Progress, 'settled' | 'front'>, Line[]> {
    const dearer = lines.findIndex((l) => l.purchase > most);
    const end = dearer < 0 ? lines.length : dearer;
    for (const [n, line] of lines.slice(0, end).entries()) {
      if (n % TELL_EVERY === 0) yield this.told(settled() + n);
      if (!this.isBeaten(line)) this.consider(line.choices);
    }
    yield this.told(settled() + end);
    return lines.slice(end);
  }

  private told(settled: number): Pick<Progress, 'settled' | 'front'> {
    return { settled: Math.max(0, Math.round(settled)), front: this.front };
  }

  /** The same for lines that differ in their drains only: those change nothing in the air. */
  private airKey(choices: readonly number[]): string {
    return choices.map((k, p) => (this.positions[p]?.options[k]?.drains ? '' : k)).join(' ');
  }

  /** Judges a line as its own screens would, and keeps it where no other is nowhere worse. */
  private consider(choices: readonly number[]): void {
    const { asked } = this;
    const key = this.airKey(choices);
    if (this.missed.has(key)) return;
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
    if (missesJob(proposed, section) || missesJob(onColdDay(asked, proposed), coldSection)) {
      this.missed.add(key);
      return;
    }
    const judged = judgeProposal(asked, proposed);
    if (isFeasible(judged)) this.front = withMember(this.front, { asked, plan: proposed, choices, merits, judged });
  }
}

/**
 * The line of a choice: its new stages told as proposed, its compressor loaded for what the jobs and its own losses take.
 * @example proposedLine(asked, positionsOf(asked), new Array(12).fill(0)).name // 'Proposed line'
 */
export function proposedLine(asked: Asked, positions: readonly Position[], choices: Choices): Plan {
  const plan = loadedFor(buildLine(asked, positions, choices));
  const bought = boughtIn(asked, plan);
  return asProposed(plan, (s) => bought.has(s.id));
}

/** One of each. */
function* product<T>(lists: readonly (readonly T[])[]): Generator<T[]> {
  const [first, ...rest] = lists;
  if (!first) yield [];
  else for (const tail of product(rest)) for (const head of first) yield [head, ...tail];
}

/**
 * Looks for the lines that serve all jobs of a question and that no other beats in purchase, yearly cost, minutes a week and
 * margin. Exact: what it leaves out by a bound could not have been on the front. Of an open compressor every size is looked at.
 * @returns a generator that tells how far it is; its end is the front
 * @example [...search(question({}))].length > 0 // true
 */
export function* search(question: Question, positions?: readonly Position[]): Generator<Progress, Found> {
  const searches = compressorsFor(question).map((sized) => new Search(sized, positions));
  const of = searches.reduce((sum, s) => sum + s.all, 0);
  let [before, front]: [number, Progress['front']] = [0, []];
  for (const one of searches) {
    const run = one.run(front);
    let next = run.next();
    for (; !next.done; next = run.next()) yield { ...next.value, settled: before + next.value.settled, of };
    front = next.value;
    before += one.all;
  }
  const cheapest = front.toSorted((a, b) => a.merits.purchase - b.merits.purchase)[0];
  const { asked, positions: places } = searches.find((s) => s.asked === cheapest?.asked) ?? (searches[0] as Search);
  return { settled: of, of, front, asked, positions: places };
}

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
