import { FAULTS, withFault } from '../../fault/faults';
import type { Section } from '../../line/section';
import { walk } from '../../line/walk';
import type { Plan } from '../../plan/plan';
import { allStages, standing } from '../../plan/runs';
import { type Believed, type Cause, causeOf, NOT_THE_AIR, NOTHING, pairOf, type Reading } from './cause';
import { type Check, checkKind, checksOf, costMin, type Placed, readUnder } from './checks';
import type { Reason } from './reasons';
import { type Complaint, toldBy } from './shows';

/** A check that may be made next, and what it is expected to tell. */
export interface NextCheck {
  readonly check: Check;
  readonly bits: number;
  readonly bitsPerMinute: number;
}

/** A cause with one of its sizes: what the line would show. */
interface Variant {
  readonly cause: Cause;
  readonly faults: readonly Placed[];
  readonly prior: number;
  readonly expected: ReadonlyMap<string, number>;
  /** Standard deviation of each reading by the sizes between this one and the next ones. */
  readonly spread?: ReadonlyMap<string, number>;
}

/** A reading farther than this from what every single cause gives makes one look at pairs, standard deviations (estimate). */
export const UNEXPLAINED = 3;
/** So many of the likeliest causes are paired (estimate): more walks tell little. */
const PAIRED = 6;

/** To each check one goes, unpacks and settles, minutes (estimate): many small ones are no shorter than one that tells. */
export const ON_THE_WAY_MIN = 8;

const SPREAD = Math.sqrt(2 * Math.PI);
/** Width over standard deviation of what is spread evenly. */
const EVENLY = Math.sqrt(12);
/** A reading so far off that nothing explains it still has this likelihood: a slip of the pen (estimate). */
const SLIP = 1e-4;

/** What is known about a line with a complaint: its causes, what each would show, and how likely each is. */
export class Finding {
  readonly checks: readonly Check[];
  private readonly sound: Section;
  private variants: readonly Variant[];

  /** @param reasons what this line says for and against its faults */
  constructor(
    private readonly plan: Plan,
    private readonly complaint?: Complaint,
    reasons: readonly Reason[] = [],
  ) {
    this.checks = checksOf(plan);
    this.sound = walk(plan);
    const faults = allStages(standing(plan)).flatMap((stage) =>
      FAULTS.filter((f) => f.canHave(stage)).map((fault) => {
        const own = reasons.filter((r) => r.stageId === stage.id && r.faultId === fault.id);
        const perYear = own.reduce((product, r) => product * r.times, fault.perYear);
        return { cause: causeOf(stage, fault, own), stageId: stage.id, fault, perYear };
      }),
    );
    const perYear = faults.reduce((sum, f) => sum + f.perYear, 0) || 1;
    this.variants = [this.variant(NOTHING, [], NOT_THE_AIR)];
    this.variants = [
      ...this.variants,
      ...faults.flatMap(({ cause, stageId, fault, perYear: own }) =>
        this.spreadOut(
          fault.sizes.map((size) =>
            this.variant(cause, [{ fault, stageId, size }], ((1 - NOT_THE_AIR) * own) / perYear / fault.sizes.length),
          ),
        ),
      ),
    ];
  }

  /** A cause of one size, walked. */
  private variant(cause: Cause, faults: readonly Placed[], prior: number): Variant {
    const faulty = faults.reduce((p, { fault, ...at }) => withFault(p, { faultId: fault.id, ...at }), this.plan);
    const section = faulty === this.plan ? this.sound : walk(faulty);
    const at = faults.map((f) => f.stageId);
    const told = this.complaint ? toldBy(this.complaint, this.plan, this.sound, section, at) : 1;
    const expected = this.checks.flatMap((c) => {
      const value = readUnder(faulty, section, faults, c);
      return value === undefined ? [] : [[c.id, value] as const];
    });
    return { cause, faults, prior: prior * told, expected: new Map(expected) };
  }

  /** Sizes of one fault, each with half of what lies between it and its neighbours: a fault is of any size. */
  private spreadOut(sizes: readonly Variant[]): Variant[] {
    if (sizes.length < 2) return [...sizes];
    const reads = [this.readsSound, ...sizes.map((v) => v.expected)];
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

  private get readsSound(): ReadonlyMap<string, number> {
    return this.variants[0]?.expected ?? new Map();
  }

  /**
   * Whether a single cause explains what was read: none lies farther off in any reading than {@link UNEXPLAINED}.
   */
  explains(readings: readonly Reading[]): boolean {
    return this.variants.some(
      (v) => v.faults.length < 2 && readings.every((r) => Math.abs(this.off(v, r) ?? 0) <= UNEXPLAINED),
    );
  }

  /**
   * The same, with two faults at once among the causes where no single one explains what was read: of those that are
   * likeliest.
   */
  explaining(readings: readonly Reading[]): Finding {
    if (this.explains(readings)) return this;
    const paired: Finding = Object.assign(Object.create(Finding.prototype), this);
    paired.variants = [...this.variants, ...this.pairs(readings)];
    return paired;
  }

  private pairs(readings: readonly Reading[]): Variant[] {
    // One reading alone may speak for a fault that the others speak against: it counts by its best one.
    const weights = [this.weigh(readings), ...readings.map((r) => this.weigh([r]))];
    const best = new Map<string, { variant: Variant; weight: number }>();
    this.variants.forEach((variant, i) => {
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
    return this.variants.filter((v) => v.cause.id === causeId).flatMap((v) => v.expected.get(checkId) ?? []);
  }

  /**
   * How likely each cause is, given what was read.
   * @returns the likeliest first
   */
  believe(readings: readonly Reading[]): Believed[] {
    const weights = this.weigh(readings);
    const byCause = new Map<string, { cause: Cause; probability: number }>();
    this.variants.forEach(({ cause }, i) => {
      const there = byCause.get(cause.id)?.probability ?? 0;
      byCause.set(cause.id, { cause, probability: there + (weights[i] as number) });
    });
    return [...byCause.values()].sort((a, b) => b.probability - a.probability);
  }

  /**
   * The checks that tell most for the time that they take: expected loss of entropy over causes, bits a minute.
   * @param readings what was read already; such a check is not asked for again
   * @param cannot checks that cannot be made
   */
  nextChecks(readings: readonly Reading[], cannot: readonly string[] = []): NextCheck[] {
    const weights = this.weigh(readings);
    const now = entropy(this.sumByCause(weights));
    return this.checks
      .filter((c) => !cannot.includes(c.id) && !readings.some((r) => r.checkId === c.id))
      .map((check) => {
        // Each variant in turn as the truth: what it would read, and how sure one would be then.
        const after = this.variants.reduce((sum, v, i) => {
          const weight = weights[i] as number;
          const value = v.expected.get(check.id);
          if (weight < 1e-4) return sum;
          return (
            sum + weight * (value === undefined ? now : entropy(this.sumByCause(this.times(weights, check.id, value))))
          );
        }, 0);
        const bits = Math.max(0, now - after);
        return { check, bits, bitsPerMinute: bits / (ON_THE_WAY_MIN + costMin(check.of)) };
      })
      .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
  }

  private weigh(readings: readonly Reading[]): number[] {
    return readings.reduce(
      (weights, r) => this.times(weights, r.checkId, r.value),
      normal(this.variants.map((v) => v.prior)),
    );
  }

  /** Weights after a reading. */
  private times(weights: readonly number[], checkId: string, value: number): number[] {
    const check = this.checks.find((c) => c.id === checkId);
    if (!check) return [...weights];
    const { abs, rel } = checkKind(check.of);
    return normal(
      this.variants.map((v, i) => {
        const expected = v.expected.get(checkId);
        if (expected === undefined) return weights[i] as number;
        const between = v.spread?.get(checkId) ?? 0;
        const sigma = Math.hypot(abs, rel * expected, between);
        const z = (value - expected) / sigma;
        const scale = Math.hypot(abs, rel * value) || sigma;
        return (weights[i] as number) * (SLIP + ((1 - SLIP) * Math.exp((-z * z) / 2) * scale) / sigma / SPREAD);
      }),
    );
  }

  /** How far a reading lies from what a variant gives, in standard deviations; nothing where it cannot be read. */
  private off({ expected, spread }: Variant, { checkId, value }: Reading): number | undefined {
    const [check, reads] = [this.checks.find((c) => c.id === checkId), expected.get(checkId)];
    if (!check || reads === undefined) return undefined;
    const { abs, rel } = checkKind(check.of);
    return (value - reads) / Math.hypot(abs, rel * reads, spread?.get(checkId) ?? 0);
  }

  private sumByCause(weights: readonly number[]): number[] {
    const sums = new Map<string, number>();
    this.variants.forEach(({ cause }, i) => {
      sums.set(cause.id, (sums.get(cause.id) ?? 0) + (weights[i] as number));
    });
    return [...sums.values()];
  }
}

function normal(weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => (sum > 0 ? w / sum : 1 / weights.length));
}

const entropy = (p: readonly number[]): number => -p.reduce((sum, x) => sum + (x > 0 ? x * Math.log2(x) : 0), 0);
