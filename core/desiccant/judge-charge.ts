import { type Medium, USABLE } from './isotherm';

/** A charge weighed before and after it was dried. */
export interface WeighedCharge {
  readonly medium: Medium;
  readonly dyed: boolean;
  readonly wetKg: number;
  readonly dryKg: number;
  /** How often it was dried before. */
  readonly times: number;
  /** What it should have held where it was; left out, what a new one takes up from saturated air. */
  readonly shouldHoldKg?: number;
}

/** Retired where it takes up less than this of a new one; let go on to lesser use below the second (trade handbook; the second an estimate). */
const RETIRED = 0.7;
const LESSER = 0.85;
/** Dryings that a medium bears at best (trade handbook): gel 10–20, its dye 5–15, alumina over 20; sieve as alumina (estimate). */
const TIMES: Record<Medium, number> = { silica: 20, alumina: 30, sieve: 30 };
const DYE_TIMES = 15;
/** No medium holds more than this of its dry mass (reference group 12, gel at saturation). */
const MOST_HELD = 0.45;

/**
 * What a charge still takes up of a new one, after so many dryings: down to where it is retired at the end of its dryings.
 * @param times it was dried
 * @returns 0…1
 * @source 70 % after 10–20 (gel) and over 20 dryings (trade handbook); in a straight line between (estimate)
 * @example leftAfter('silica', 10) // 0.850
 */
export const leftAfter = (medium: Medium, times: number): number =>
  Math.max(0.3, 1 - ((1 - RETIRED) * times) / TIMES[medium]);

export type Fate = 'keep' | 'lesser use' | 'discard';
export interface ChargeJudged {
  readonly fate: Fate;
  readonly drivenOffKg: number;
  readonly shouldHoldKg: number;
  readonly ofNew: number;
  readonly says: string;
}

/**
 * What the two weighings of a charge say of it: water driven off, against what a new one takes up before it is changed.
 * @param charge masses above 0, times 0 or more
 * @returns the judgement, or in words why the weights cannot be
 * @example judgeCharge({ medium: 'silica', dyed: false, wetKg: 2.4, dryKg: 2, times: 3 }).drivenOffKg // 0.4
 */
export function judgeCharge(charge: WeighedCharge): ChargeJudged | string {
  const { medium, dyed, wetKg, dryKg, times } = charge;
  const drivenOffKg = wetKg - dryKg;
  if (drivenOffKg < 0)
    return 'Heavier after drying than before: look whether both were weighed with the same tray, and cooled closed.';
  if (drivenOffKg > MOST_HELD * dryKg)
    return 'No beads hold so much water. Drops may have stood in the bowl: pour them off, and weigh again.';
  const shouldHoldKg = charge.shouldHoldKg ?? USABLE[medium] * dryKg;
  const ofNew = drivenOffKg / shouldHoldKg;
  const tired = times >= TIMES[medium];
  const fate: Fate =
    tired || ofNew < RETIRED ? 'discard' : ofNew < LESSER || (dyed && times >= DYE_TIMES) ? 'lesser use' : 'keep';
  return {
    fate,
    drivenOffKg,
    shouldHoldKg,
    ofNew,
    says: tired
      ? `Dried ${times} times: at its end even where it still weighs well. Sieve the dust out, and replace it.`
      : ofNew < RETIRED
        ? 'If it was exhausted when removed, it holds less than 70 % of a new one: replace it. If it was removed early, this shows nothing.'
        : fate === 'lesser use'
          ? dyed && times >= DYE_TIMES
            ? 'Its dye is near its end: go by weight, not by colour.'
            : 'It holds less than it did: let it dry where less depends on it.'
          : 'It holds what beads should.',
  };
}

/**
 * How a charge leaves the shop (trade handbook; local rules win).
 * @example disposalOf({ dyed: false, oily: false }) // 'Clean and white: general waste where that is allowed.'
 */
export const disposalOf = (c: { dyed: boolean; oily: boolean }): string =>
  c.oily
    ? 'Oily waste, in a closed and labelled drum.'
    : c.dyed
      ? 'Read the label: cobalt is hazardous waste in many places. Other dyes as their safety sheet says.'
      : 'Clean and white: general waste where that is allowed.';

/**
 * Dry charges that stand on the shelf, so that work never waits for an oven: what is spent while one is dried and cools,
 * within a working day, and never less than one.
 * @param hours of air that a charge lasts
 * @param airHPerDay hours of air of a day
 * @param hours that one lasts
 * @param airHPerDay hours of air a day
 * @returns charges
 * @source one sealed dry set at least, and one charge for each that a peak day spends (trade handbook)
 * @example sparesOf(20, 8) // 1
 */
export const sparesOf = (hours: number, airHPerDay: number): number => Math.max(1, Math.ceil(airHPerDay / hours));
