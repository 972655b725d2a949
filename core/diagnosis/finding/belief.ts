import { FAULTS, type Fault, withFault } from '../../fault/faults';
import type { Section } from '../../line/section';
import { walk } from '../../line/walk';
import type { Plan, Stage } from '../../plan/plan';
import { allStages, standing } from '../../plan/runs';
import { type Check, checkKind, checksOf } from './checks';
import { type Complaint, showsComplaint, TOLD } from './shows';

/** A cause that may be true: a fault of a stage, or nothing in the line. */
export interface Cause {
  readonly id: string;
  readonly says: string;
  /** What repairs it; nothing where it is not the air. */
  readonly repair: string | undefined;
  readonly stageId: string | undefined;
  readonly fault: Fault | undefined;
}

/** What was read. */
export interface Reading {
  readonly checkId: string;
  /** SI. */
  readonly value: number;
}

export interface Believed {
  readonly cause: Cause;
  /** 0…1; all together 1. */
  readonly probability: number;
}

/** A check that may be made next, and what it is expected to tell. */
export interface NextCheck {
  readonly check: Check;
  readonly bits: number;
  readonly bitsPerMinute: number;
}

/** So sure one is, that the cause is taken as found (trade practice of the handbook; an estimate). */
export const SURE = 0.9;

/**
 * Whether a cause is found: one is sure enough, or those that together are sure enough have one repair at one stage.
 * @param believed the likeliest first
 * @example isFound([{ cause: NOTHING, probability: 0.95 }]) // true
 */
export function isFound(believed: readonly Believed[]): boolean {
  const [top] = believed;
  if (!top) return false;
  const alike = believed.filter(
    ({ cause }) => cause.repair === top.cause.repair && cause.stageId === top.cause.stageId,
  );
  return alike.reduce((sum, b) => sum + b.probability, 0) >= SURE;
}

/** Before anything is read: how often a complaint has no cause in the line (estimate). */
const NOT_THE_AIR = 0.1;
export const NOTHING: Cause = {
  id: 'nothing',
  says: 'Nothing in the line: surface, room, the tool, or a gauge',
  repair: undefined,
  stageId: undefined,
  fault: undefined,
};

/** A cause with one of its sizes: what the line would show. */
interface Variant {
  readonly cause: Cause;
  readonly prior: number;
  readonly expected: ReadonlyMap<string, number>;
}

/** To each check one goes, unpacks and settles, minutes (estimate): many small ones are no shorter than one that tells. */
const ON_THE_WAY_MIN = 8;

const SPREAD = Math.sqrt(2 * Math.PI);
/** A reading so far off that nothing explains it still has this likelihood: a slip of the pen (estimate). */
const SLIP = 1e-4;

/** What is known about a line with a complaint: its causes, what each would show, and how likely each is. */
export class Finding {
  readonly checks: readonly Check[];
  private readonly variants: readonly Variant[];

  constructor(plan: Plan, complaint?: Complaint) {
    this.checks = checksOf(plan);
    const sound = walk(plan);
    const told = (section: Section): number => {
      const shows = complaint && showsComplaint(complaint, plan, sound, section);
      return shows === undefined ? 1 : shows ? TOLD.whereItShows : TOLD.otherwise;
    };
    const reads = (p: Plan, section: Section): Map<string, number> =>
      new Map(
        this.checks.flatMap((c) => {
          const value = checkKind(c.of).read(section, p, c.stageId);
          return value === undefined || Number.isNaN(value) ? [] : [[c.id, value] as const];
        }),
      );
    const faults = allStages(standing(plan)).flatMap((stage) =>
      FAULTS.filter((f) => f.canHave(stage)).map((fault) => ({ stage, fault })),
    );
    const perYear = faults.reduce((sum, { fault }) => sum + fault.perYear, 0);
    this.variants = [
      { cause: NOTHING, prior: NOT_THE_AIR * told(sound), expected: reads(plan, sound) },
      ...faults.flatMap(({ stage, fault }) =>
        fault.sizes.map((size): Variant => {
          const faulty = withFault(plan, { faultId: fault.id, stageId: stage.id, size });
          const section = walk(faulty);
          const prior = ((1 - NOT_THE_AIR) * fault.perYear) / (perYear || 1) / fault.sizes.length;
          return { cause: causeOf(stage, fault), prior: prior * told(section), expected: reads(faulty, section) };
        }),
      ),
    ];
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
        return { check, bits, bitsPerMinute: bits / (ON_THE_WAY_MIN + checkKind(check.of).minutes) };
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
        const sigma = Math.hypot(abs, rel * expected);
        const z = (value - expected) / sigma;
        const scale = Math.hypot(abs, rel * value) || sigma;
        return (weights[i] as number) * (SLIP + ((1 - SLIP) * Math.exp((-z * z) / 2) * scale) / sigma / SPREAD);
      }),
    );
  }

  private sumByCause(weights: readonly number[]): number[] {
    const sums = new Map<string, number>();
    this.variants.forEach(({ cause }, i) => {
      sums.set(cause.id, (sums.get(cause.id) ?? 0) + (weights[i] as number));
    });
    return [...sums.values()];
  }
}

function causeOf(stage: Stage, fault: Fault): Cause {
  return {
    id: `${fault.id} ${stage.id}`,
    says: `${stage.name}: ${fault.says.charAt(0).toLowerCase()}${fault.says.slice(1)}`,
    repair: fault.repair,
    stageId: stage.id,
    fault,
  };
}

function normal(weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => (sum > 0 ? w / sum : 1 / weights.length));
}

const entropy = (p: readonly number[]): number => -p.reduce((sum, x) => sum + (x > 0 ? x * Math.log2(x) : 0), 0);
