import { normalDraws } from '../quantity/normal-draws';

/** A number that is known by a factor: its logarithm, and the variance of that. */
export interface Belief {
  readonly ln: number;
  readonly variance: number;
}

/** Stated uncertainties, standard deviations of a logarithm (estimates; common practice gives “half as much or as much again”). */
export const UNSURE = {
  /** What beads of a place take up, against the book: flow, humidity, use and beads together. */
  place: 0.35,
  /** One charge and another at the same place: filling, how it was dried. */
  charge: 0.12,
  /** How far the front has come, of the height, read by eye. */
  front: 0.1,
  /** Use and weather of the weeks to come, as a factor of those expected. */
  ahead: 0.1,
  /** A single day, as a factor of the expected. */
  day: 0.25,
} as const;

/** Before anything was logged a place is taken to be as published. */
export const FACTOR_BEFORE: Belief = { ln: 0, variance: UNSURE.place ** 2 };
/** A front lower than this tells nothing yet (estimate). */
export const LEAST_READ = 0.15;
/** Half of a band of 80 % of a normal distribution, in standard deviations. */
export const Z80 = 1.2816;

/**
 * Both sides of the band of 80 %, and the middle.
 * @returns in the unit of what is believed
 * @example lifeBand({ ln: Math.log(2), variance: 0.01 }).high // 2.27
 */
export const lifeBand = (b: Belief): { low: number; mid: number; high: number } => {
  const half = Z80 * Math.sqrt(b.variance);
  return { low: Math.exp(b.ln - half), mid: Math.exp(b.ln), high: Math.exp(b.ln + half) };
};

/** Two independent accounts of one number: each counts by how sure it is. @source Bayes’ rule for normal distributions */
function combine(a: Belief, b: Belief): Belief {
  const variance = 1 / (1 / a.variance + 1 / b.variance);
  return { ln: variance * (a.ln / a.variance + b.ln / b.variance), variance };
}

/** How far a charge was spent when so much water, as estimated, had come to it. */
export interface Look {
  readonly loadKg: number;
  /** 0…1 */
  readonly spent: number;
}

/** A charge at its place. */
export interface ChargeAtPlace {
  /** Water that it should take up, by the book: mass, medium, humidity, times dried. */
  readonly handbookKg: number;
  readonly looks: readonly Look[];
}

const readOf = ({ loadKg, spent }: Look): Belief | undefined =>
  spent >= LEAST_READ && loadKg > 0
    ? { ln: Math.log(loadKg / spent), variance: (UNSURE.front / spent) ** 2 }
    : undefined;

/**
 * Learns the capacity factor of a place: by how much its charges take up more or less than published. The last look at each charge
 * that was there is an account of it; the spread from charge to charge and the error of reading are allowed for.
 * @param charges that are done with, and the last look at each: mostly how far it was spent when it came out
 * @source conjugate update of a normal distribution, in logarithms
 * @example learnFactor([]) // {"ln":0,"variance":0.12249999999999998}
 */
export function learnFactor(charges: readonly ChargeAtPlace[], before: Belief = FACTOR_BEFORE): Belief {
  return charges.reduce((belief, { handbookKg, looks }) => {
    const read = looks.map(readOf).findLast((b) => b !== undefined);
    if (!read || !(handbookKg > 0)) return belief;
    return combine(belief, { ln: read.ln - Math.log(handbookKg), variance: read.variance + UNSURE.charge ** 2 });
  }, before);
}

/**
 * What the charge that is in takes up in all, kg: by its place, and by every look at it.
 * @param factor of the place
 * @returns a belief about kg
 * @example capacityOf({ ln: 0, variance: 0.04 }, { handbookKg: 0.8, looks: [] }).ln // -0.223
 */
export function capacityOf(factor: Belief, { handbookKg, looks }: ChargeAtPlace): Belief {
  const before = { ln: factor.ln + Math.log(handbookKg), variance: factor.variance + UNSURE.charge ** 2 };
  return looks.reduce((belief, look) => {
    const read = readOf(look);
    return read ? combine(belief, read) : belief;
  }, before);
}

/** When a charge will be spent. */
export interface ChangeDay {
  /** Days from now at which one in ten, half, and nine in ten of the outcomes are spent; infinite beyond what was looked at. */
  readonly days: readonly [early: number, middle: number, late: number];
  /** Of the outcomes, how many are spent by now. */
  readonly spentNow: number;
}

/**
 * When a charge will be spent, by drawing many outcomes over the stated uncertainties.
 * @param capacity of {@link capacityOf}
 * @param loadKg water, as estimated, that came to it so far
 * @param dailyKg water of each day from now on, as estimated
 * @param onProgress is told the share that is done; where it says false nothing is returned
 * @example predictChange({ ln: 0, variance: 0.04 }, 0.5, new Array(60).fill(0.02)).days[1] // 25.34
 */
export function predictChange(
  capacity: Belief,
  loadKg: number,
  dailyKg: ArrayLike<number>,
  {
    samples = 2000,
    seed = 1,
    onProgress,
  }: { samples?: number; seed?: number; onProgress?: (share: number) => boolean } = {},
): ChangeDay | undefined {
  const draw = normalDraws(seed);
  const sigma = Math.sqrt(capacity.variance);
  const days = dailyKg.length;
  // Of the days up to each: the expected, and the spread of the sum of days that vary each for itself.
  const sum = new Float64Array(days + 1);
  const spread = new Float64Array(days + 1);
  for (let day = 0, squares = 0; day < days; day++) {
    const kg = dailyKg[day] as number;
    sum[day + 1] = (sum[day] as number) + kg;
    squares += (UNSURE.day * kg) ** 2;
    spread[day + 1] = Math.sqrt(squares);
  }
  const ends = new Float64Array(samples);
  let spent = 0;
  for (let i = 0; i < samples; i++) {
    if (onProgress && i % 250 === 0 && !onProgress(i / samples)) return undefined;
    const left = (Math.exp(capacity.ln + sigma * draw()) - loadKg) / Math.exp(UNSURE.ahead * draw());
    const luck = draw();
    if (left <= 0) spent++;
    const came = (day: number): number => (sum[day] as number) + luck * (spread[day] as number);
    let [low, high] = [0, days + 1]; // spent not by low, but by high
    while (left > 0 && high - low > 1) {
      const day = (low + high) >> 1;
      if (came(day) >= left) high = day;
      else low = day;
    }
    ends[i] =
      left <= 0
        ? 0
        : high > days
          ? Number.POSITIVE_INFINITY
          : low + (left - came(low)) / Math.max(came(high) - came(low), 1e-12);
  }
  ends.sort();
  const at = (share: number): number => ends[Math.min(samples - 1, Math.floor(share * samples))] as number;
  return { days: [at(0.1), at(0.5), at(0.9)], spentNow: spent / samples };
}
