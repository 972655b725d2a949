import { type CubicCurve, cubicCurve, readCurve } from './cubic-curve';
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
const SLACK = 1e-9;

function lnFactorAtTriple(pressurePa: number): number {
  return lnEnhancement(Math.exp(LN_TRIPLE), TRIPLE_POINT_C, pressurePa, 'ice');
}

/** Temperature, °C, as a curve over ln e, made by Newton's method from a saturation equation: within 1e-6 K of it. */
function inverse(
  least: number,
  most: number,
  startK: number,
  ln: (k: number) => number,
  slopeOfLn: (k: number) => number,
): CubicCurve {
  let k = startK; // each point starts from the one before
  return cubicCurve(least, most, 32, (lnE) => {
    for (let step = 0; step < 8; step++) k += (lnE - ln(k)) / slopeOfLn(k);
    return [k - ZERO_CELSIUS_K, 1 / slopeOfLn(k)];
  });
}
const MARGIN = 1; // room in ln e beyond the range: the real dew point starts from f = 1
const WATER = inverse(LN_LEAST_WATER - MARGIN, LN_MOST + MARGIN, 215, lnSaturationWater, slopeLnWater);
const ICE = inverse(LN_LEAST_ICE - MARGIN, LN_TRIPLE + MARGIN, 170, lnSaturationIce, slopeLnIce);

function phaseOf(lnE: number, convention: Convention): Phase {
  return convention === 'frost' && lnE < LN_TRIPLE ? 'ice' : 'water';
}

function requireVapour(lnE: number, phase: Phase, slack = SLACK): void {
  const least = phase === 'ice' ? LN_LEAST_ICE : LN_LEAST_WATER;
  if (!(lnE >= least - slack && lnE <= LN_MOST + slack))
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
  return readCurve(phase === 'ice' ? ICE : WATER, lnE);
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
  // between ice and water (the two fits of f part by about 0.02 K there).
  const lnReal = Math.log(vapourPressurePa);
  const phase: Phase = convention === 'frost' && lnReal < LN_TRIPLE + lnFactorAtTriple(pressurePa) ? 'ice' : 'water';
  requireVapour(lnReal, phase, MARGIN);
  const curve = phase === 'ice' ? ICE : WATER;
  // f hardly depends on temperature: each step of dividing by it comes a hundred times closer.
  let temperatureC = readCurve(curve, lnReal);
  let lnF = 0;
  for (let step = 0; step < 5; step++) {
    const fitted = Math.min(temperatureC, WARMEST_FIT_C);
    const next = lnEnhancement(saturationPressurePa(fitted, phase), fitted, pressurePa, phase);
    temperatureC = readCurve(curve, lnReal - next);
    if (Math.abs(next - lnF) < 1e-9) break;
    lnF = next;
  }
  requireVapour(lnReal - lnF, phase);
  return temperatureC;
}
