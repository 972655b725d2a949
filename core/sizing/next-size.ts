import { CFM } from '../quantity/constants';

/** A size, with the ones beside it in the row. */
export interface Sized<S> {
  readonly size: S;
  readonly down: S | undefined;
  readonly up: S | undefined;
}

/**
 * The first of a row of sizes that will do, with its neighbours; the last where none does.
 * @param row smallest first
 * @example smallestOf([1, 2, 4], (n) => n >= 1.5) // {"size":2,"down":1,"up":4}
 */
export function smallestOf<S>(row: readonly S[], willDo: (size: S) => boolean): Sized<S> {
  const found = row.findIndex(willDo);
  const i = found < 0 ? row.length - 1 : found;
  return { size: row[i] as S, down: row[i - 1], up: row[i + 1] };
}

/** Rated flows that dryers, filters and separators are sold in, m³/s: 10 to 1600 cfm (common practice, no source). */
export const RATED_M3_PER_S = [10, 15, 25, 35, 50, 75, 100, 150, 200, 300, 400, 600, 800, 1000, 1250, 1600].map(
  (cfm) => cfm * CFM,
);

/** 7 bar above the atmosphere, at which filters and separators are rated (ISO 7183, recalled). */
export const RATED_PA = 801_325;

/**
 * The smallest rating of the usual row for a flow at a pressure: what an element passes falls in proportion to the absolute
 * pressure.
 * @param flowM3PerS free air
 * @param pressurePa absolute
 * @source capacity ∝ absolute pressure (trade handbook; some makers use its square root: their table takes precedence)
 * @example ratingFor(0.0075, 801325) // 0.0118
 */
export const ratingFor = (flowM3PerS: number, pressurePa: number): number =>
  smallestOf(RATED_M3_PER_S, (r) => r >= (flowM3PerS * RATED_PA) / pressurePa).size;
