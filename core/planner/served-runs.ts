import { DESICCANT, is, SENSITIVE } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import type { Asked } from './base-line';
import { type Bound, isNoDearer, leastOf, minus, NOTHING, plus } from './bound';
import type { FastWalk, Walked } from './fast-walk';
import { isNoPipe, type JobRuns } from './job-runs';
import { ENOUGH_K } from './judge-proposal';
import type { LeastCost } from './least-cost';
import { allowed } from './order';
import { type Group, isTreatedEarly, type Option, type Position } from './positions';

/** One choice of a part of the line (its main, or the run of a group), with the air that it makes. */
export interface Part extends Bound {
  readonly choices: readonly number[];
  readonly walked: Walked | undefined;
  readonly marginK: number;
  readonly lostPa: number;
}

/** What a group has to choose from: its jobs, and the positions at them by their numbers. */
interface Place {
  readonly group: Group;
  readonly places: readonly number[];
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
  private readonly oiled: boolean;
  private readonly isParted: boolean;

  constructor(
    private readonly given: Given,
    private readonly groups: readonly Place[],
  ) {
    this.oiled = given.asked.question.compressor.type !== 'oilfree';
    this.isParted = groups.length > 1;
  }

  /**
   * What serves each group.
   * @param air that of the main
   * @param stages those of the main
   * @param least what the main costs at least
   * @returns nothing for all of them where one is not served
   */
  all(air: Walked | undefined, stages: readonly Stage[], least: Bound): Part[][] {
    const perGroup: Part[][] = [];
    let floor = least;
    for (const place of this.groups) {
      const served = this.served(air, stages, floor, place);
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
  private served(main: Walked | undefined, before: readonly Stage[], floor: Bound, place: Place): Part[] {
    const { asked, positions, fast, cost, runs } = this.given;
    const { group, places } = place;
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
    const dryPlace = this.dryPlaceOf(place);
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
      const wear = airs.reduce((sum, a) => sum + a.wearMinutes - (main?.wearMinutes ?? 0), 0);
      const bound = cost.withWear(paid, wear);
      if (this.given.isBeaten(plus(floor, bound))) return;
      if (this.isParted && i > dryPlace && isBeaten(airs, bound)) return;
      if (i === places.length) {
        end(airs, stages, bound);
        return;
      }
      const { options } = positions[places[i] as number] as Position;
      for (const [k, { wider }] of options.entries()) {
        const at = (job: number): readonly Stage[] => this.stagesOf(places[i] as number, k, job);
        const own = at(group[0] as number);
        if (own.some((s) => !allowed(s, stages, this.oiled))) continue;
        const leaves = own.length === 0 ? airs : enter(airs, at);
        if (!leaves) continue;
        choices[i] = k;
        const bought = cost.once(`${places[i]} ${k}`, () => this.boughtAt(group.flatMap(at), group, wider));
        follow(i + 1, leaves, own.length === 0 ? stages : [...stages, ...own], plus(paid, bought));
        if (wider !== undefined) break; // the smallest that brings the pressure: sized, not searched
      }
    };
    if (arrives.every((air) => air !== undefined)) follow(0, arrives, before, NOTHING);
    return found;
  }

  /** What an option costs over what is given: pipes, and the smallest regulator and hose of each job. */
  private boughtAt(stages: readonly Stage[], group: readonly number[], wider: number | undefined): Bound {
    const { cost, runs } = this.given;
    const own = cost.of(stages.filter(isNoPipe));
    return wider === undefined ? own : minus(own, cost.of(group.flatMap((job) => runs.end(job, 0)).filter(isNoPipe)));
  }

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

/**
 * Of the runs of a group those that no other with the same dryer beats in all that counts: what a run costs and does depends
 * on the air of the main, not on the runs of other groups.
 */
function unbeaten(parts: readonly Part[], dryPlace: number): Part[] {
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

const mostLost = (airs: readonly Walked[]): number => airs.reduce((most, a) => Math.max(most, a.lostPa), 0);
