import { type Basis, LEAST_SUPERCOOLED_C, lnEnhancement, requirePressure, WARMEST_FIT_C } from './enhancement-factor';
import { OutOfRange } from './out-of-range';
import {
  LEAST_C,
  lnSaturationIce,
  lnSaturationWater,
  MOST_C,
  type Phase,
  saturationPressurePa,
  slopeLnIce,
  slopeLnWater,
  TRIPLE_POINT_C,
  ZERO_CELSIUS_K,
} from './saturation';

/**
 * What a dew point below 0 °C refers to: `frost` is over ice (what a mirror or most sensors report), `water` is over
 * supercooled water, some 4 K lower at −35 °C. Above 0 °C they are one.
 */
export type Convention = 'frost' | 'water';

const LN_TRIPLE = Math.log(saturationPressurePa(TRIPLE_POINT_C, 'water'));
const LN_LEAST_ICE = Math.log(saturationPressurePa(LEAST_C, 'ice'));
const LN_LEAST_WATER = Math.log(saturationPressurePa(LEAST_SUPERCOOLED_C, 'water'));
const LN_MOST = Math.log(saturationPressurePa(MOST_C, 'water'));
const E_WARMEST_FIT = saturationPressurePa(WARMEST_FIT_C, 'water');
const SLACK = 1e-9;

function lnFactorAtTriple(pressurePa: number): number {
  return lnEnhancement(Math.exp(LN_TRIPLE), TRIPLE_POINT_C, pressurePa, 'ice');
}

// Newton's method in 1/T, in which ln e is almost a straight line. It starts from cubics in ln e, fitted to the two
// saturation equations (within 0.03 K over water −50…200 °C, 0.003 K over ice), so that a single step ends within 1e-6 K.
function invertWater(lnE: number): number {
  const k = 1000 / (4.8111002 + lnE * (-0.176585064 + lnE * (-2.95241478e-5 - lnE * 6.00590935e-5)));
  return k / (1 - (lnE - lnSaturationWater(k)) / (k * slopeLnWater(k))) - ZERO_CELSIUS_K;
}
function invertIce(lnE: number): number {
  const k = 1000 / (4.70434207 + lnE * (-0.162723913 + lnE * (3.41615663e-5 - lnE * 2.97221038e-6)));
  return k / (1 - (lnE - lnSaturationIce(k)) / (k * slopeLnIce(k))) - ZERO_CELSIUS_K;
}

function phaseOf(lnE: number, convention: Convention): Phase {
  return convention === 'frost' && lnE < LN_TRIPLE ? 'ice' : 'water';
}

function requireVapour(lnE: number, phase: Phase): void {
  const least = phase === 'ice' ? LN_LEAST_ICE : LN_LEAST_WATER;
  if (!(lnE >= least - SLACK && lnE <= LN_MOST + SLACK))
    throw new OutOfRange('A vapour pressure', Math.exp(lnE), Math.exp(least), Math.exp(LN_MOST), 'Pa');
}

/**
 * Dew point (frost point below 0 °C, unless the convention says otherwise) from the partial pressure of water vapour,
 * without an enhancement factor.
 *
 * @param vapourPressurePa Pa; over ice from e(−100 °C), over supercooled water from e(−50 °C), to e(200 °C)
 * @returns °C
 * @throws OutOfRange
 * @source inverts Hyland & Wexler 1983
 * @example dewPointFromVapourPressureC(2338.8) // 20.00
 */
export function dewPointFromVapourPressureC(vapourPressurePa: number, convention: Convention = 'frost'): number {
  const lnE = Math.log(vapourPressurePa);
  const phase = phaseOf(lnE, convention);
  requireVapour(lnE, phase);
  return phase === 'ice' ? invertIce(lnE) : invertWater(lnE);
}

/**
 * Pressure dew point: the temperature at which air at its own pressure, cooled, would begin to drop water (or frost).
 * At atmospheric pressure the same function gives the atmospheric dew point.
 *
 * @param vapourFraction mole fraction of vapour in the moist air, 0…1
 * @param pressurePa absolute, 0.5…41 bar
 * @param convention below 0 °C: `frost` (over ice) or `water` (supercooled)
 * @returns °C
 * @throws OutOfRange
 * @source solves f(T, p) · e(T) = x · p; Hyland & Wexler 1983, Greenspan 1976
 */
export function pressureDewPointC(
  vapourFraction: number,
  pressurePa: number,
  basis: Basis = 'real',
  convention: Convention = 'frost',
): number {
  const vapourPressurePa = vapourFraction * pressurePa;
  if (basis === 'ideal') return dewPointFromVapourPressureC(vapourPressurePa, convention);
  requirePressure(pressurePa);
  // The phase is fixed beforehand from the real saturation at the triple point, so that the steps below cannot flicker
  // between ice and water (the two fits of f part by about 0.02 K there). f hardly depends on temperature: correcting the ideal answer by ln f over the slope of ln e
  // converges a hundredfold a step.
  const lnReal = Math.log(vapourPressurePa);
  const phase: Phase = convention === 'frost' && lnReal < LN_TRIPLE + lnFactorAtTriple(pressurePa) ? 'ice' : 'water';
  let k = (phase === 'ice' ? invertIce(lnReal) : invertWater(lnReal)) + ZERO_CELSIUS_K;
  let lnF = 0;
  for (let step = 0; step < 4; step++) {
    const fitted = Math.min(k - ZERO_CELSIUS_K, WARMEST_FIT_C);
    const lnE = phase === 'ice' ? lnSaturationIce(k) : lnSaturationWater(k);
    const eFitted = fitted < WARMEST_FIT_C ? Math.exp(lnE) : E_WARMEST_FIT;
    lnF = lnEnhancement(eFitted, fitted, pressurePa, phase);
    const off = lnReal - lnF - lnE;
    k /= 1 - off / (k * (phase === 'ice' ? slopeLnIce(k) : slopeLnWater(k)));
    if (Math.abs(off) < 1e-9) break;
  }
  requireVapour(lnReal - lnF, phase);
  return k - ZERO_CELSIUS_K;
}
