/**
 * A smooth function read from cubics between even steps, each fitted to value and slope at its two ends (Hermite). For
 * functions that are asked for millions of times and cost exponentials and logarithms to work out.
 */
export interface CubicCurve {
  readonly least: number;
  readonly perUnit: number;
  readonly cubics: Float64Array;
}

/**
 * @param least, most the range in which the curve will be read
 * @param perUnit steps in a unit of x
 * @param at value and slope of the function, asked in rising order of x
 */
export function cubicCurve(
  least: number,
  most: number,
  perUnit: number,
  at: (x: number) => readonly [value: number, slope: number],
): CubicCurve {
  const count = Math.ceil((most - least) * perUnit) + 1;
  const cubics = new Float64Array(4 * count);
  let [value, slope] = at(least);
  for (let i = 0; i < count; i++) {
    const [next, nextSlope] = at(least + (i + 1) / perUnit);
    const [d0, d1] = [slope / perUnit, nextSlope / perUnit];
    cubics.set([value, d0, 3 * (next - value) - 2 * d0 - d1, 2 * (value - next) + d0 + d1], 4 * i);
    [value, slope] = [next, nextSlope];
  }
  return { least, perUnit, cubics };
}

/** Reads the curve; x must lie in its range. */
export function readCurve({ least, perUnit, cubics }: CubicCurve, at: number): number {
  const x = (at - least) * perUnit;
  const i = x | 0; // an integer index, which Math.trunc would not give the machine
  const u = x - i;
  const k = 4 * i;
  return (
    (((cubics[k + 3] as number) * u + (cubics[k + 2] as number)) * u + (cubics[k + 1] as number)) * u +
    (cubics[k] as number)
  );
}
