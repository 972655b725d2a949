import { type Asked, askedOf } from './base-line';
import { FastWalk } from './fast-walk';
import { isNoPipe, JobRuns } from './job-runs';
import { ENOUGH_K } from './judge-proposal';
import { JudgedFront, type Proposal } from './judged-front';
import { LeastCost } from './least-cost';
import { bestOf, type Line, Lines } from './lines';
import { dutyOf } from './loaded-line';
import { type Alike, mainsByAir } from './mains';
import { compressorsFor } from './open-compressor';
import type { Part } from './part';
import { groupsOf, type Position, positionsOf } from './positions';
import type { Question } from './question';
import { ServedRuns } from './served-runs';

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

type Told = Pick<Progress, 'settled' | 'front'>;

const TELL_EVERY = 100;
/** Of the currency: lines that wait are told apart by so much. */
const WAITING_STEP = 50;
/** Of so many mains one is a scout. */
const SCOUT_EVERY = 8;

/** The search of one question, with one compressor. */
class Search {
  readonly asked: Asked;
  readonly positions: readonly Position[];
  /** Lines that can be put together. */
  readonly all: number;

  constructor(question: Question, positions?: readonly Position[]) {
    this.asked = askedOf(question);
    this.positions = positions ?? positionsOf(this.asked);
    this.all = this.positions.reduce((n, { options }) => n * options.length, 1);
  }

  /**
   * Looks at all lines; tells how far it is as it goes.
   * @param known the front of the compressors before this one
   * @returns the front with its own
   */
  *run(known: Progress['front']): Generator<Told, Progress['front']> {
    const { asked, positions } = this;
    const { question: q } = asked;
    // No treatment gives air: with too much asked of the compressor nothing is possible.
    if (dutyOf(asked).spareM3PerS < 0 || q.breathed === 'yes') return known;
    const at = (test: (p: Position) => boolean): number[] => positions.flatMap((p, i) => (test(p) ? [i] : []));
    const groups = groupsOf(q.jobs).map((group, g) => ({ group, places: at((p) => p.where === g) }));
    const places = { main: at((p) => typeof p.where !== 'number'), groups: groups.map((g) => g.places) };
    const front = new JudgedFront(asked, positions, known);
    const [fast, cost, runs] = [new FastWalk(asked), new LeastCost(asked), new JobRuns(asked)];
    const served = new ServedRuns(
      { asked, positions, fast, cost, runs, isBeaten: (bound) => front.isBeaten({ ...bound, marginK: ENOUGH_K }) },
      groups,
    );
    const lines = new Lines({ asked, cost, slack: fast.slack, places, isBeaten: (least) => front.isBeaten(least) });
    // What is given costs at least, whatever is built; the tank without its drain is in the bound of the main.
    const least = cost.given(q.jobs.flatMap((_, i) => [...runs.pipe(i), ...runs.end(i, 0).filter(isNoPipe)]));
    const airs = mainsByAir({ asked, positions, fast, cost, least }, places.main);
    const mains = airs.reduce((n, { alike }) => n + alike.length, 0);
    const waiting = new Map<number, Line[]>(); // by what they cost, in steps
    let left = 0;
    let looked = 0;
    const told = (): Told => {
      // No main may be left that bears its air.
      const settled = (looked / Math.max(1, mains)) * this.all - left;
      return { settled: Math.max(0, Math.round(settled)), front: front.members };
    };
    const expand = ({ stages, alike, least: bound }: Alike): Line[] => {
      looked += alike.length;
      if (front.isBeaten({ ...bound, marginK: ENOUGH_K })) return [];
      const perGroup = served.all(alike[0] as Part, stages, bound);
      const found = alike.flatMap((main) => lines.of(main, perGroup));
      for (const line of found) {
        const step = Math.floor(line.purchase / WAITING_STEP);
        const others = waiting.get(step);
        if (others) others.push(line);
        else waiting.set(step, [line]);
      }
      left += found.length;
      return found;
    };
    /** Judges the lines that cost less than so much. */
    function* consider(most: number): Generator<Told> {
      const due = [...waiting.keys()].filter((step) => (step + 1) * WAITING_STEP <= most).sort((a, b) => a - b);
      let judged = 0;
      for (const step of due) {
        const lines = (waiting.get(step) ?? []).filter((l) => !front.isBeaten(l));
        left -= waiting.get(step)?.length ?? 0;
        waiting.delete(step);
        for (const line of lines.sort((a, b) => a.purchase - b.purchase || a.yearly - b.yearly)) {
          if (judged++ % TELL_EVERY === 0) yield told();
          if (!front.isBeaten(line)) front.consider(line);
        }
      }
      if (due.length > 0) yield told();
    }
    // A line that is found early tells what of the dearer mains is worth no look: some of all sorts first, then the cheapest.
    const isScout = (n: number): boolean => q.jobs.length > 1 && n % SCOUT_EVERY === SCOUT_EVERY / 2;
    for (const air of airs.filter((_, n) => isScout(n))) {
      for (const line of bestOf(expand(air))) if (!front.isBeaten(line)) front.consider(line);
      yield told();
    }
    for (const air of airs.filter((_, n) => !isScout(n))) {
      yield* consider(air.least.purchase);
      expand(air);
    }
    yield* consider(Number.POSITIVE_INFINITY);
    return front.members;
  }
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
