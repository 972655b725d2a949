import { DAY_S, YEAR_S } from '../quantity/constants';
import { RATED_M3_PER_S, RATED_PA, ratingFor, type Sized } from './next-size';

/** Lost by a new, wetted element at its rating, Pa: 2 psi of 1 µm, and 3 of 0.01 µm (trade handbook: 2–3 and 3–5). */
export const WET_LOSS_PA = { general: 14e3, fine: 20e3 } as const;
export type FilterGrade = keyof typeof WET_LOSS_PA;
/** An element lasts 6000–8000 h of air, and a year at most (trade handbook, the middle). */
const LASTS_H = 7000;

export interface FilterNeed {
  readonly grade: FilterGrade;
  /** Free air that passes at most, m³/s, and its pressure, absolute. */
  readonly passesM3PerS: number;
  readonly pressurePa: number;
  /** Hours of air in a week. */
  readonly hoursPerWeek: number;
}

/** A coalescing filter by its plate at 7 bar. */
export interface FilterAt {
  readonly ratedM3PerS: number;
  /** Of what it may pass at this pressure; above 1 oil is carried through. */
  readonly loadShare: number;
  /** Lost by a new element once it is wet. */
  readonly wetLossPa: number;
}

/**
 * The coalescing filter for a flow, with the ones beside it, and how long an element of it lasts.
 * @param need flow 0…1 m³/s, pressure 1.5…41 bar absolute, hours 0…168
 * @source capacity ∝ absolute pressure, loss ∝ flow² over density; losses and life of the trade handbook
 * @example sizeFilter({ grade: 'fine', passesM3PerS: 0.0075, pressurePa: 801325, hoursPerWeek: 40 }).wetLossPa // 8081
 */
export function sizeFilter({ grade, passesM3PerS, pressurePa, hoursPerWeek }: FilterNeed): FilterAt & {
  readonly lifeS: number;
  readonly beside: Omit<Sized<FilterAt>, 'size'>;
} {
  const at = (ratedM3PerS: number | undefined): FilterAt | undefined => {
    if (ratedM3PerS === undefined) return undefined;
    const loadShare = (passesM3PerS * RATED_PA) / (pressurePa * ratedM3PerS);
    const wetLossPa = WET_LOSS_PA[grade] * (passesM3PerS / ratedM3PerS) ** 2 * (RATED_PA / pressurePa);
    return { ratedM3PerS, loadShare, wetLossPa };
  };
  const rated = ratingFor(passesM3PerS, pressurePa);
  const place = RATED_M3_PER_S.indexOf(rated);
  const byHoursS = hoursPerWeek > 0 ? (LASTS_H / hoursPerWeek) * 7 * DAY_S : Number.POSITIVE_INFINITY;
  return {
    ...(at(rated) as FilterAt),
    lifeS: Math.min(YEAR_S, byHoursS),
    beside: { down: at(RATED_M3_PER_S[place - 1]), up: at(RATED_M3_PER_S[place + 1]) },
  };
}
