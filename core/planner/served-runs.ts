import { DESICCANT, is, SENSITIVE } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import { AtJob } from './at-job';
import type { Asked } from './base-line';
import { type Bound, behind, leastOf, minus, NOTHING, plus } from './bound';
import { EXACT, type FastWalk, ventsAt, type Walked } from './fast-walk';
import { isNoPipe, type JobRuns } from './job-runs';
import { ENOUGH_K } from './judge-proposal';
import type { LeastCost } from './least-cost';
import { allowed } from './order';
import { type AirUse, airUse, isNoMore, type Paid, type Part, unbeaten } from './part';
import { type Group, isTreatedEarly, type Option, type Position } from './positions';

/** What a group has to choose from: its jobs, and the positions at them by their numbers. */
interface Place {
  readonly group: Group;
  readonly places: readonly number[];
}

/** The beginning of a run. */
interface Way extends Bound, AirUse {
  readonly airs: readonly Walked[];
  /** With those of the main. */
  readonly stages: readonly Stage[];
  readonly bought: Bound;
}

/** What is worked out once for a question. */
interface Given {
  readonly asked: Asked;
  readonly positions: readonly Position[];
  readonly fast: FastWalk;
  readonly cost: LeastCost;
  readonly runs: JobRuns;
  /** Whether a line that costs at least so much need not be looked at. */
  readonly isBeaten: (bound: Bound) => boolean;
}

/** Hold the dust of beads back. */
const HOLD_DUST = ['particulate-filter', 'coalescing-filter', 'carbon-filter', 'tool-filter'] as const;
const NO_STAGES: readonly Stage[] = [];

/** What the jobs may get of the air of a main: each group by itself. */
export class ServedRuns {
  private readonly jobs: readonly AtJob[];
  private readonly oiled: boolean;
  private readonly isParted: boolean;

  constructor(
    private readonly given: Given,
    private readonly groups: readonly Place[],
  ) {
    const { asked, fast } = given;
    this.jobs = asked.question.jobs.map((_, i) => new AtJob(asked, fast, i));
    this.oiled = asked.question.compressor.type !== 'oilfree';
    this.isParted = groups.length > 1;
  }

  /**
   * What serves each group.
   * @param main with its air, and what of an owned kind it has
   * @param stages those of the main
   * @param least what the main costs at least
   * @returns nothing for all of them where one is not served
   */
  all(main: Part, stages: readonly Stage[], least: Bound): Part[][] {
    const perGroup: Part[][] = [];
    let floor: Bound = { ...least, owned: NOTHING.owned };
    for (const place of this.groups) {
      const served = this.served(main, stages, floor, place);
      if (served.length === 0) return [[]]; // whatever the others get, one job is not served
      const kept = this.isParted ? unbeaten(served, this.dryPlaceOf(place)) : served;
      perGroup.push(kept);
      floor = plus(floor, leastOf(kept));
    }
    return perGroup;
  }

  /**
   * What a group’s jobs may get of a main’s air: of all that is allowed, what serves each of them by the fast walk. Runs that
   * begin alike are walked once; one that has lost the pressure of its job, or is too dear already, is followed no further.
   */
  private served({ walked: main, owned }: Part, before: readonly Stage[], floor: Bound, place: Place): Part[] {
    const { asked, positions, fast, cost, runs } = this.given;
    const { group, places } = place;
    if (main && group.some((job) => this.at(job).isPipeWet(main))) return [];
    const isEarly = isTreatedEarly(asked, group[0] as number);
    const arrives = group.map((job) => {
      const air = fast.toJob(main, job);
      return isEarly ? air : fast.run(air, runs.pipe(job), job);
    });
    const found: Part[] = [];
    const choices: number[] = [];
    const enter = (airs: readonly Walked[], stagesAt: (job: number) => readonly Stage[]): Walked[] | undefined => {
      const left: Walked[] = [];
      for (const [g, job] of group.entries()) {
        const air = fast.run(airs[g], stagesAt(job), job);
        if (!air || this.at(job).isStarved(air)) return undefined;
        left.push(air);
      }
      return left;
    };
    const stagesAt = (job: number): readonly Stage[] =>
      places.flatMap((p, i) => this.stagesOf(p, choices[i] as number, job));
    const end = (way: Way): void => {
      const { airs, stages } = way;
      const own = stages.slice(before.length);
      if (this.shedsDust(own, group) || this.takesRoomOil(stages, group)) return;
      if (fast.losesTooMuch(way.lostPa, !own.some((s) => ventsAt(s, asked.atmosphericPa) > 0))) return;
      const hasBeads = own.some((s) => s.kind === 'bead-cartridge');
      let marginK = ENOUGH_K;
      let isOpen = false;
      for (const [g, job] of group.entries()) {
        const [before, air, at] = [arrives[g] as Walked, airs[g] as Walked, this.at(job)];
        if (!at.isSupplied(before, air, () => stagesAt(job))) return;
        const margin = at.marginK(air);
        if (margin === undefined || margin < -fast.slack.k) return;
        if (hasBeads && at.isOpen(before, stagesAt(job), fast.slack)) return;
        isOpen ||= hasBeads && fast.slack !== EXACT && at.isOpen(before, stagesAt(job), EXACT);
        marginK = Math.min(marginK, margin);
      }
      const isServed = !isOpen && marginK >= -EXACT.k;
      found.push({ ...behind(way, owned), choices: [...choices], walked: undefined, marginK, isServed });
    };
    const dryPlace = this.dryPlaceOf(place);
    /** What follows only costs more and loses more: another run with the same dryer stays better, where it is as dry as is worth having. */
    const isBeaten = (paid: Paid): boolean =>
      found.some(
        (k) => k.choices[dryPlace] === choices[dryPlace] && k.marginK >= ENOUGH_K && k.isServed && isNoMore(k, paid),
      );
    const wayOf = (airs: readonly Walked[], stages: readonly Stage[], bought: Bound): Way => {
      const use = airUse(airs, main);
      return { airs, stages, bought, ...cost.withAir(bought, use), ...use };
    };
    const follow = (i: number, way: Way, isLonger: boolean): void => {
      if (isLonger && this.given.isBeaten(plus(floor, way))) return;
      const isDryerChosen = isLonger ? i > dryPlace : i === dryPlace + 1;
      if (this.isParted && (isDryerChosen || i === places.length) && isBeaten(way)) return;
      if (i === places.length) {
        end(way);
        return;
      }
      const place = places[i] as number;
      const { options } = positions[place] as Position;
      for (const [k, { wider }] of options.entries()) {
        const at = (job: number): readonly Stage[] => this.stagesOf(place, k, job);
        const own = at(group[0] as number);
        choices[i] = k;
        if (own.length === 0 && wider === undefined) {
          follow(i + 1, way, false);
          continue;
        }
        if (own.some((s) => !allowed(s, way.stages, this.oiled))) continue;
        const leaves = enter(way.airs, at);
        if (!leaves) continue;
        const bought = cost.once(`${place} ${k}`, () => this.boughtAt(group.flatMap(at), group, wider));
        follow(i + 1, wayOf(leaves, [...way.stages, ...own], plus(way.bought, bought)), true);
        if (wider !== undefined) break; // the smallest that brings the pressure: sized, not searched
      }
    };
    if (arrives.every((air) => air !== undefined)) follow(0, wayOf(arrives, before, { ...NOTHING, owned }), true);
    return found;
  }

  /** What an option costs over what is given: pipes, and the smallest regulator and hose of each job. */
  private boughtAt(stages: readonly Stage[], group: readonly number[], wider: number | undefined): Bound {
    const { cost, runs } = this.given;
    const own = cost.of(stages.filter(isNoPipe));
    return wider === undefined ? own : minus(own, cost.of(group.flatMap((job) => runs.end(job, 0)).filter(isNoPipe)));
  }

  private at = (job: number): AtJob => this.jobs[job] as AtJob;

  private dryPlaceOf = ({ places }: Place): number =>
    places.findIndex((p) => this.given.positions[p]?.id.startsWith('dry-'));

  /** What an option of a position puts at a job. */
  private stagesOf(place: number, option: number, job: number): readonly Stage[] {
    const { byJob, wider } = (this.given.positions[place] as Position).options[option] as Option;
    return wider === undefined ? (byJob?.get(job) ?? NO_STAGES) : this.given.runs.end(job, wider);
  }

  /** Whether the dust of a job’s own beads would reach it, where dust matters (O09). */
  private shedsDust(own: readonly Stage[], group: readonly number[]): boolean {
    const beads = own.findLastIndex((s) => is(DESICCANT, s.kind));
    if (beads < 0 || own.slice(beads).some((s) => is(HOLD_DUST, s.kind))) return false;
    return group.some((job) => {
      const { use, particleClass } = this.given.runs.outlet(job);
      return (SENSITIVE as readonly string[]).includes(use) || ['1', '2', '3'].includes(particleClass);
    });
  }

  /** Whether the oil of the room would reach a job that asks for class 1 or 2, from a compressor without oil (O56). */
  private takesRoomOil(stages: readonly Stage[], group: readonly number[]): boolean {
    if (this.oiled || ['carbon-filter', 'coalescing-filter'].every((k) => stages.some((s) => s.kind === k)))
      return false;
    return group.some((job) => ['1', '2'].includes(this.given.runs.outlet(job).oilClass));
  }
}
