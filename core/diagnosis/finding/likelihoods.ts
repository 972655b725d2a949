import type { Placed } from '../../fault/fault';
import type { Cause } from './cause';
import { type Check, checkKind } from './checks';

/** A cause with one of its sizes: what the line would show. */
export interface Variant {
  readonly cause: Cause;
  readonly faults: readonly Placed[];
  readonly prior: number;
  /** What each check would read, by its id; nothing where it cannot be read. */
  readonly expected: ReadonlyMap<string, number>;
  /** Standard deviation of each reading by the sizes between this one and the next ones. */
  readonly spread?: ReadonlyMap<string, number>;
}

const SPREAD = Math.sqrt(2 * Math.PI);
/** A reading so far off that nothing explains it still has this likelihood: a slip of the pen (estimate). */
const SLIP = 1e-4;

/** What one check reads under each variant; `NaN` where it cannot be read. */
interface Column {
  readonly expected: Float64Array;
  readonly sigma: Float64Array;
  /** Of the instrument alone, at a value. */
  readonly own: (value: number) => number;
}

/** How likely each reading is under each variant: one column for each check, made when it is asked for. */
export class Likelihoods {
  private readonly columns = new Map<string, Column>();
  private readonly checks: ReadonlyMap<string, Check>;
  /** The cause of each variant, by its place in {@link causes}. */
  private readonly causeAt: Int32Array;
  readonly causes: readonly Cause[];

  constructor(
    readonly variants: readonly Variant[],
    checks: readonly Check[],
  ) {
    this.checks = new Map(checks.map((c) => [c.id, c]));
    this.causes = [...new Map(variants.map(({ cause }) => [cause.id, cause])).values()];
    const at = new Map(this.causes.map((c, i) => [c.id, i]));
    this.causeAt = Int32Array.from(variants, ({ cause }) => at.get(cause.id) as number);
  }

  /** Weights of the variants before anything is read; together 1. */
  get before(): Float64Array {
    return normal(Float64Array.from(this.variants, (v) => v.prior));
  }

  /** Weights after a reading; the same where there is no such check. */
  after(weights: Float64Array, checkId: string, value: number): Float64Array {
    const column = this.column(checkId);
    if (!column) return weights;
    const { expected, sigma, own } = column;
    const scale = own(value);
    return normal(
      weights.map((w, i) => {
        const [mean, s] = [expected[i] as number, sigma[i] as number];
        if (Number.isNaN(mean)) return w;
        const z = (value - mean) / s;
        return w * (SLIP + ((1 - SLIP) * Math.exp((-z * z) / 2) * (scale || s)) / s / SPREAD);
      }),
    );
  }

  /** How far a reading lies from what a variant gives, in standard deviations; nothing where it cannot be read. */
  off(variant: number, checkId: string, value: number): number | undefined {
    const column = this.column(checkId);
    const z = column && (value - (column.expected[variant] as number)) / (column.sigma[variant] as number);
    return Number.isNaN(z) ? undefined : z;
  }

  /** Weights of the causes, each of all its variants. */
  byCause(weights: Float64Array): Float64Array {
    const sums = new Float64Array(this.causes.length);
    weights.forEach((w, i) => {
      const at = this.causeAt[i] as number;
      sums[at] = (sums[at] as number) + w;
    });
    return sums;
  }

  private column(checkId: string): Column | undefined {
    const check = this.checks.get(checkId);
    if (!check || this.columns.has(checkId)) return this.columns.get(checkId);
    const { abs, rel } = checkKind(check.of);
    const expected = Float64Array.from(this.variants, (v) => v.expected.get(checkId) ?? Number.NaN);
    const sigma = expected.map((mean, i) => Math.hypot(abs, rel * mean, this.variants[i]?.spread?.get(checkId) ?? 0));
    const column = { expected, sigma, own: (value: number) => Math.hypot(abs, rel * value) };
    this.columns.set(checkId, column);
    return column;
  }
}

function normal(weights: Float64Array): Float64Array {
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => (sum > 0 ? w / sum : 1 / weights.length));
}

/** Entropy of probabilities, bits. */
export const entropy = (p: Float64Array): number => -p.reduce((sum, x) => sum + (x > 0 ? x * Math.log2(x) : 0), 0);
