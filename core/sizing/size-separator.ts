import { cycloneAtLoad } from '../equipment/catching/separator';
import { RATED_M3_PER_S, RATED_PA, ratingFor, type Sized } from './next-size';

/** What a separator catches at its rated flow, of a cyclone (trade handbook). */
const EFFICIENCY = 0.95;
/** A drain passes twice what comes in the design hour: slugs come at once (common practice, no source). */
const DRAIN_OVER = 2;
/** Water that goes through each kind of drain, kg/s: by hand half a litre a shift, a float 30 L/h, level-sensing far more (trade handbook). */
const DRAINS = [
  { drain: 'manual', mostKgPerS: 0.5 / (8 * 3600) },
  { drain: 'float', mostKgPerS: 30 / 3600 },
  { drain: 'level', mostKgPerS: Number.POSITIVE_INFINITY },
] as const;

export interface SeparatorNeed {
  /** Free air that passes at most, m³/s, and its pressure, absolute. */
  readonly passesM3PerS: number;
  readonly pressurePa: number;
  /** Drops that come with it in the design hour, kg/s. */
  readonly dropsKgPerS: number;
}

/** A separator by its plate at 7 bar. */
export interface SeparatorAt {
  readonly ratedM3PerS: number;
  readonly loadShare: number;
  readonly catchesShare: number;
}

/**
 * The separator for a flow, with the ones beside it, and the drain that lets out what it catches.
 * @param need flow 0…1 m³/s, pressure 1.5…41 bar absolute
 * @source cyclones by load, and drains, of the trade handbook; capacity ∝ absolute pressure
 * @example sizeSeparator({ passesM3PerS: 0.0075, pressurePa: 8e5, dropsKgPerS: 1e-4 }).drain // 'float'
 */
export function sizeSeparator({ passesM3PerS, pressurePa, dropsKgPerS }: SeparatorNeed): SeparatorAt & {
  readonly drain: (typeof DRAINS)[number]['drain'];
  readonly drainKgPerS: number;
  readonly beside: Omit<Sized<SeparatorAt>, 'size'>;
} {
  const at = (ratedM3PerS: number | undefined): SeparatorAt | undefined => {
    if (ratedM3PerS === undefined) return undefined;
    const loadShare = (passesM3PerS * RATED_PA) / (pressurePa * ratedM3PerS);
    return { ratedM3PerS, loadShare, catchesShare: EFFICIENCY * cycloneAtLoad(loadShare) };
  };
  const rated = ratingFor(passesM3PerS, pressurePa);
  const place = RATED_M3_PER_S.indexOf(rated);
  const size = at(rated) as SeparatorAt;
  const drainKgPerS = DRAIN_OVER * size.catchesShare * dropsKgPerS;
  const drain = DRAINS.find((d) => d.mostKgPerS >= drainKgPerS)?.drain ?? 'level';
  return {
    ...size,
    drain,
    drainKgPerS,
    beside: { down: at(RATED_M3_PER_S[place - 1]), up: at(RATED_M3_PER_S[place + 1]) },
  };
}
