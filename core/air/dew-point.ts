import { type OctaveCurve, octaveCurve, readOctaves } from './cubic-curve';
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

const TRIPLE_PA = saturationPressurePa(TRIPLE_POINT_C, 'water');
const LEAST_ICE_PA = saturationPressurePa(LEAST_C, 'ice');
const LEAST_WATER_PA = saturationPressurePa(LEAST_SUPERCOOLED_C, 'water');
const MOST_PA = saturationPressurePa(MOST_C, 'water');
const SLACK = 1 + 1e-9;
const MARGIN = 2.7; // room beyond the range: the real dew point starts from f = 1
const MOST_STEPS = 6;
const CLOSE = 1e-7; // of the pressure: one more division by f leaves a hundredth of it

function triplePaAt(pressurePa: number): number {
  return TRIPLE_PA * Math.exp(lnEnhancement(TRIPLE_PA, TRIPLE_POINT_C, pressurePa, 'ice'));
}

/** Temperature, °C, as a curve over e, made by Newton's method from a saturation equation: within 1e-6 K of it. */
function inverse(
  leastPa: number,
  mostPa: number,
  startK: number,
  ln: (k: number) => number,
  slopeOfLn: (k: number) => number,
): OctaveCurve {
  let k = startK; // each point starts from the one before
  return octaveCurve(leastPa / MARGIN, mostPa * MARGIN, (e) => {
    const lnE = Math.log(e);
    for (let step = 0; step < 8; step++) k += (lnE - ln(k)) / slopeOfLn(k);
    return [k - ZERO_CELSIUS_K, 1 / (e * slopeOfLn(k))];
  });
}

const WATER = inverse(LEAST_WATER_PA, MOST_PA, 215, lnSaturationWater, slopeLnWater);
const ICE = inverse(LEAST_ICE_PA, TRIPLE_PA, 170, lnSaturationIce, slopeLnIce);

function requireVapour(vapourPa: number, phase: Phase, slack = SLACK): void {
  const least = phase === 'ice' ? LEAST_ICE_PA : LEAST_WATER_PA;
  if (!(vapourPa >= least / slack && vapourPa <= MOST_PA * slack))
    throw new OutOfRange('A vapour pressure', vapourPa, least, MOST_PA, 'Pa');
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
  const phase = convention === 'frost' && vapourPressurePa < TRIPLE_PA ? 'ice' : 'water';
  requireVapour(vapourPressurePa, phase);
  return readOctaves(phase === 'ice' ? ICE : WATER, vapourPressurePa);
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
 * @example pressureDewPointC(0.0029, 8e5) // 19.47
 */
export function pressureDewPointC(
  vapourFraction: number,
  pressurePa: number,
  basis: Basis = 'real',
  convention: Convention = 'frost',
): number {
  const vapourPressurePa = vapourFraction * pressurePa;
  return basis === 'ideal'
    ? dewPointFromVapourPressureC(vapourPressurePa, convention)
    : realDewPointC(vapourPressurePa, pressurePa, convention);
}

function realDewPointC(vapourPressurePa: number, pressurePa: number, convention: Convention): number {
  requirePressure(pressurePa);
  // The phase is fixed beforehand from the real saturation at the triple point, so that the steps below cannot flicker
  // between ice and water (the two fits of f part by about 0.02 K there).
  const isIce =
    convention === 'frost' &&
    (vapourPressurePa < TRIPLE_PA ||
      (vapourPressurePa < MARGIN * TRIPLE_PA && vapourPressurePa < triplePaAt(pressurePa)));
  const phase: Phase = isIce ? 'ice' : 'water';
  requireVapour(vapourPressurePa, phase, MARGIN);
  const curve = isIce ? ICE : WATER;
  // f hardly depends on temperature: dividing by it comes a hundred times closer, and from there the secant closer still.
  let purePa = vapourPressurePa;
  let [lastPa, lastOff] = [Number.NaN, 0];
  let temperatureC = readOctaves(curve, purePa);
  for (let step = 0; step < MOST_STEPS; step++) {
    // Above the triple point, where a first guess at high pressure may lie, there is no ice.
    const fitted = Math.min(temperatureC, isIce ? TRIPLE_POINT_C : WARMEST_FIT_C);
    const divided =
      vapourPressurePa * Math.exp(-lnEnhancement(saturationPressurePa(fitted, phase), fitted, pressurePa, phase));
    const off = divided - purePa;
    const isClose = Math.abs(off) < CLOSE * divided;
    const next = isClose || step === 0 ? divided : purePa - (off * (purePa - lastPa)) / (off - lastOff);
    [lastPa, lastOff, purePa] = [purePa, off, next];
    temperatureC = readOctaves(curve, purePa);
    if (isClose) break;
  }
  requireVapour(purePa, phase);
  return temperatureC;
}
