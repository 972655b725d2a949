import type { QuantityName } from './units';

/** An input of a formula, for “why?”. */
export interface ReasonInput {
  readonly label: string;
  readonly quantity: QuantityName | 'number';
  readonly value: number;
  readonly from: string;
}

/** How a figure came about: built only when somebody asks. */
export interface Reason {
  readonly formula: string;
  readonly inputs: readonly ReasonInput[];
  readonly source: string;
  readonly note?: string;
}

/** How a figure came about, and how sure it is. */
export interface Derivation extends Reason {
  readonly title: string;
  readonly quantity: QuantityName | 'number';
  readonly value: number;
  /** What stands in place of the number, where the answer is not one. */
  readonly words?: string;
  readonly band?: Band;
}

/** What moves a figure most. */
export interface Driver {
  readonly label: string;
  /** Change of the figure for one standard uncertainty of the input, in the figure's own unit. */
  readonly effect: number;
}

export interface Band {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Largest effect first. */
  readonly drivers: readonly Driver[];
}

/** Coverage: bands are two standard uncertainties wide either way, about 19 readings in 20. */
export const COVERAGE = 2;

/**
 * An input of a derivation.
 * @param value in the SI unit of the quantity
 * @example input('Length', 'length', 3, 'measured').value // 3
 */
export const input = (label: string, quantity: ReasonInput['quantity'], value: number, from: string): ReasonInput => ({
  label,
  quantity,
  value,
  from,
});

/**
 * The band of a figure from what it becomes with each input off by its standard uncertainty, up and down. The effects
 * are added in quadrature, upward and downward ones apart, so that a figure that cannot fall below zero keeps a lopsided
 * band.
 *
 * @param moved of each input, what the figure becomes; an end that cannot be computed is left out
 * @param value in any unit, the same as what it becomes
 * @source u = √Σ(∂f/∂x · u_x)², numerically; band at {@link COVERAGE} standard uncertainties
 * @example bandOf(10, [['length', [11, 9]]]).high // 12
 */
export function bandOf(value: number, moved: Iterable<readonly [label: string, becomes: readonly number[]]>): Band {
  let up = 0;
  let down = 0;
  const drivers: Driver[] = [];
  for (const [label, becomes] of moved) {
    const highest = Math.max(0, ...becomes.map((v) => v - value));
    const lowest = Math.min(0, ...becomes.map((v) => v - value));
    up += highest ** 2;
    down += lowest ** 2;
    const effect = Math.max(highest, -lowest);
    if (effect > 0) drivers.push({ label, effect });
  }
  drivers.sort((a, b) => b.effect - a.effect);
  return { value, low: value - COVERAGE * Math.sqrt(down), high: value + COVERAGE * Math.sqrt(up), drivers };
}

/**
 * The same where less than nothing cannot be: flows, shares, contents.
 * @returns the band with its lower end at 0 or above
 * @example notBelowZero({ value: 1, low: -1, high: 3, drivers: [] }).low // 0
 */
export function notBelowZero(band: Band): Band {
  return { ...band, low: Math.max(0, band.low) };
}
