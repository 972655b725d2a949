/** A pressure drop that was read, over that of a clean element at the flow of that day, so many loaded hours after the change. */
export interface DropRead {
  readonly loadedH: number;
  readonly ratio: number;
}

/** How an element loads: its drop over that of a clean one, 1 + perH · hours. */
export interface Growth {
  readonly perH: number;
  /** Standard deviation of that. */
  readonly sd: number;
}

const READ_SD = 0.05; // of a fitted gauge and of the flow it is corrected by (estimate)

/**
 * How fast an element loads, by what was read since it was put in: a straight line through the clean element.
 * @returns nothing where nothing was read after the change
 * @source least squares through the origin
 */
export function growthOf(reads: readonly DropRead[]): Growth | undefined {
  const squares = reads.reduce((sum, r) => sum + r.loadedH ** 2, 0);
  if (squares <= 0) return undefined;
  const perH = reads.reduce((sum, r) => sum + r.loadedH * (r.ratio - 1), 0) / squares;
  const rest = reads.reduce((sum, r) => sum + (r.ratio - 1 - perH * r.loadedH) ** 2, 0) / Math.max(1, reads.length - 1);
  return { perH: Math.max(0, perH), sd: Math.sqrt(Math.max(rest, READ_SD ** 2) / squares) };
}

/**
 * Loaded hours after which a new element costs least: its price spread over its time against the pressure that it takes.
 * @param price of an element, in any money
 * @param growthPaPerH above 0
 * @param perPaH what a pascal costs for a loaded hour, in the same money: share of power for a pascal · kW · tariff
 * @returns h; infinite where pressure costs nothing
 * @source t* = √(2 C / (g · k · P · tariff)), from C/t + k·P·tariff·g·t/2 at its least (trade handbook)
 */
export const cheapestChangeH = (price: number, growthPaPerH: number, perPaH: number): number =>
  Math.sqrt((2 * price) / (growthPaPerH * perPaH));
