import type { Placed } from '../../fault/fault';
import { FAULTS } from '../../fault/faults';
import { type Walked, walkedWith } from '../../fault/walked';
import type { Plan } from '../../plan/plan';
import { allStages, standing } from '../../plan/runs';
import { type Believed, type Cause, causeOf, NOT_THE_AIR, NOTHING, pairOf, type Reading } from './cause';
import { type Check, checksOf, costMin, readUnder, riskMin } from './checks';
import { type Complaint, toldBy } from './complaint';
import { entropy, Likelihoods, type Variant } from './likelihoods';
import type { Reason } from './reasons';

/** A check that may be made next, and what it is expected to tell. */
export interface NextCheck {
  readonly check: Check;
  readonly bits: number;
  readonly bitsPerMinute: number;
}

/** A reading farther than this from what every single cause gives makes one look at pairs, standard deviations (estimate). */
export const UNEXPLAINED = 3;
/** So many of the likeliest causes are paired (estimate): more walks tell little. */
const PAIRED = 6;

/** To each check one goes, unpacks and settles, minutes (estimate): many small ones are no shorter than one that tells. */
export const ON_THE_WAY_MIN = 8;

/** Width over standard deviation of what is spread evenly. */
const EVENLY = Math.sqrt(12);
/** What is less likely than this is not taken as the truth when the next check is chosen. */
const HARDLY = 1e-4;

/** What is known about a line with a complaint: its causes, what each would show, and how likely each is. */
export class Finding {
  readonly checks: readonly Check[];
  private readonly sound: Walked;
  private likelihoods: Likelihoods;

  /** @param reasons what this line says for and against its faults */
  constructor(
    private readonly plan: Plan,
    private readonly complaint?: Complaint,
    reasons: readonly Reason[] = [],
  ) {
    this.checks = checksOf(plan);
    this.sound = walkedWith(plan);
    const faults = allStages(standing(plan)).flatMap((stage) =>
      FAULTS.filter((f) => f.canHave(stage)).map((fault) => {
        const own = reasons.filter((r) => r.stageId === stage.id && r.faultId === fault.id);
        const perYear = own.reduce((product, r) => product * r.times, fault.perYear);
        return { cause: causeOf(stage, fault, own), stageId: stage.id, fault, perYear };
      }),
    );
    const perYear = faults.reduce((sum, f) => sum + f.perYear, 0) || 1;
    const nothing = this.variant(NOTHING, [], NOT_THE_AIR);
    const variants = faults.flatMap(({ cause, stageId, fault, perYear: own }) =>
      spreadOut(
        nothing.expected,
        finer(fault.sizes).map(({ size, share }) =>
          this.variant(cause, [{ fault, stageId, size }], ((1 - NOT_THE_AIR) * own * share) / perYear),
        ),
      ),
    );
    this.likelihoods = new Likelihoods([nothing, ...variants], this.checks);
  }

  /** A cause of one size, walked. */
  private variant(cause: Cause, faults: readonly Placed[], prior: number): Variant {
    const faulty = walkedWith(this.plan, faults);
    const told = this.complaint ? toldBy(this.complaint, this.sound, faulty) : 1;
    const expected = this.checks.flatMap((c) => {
      const value = readUnder(faulty, c);
      return value === undefined ? [] : [[c.id, value] as const];
    });
    return { cause, faults, prior: prior * told, expected: new Map(expected) };
  }

  /**
   * Whether a single cause explains what was read: none lies farther off in any reading than {@link UNEXPLAINED}.
   */
  explains(readings: readonly Reading[]): boolean {
    return this.likelihoods.variants.some(
      (v, i) =>
        v.faults.length < 2 &&
        readings.every((r) => Math.abs(this.likelihoods.off(i, r.checkId, r.value) ?? 0) <= UNEXPLAINED),
    );
  }

  /**
   * The same, with two faults at once among the causes where no single one explains what was read: of those that are
   * likeliest.
   */
  explaining(readings: readonly Reading[]): Finding {
    if (this.explains(readings)) return this;
    const paired: Finding = Object.assign(Object.create(Finding.prototype), this);
    paired.likelihoods = new Likelihoods([...this.likelihoods.variants, ...this.pairs(readings)], this.checks);
    return paired;
  }

  private pairs(readings: readonly Reading[]): Variant[] {
    // One reading alone may speak for a fault that the others speak against: it counts by its best one.
    const weights = [this.weigh(readings), ...readings.map((r) => this.weigh([r]))];
    const best = new Map<string, { variant: Variant; weight: number }>();
    this.likelihoods.variants.forEach((variant, i) => {
      const single = Math.max(...weights.map((w) => w[i] as number));
      if (variant.faults.length === 1 && single > (best.get(variant.cause.id)?.weight ?? -1))
        best.set(variant.cause.id, { variant, weight: single });
    });
    const likely = [...best.values()].sort((a, b) => b.weight - a.weight).slice(0, PAIRED);
    return likely.flatMap(({ variant: a }, i) =>
      likely
        .slice(i + 1)
        .map(({ variant: b }) => this.variant(pairOf(a.cause, b.cause), [...a.faults, ...b.faults], a.prior * b.prior)),
    );
  }

  /** What a check is expected to read under a cause: from its slightest to its worst. */
  expected(causeId: string, checkId: string): readonly number[] {
    return this.likelihoods.variants
      .filter((v) => v.cause.id === causeId)
      .flatMap((v) => v.expected.get(checkId) ?? []);
  }

  /**
   * How likely each cause is, given what was read.
   * @returns the likeliest first
   */
  believe(readings: readonly Reading[]): Believed[] {
    const sums = this.likelihoods.byCause(this.weigh(readings));
    return this.likelihoods.causes
      .map((cause, i) => ({ cause, probability: sums[i] as number }))
      .sort((a, b) => b.probability - a.probability);
  }

  /**
   * The checks that tell most for the time that they take: expected loss of entropy over causes, bits a minute.
   * @param readings what was read already; such a check is not asked for again
   * @param cannot checks that cannot be made
   */
  nextChecks(readings: readonly Reading[], cannot: readonly string[] = []): NextCheck[] {
    const weights = this.weigh(readings);
    const sure = (w: Float64Array): number => entropy(this.likelihoods.byCause(w));
    const now = sure(weights);
    return this.checks
      .filter((c) => !cannot.includes(c.id) && !readings.some((r) => r.checkId === c.id))
      .map((check) => {
        // Each variant in turn as the truth: what it would read, and how sure one would be then. Many read the same.
        const truths = new Map<number | undefined, number>();
        this.likelihoods.variants.forEach(({ expected }, i) => {
          const [value, weight] = [expected.get(check.id), weights[i] as number];
          if (weight >= HARDLY) truths.set(value, (truths.get(value) ?? 0) + weight);
        });
        let after = 0;
        for (const [value, weight] of truths)
          after += weight * (value === undefined ? now : sure(this.likelihoods.after(weights, check.id, value)));
        const bits = Math.max(0, now - after);
        return { check, bits, bitsPerMinute: bits / (ON_THE_WAY_MIN + costMin(check.of) + riskMin(check.of)) };
      })
      .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
  }

  private weigh(readings: readonly Reading[]): Float64Array {
    return readings.reduce((w, r) => this.likelihoods.after(w, r.checkId, r.value), this.likelihoods.before);
  }
}

/** Sizes of a fault with the slightest one parted in two: there, one is noticed and another is not. */
function finer(sizes: readonly number[]): { size: number; share: number }[] {
  const [least = 0, next] = sizes;
  const grid = sizes.map((size) => ({ size, share: 1 / sizes.length }));
  if (next === undefined) return grid;
  const [from, to] = [least / 2, (least + next) / 2];
  const half = { share: 0.5 / sizes.length };
  return [{ size: (from * 3 + to) / 4, ...half }, { size: (from + to * 3) / 4, ...half }, ...grid.slice(1)];
}

/** Sizes of one fault, each with half of what lies between it and its neighbours: a fault is of any size. */
function spreadOut(readsSound: ReadonlyMap<string, number>, sizes: readonly Variant[]): Variant[] {
  if (sizes.length < 2) return [...sizes];
  const reads = [readsSound, ...sizes.map((v) => v.expected)];
  return sizes.map((v, i) => ({
    ...v,
    spread: new Map(
      [...v.expected].map(([id, value]) => {
        const to = (j: number): number => Math.abs(value - (reads[j]?.get(id) ?? value));
        const [below, above] = [to(i), to(i + 2)];
        // The slightest goes down half-way to a sound line; the worst as far beyond as it is from the one before.
        return [id, (below + (i + 1 < sizes.length ? above : below)) / 2 / EVENLY] as const;
      }),
    ),
  }));
}
