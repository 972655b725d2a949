/** A value outside the range for which an equation holds. Its message names what was given and what is allowed. */
export class OutOfRange extends Error {
  constructor(
    readonly what: string,
    readonly given: number,
    readonly least: number,
    readonly most: number,
    readonly unit: string,
  ) {
    super(
      `${what} of ${Number(given.toPrecision(5))} ${unit} is outside ${least} to ${most} ${unit}, the range for which the equations hold.`,
    );
    this.name = 'OutOfRange';
  }
}

/**
 * Throws {@link OutOfRange} unless `least` ≤ `given` ≤ `most` (NaN is refused too).
 * @param what as a sentence begins with it
 * @param least, most in the unit given
 */
export function requireRange(what: string, given: number, least: number, most: number, unit: string): void {
  if (!(given >= least && given <= most)) throw new OutOfRange(what, given, least, most, unit);
}
