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

/**
 * Reads the curve; the place must lie in its range.
 * @param at in its range, in the unit of x
 * @returns value of the function
 */
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

/**
 * The same for a function of a number that ranges over many powers of ten: 32 steps to each doubling. The step is read off
 * the number's own bits (exponent and first five of the mantissa, IEEE 754), which takes a tenth of a logarithm's time.
 */
export interface OctaveCurve {
  readonly first: number;
  /** Of each step: where it starts, then the four coefficients of its cubic from there. */
  readonly cubics: Float64Array;
}

const DOUBLE = new Float64Array(1);
const WORDS = new Uint32Array(DOUBLE.buffer);
const HIGH = new Uint8Array(Uint32Array.of(1).buffer)[0]; // 1 where the high word comes second, as on every usual machine
function stepOf(x: number): number {
  DOUBLE[0] = x;
  return (WORDS[HIGH as number] as number) >>> 15;
}
function startOf(step: number): number {
  DOUBLE[0] = 0;
  WORDS[HIGH as number] = step << 15;
  return DOUBLE[0];
}

/** @param least, most positive; the rest as in {@link cubicCurve} */
export function octaveCurve(
  least: number,
  most: number,
  at: (x: number) => readonly [value: number, slope: number],
): OctaveCurve {
  const first = stepOf(least);
  const count = stepOf(most) - first + 1;
  const cubics = new Float64Array(5 * count);
  for (let i = 0; i < count; i++) {
    const start = startOf(first + i);
    const width = startOf(first + i + 1) - start;
    const c = cubicCurve(0, width, 1 / width, (x) => at(start + x)).cubics;
    cubics.set(
      [start, c[0] as number, (c[1] as number) / width, (c[2] as number) / width ** 2, (c[3] as number) / width ** 3],
      5 * i,
    );
  }
  return { first, cubics };
}

/**
 * Reads the curve; x must lie in its range.
 * @param x positive, in its range
 * @returns value of the function
 */
export function readOctaves({ first, cubics }: OctaveCurve, x: number): number {
  const k = 5 * (stepOf(x) - first);
  const u = x - (cubics[k] as number);
  return (
    (((cubics[k + 4] as number) * u + (cubics[k + 3] as number)) * u + (cubics[k + 2] as number)) * u +
    (cubics[k + 1] as number)
  );
}
