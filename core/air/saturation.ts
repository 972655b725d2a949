import { type CubicCurve, cubicCurve, readCurve } from './cubic-curve';
import { requireRange } from './out-of-range';

export const ZERO_CELSIUS_K = 273.15;
/** Triple point of water, °C: below it the stable condensed phase is ice. IAPWS, exact by the definition of ITS-90. */
export const TRIPLE_POINT_C = 0.01;
/** Range of the two saturation equations, °C: ice from −100 °C, water to +200 °C. ASHRAE Fundamentals, ch. 1. */
export const LEAST_C = -100;
export const MOST_C = 200;

/** The condensed phase that a saturation value refers to. */
export type Phase = 'water' | 'ice';

/**
 * The stable phase at a temperature.
 * @param temperatureC °C
 * @returns ice below the triple point, 0.01 °C
 * @example stablePhase(-5) // 'ice'
 */
export function stablePhase(temperatureC: number): Phase {
  return temperatureC < TRIPLE_POINT_C ? 'ice' : 'water';
}

// ln(Pa) over water and over ice as functions of K: Hyland & Wexler 1983, as printed in ASHRAE Fundamentals ch. 1, eqs. 5 and 6.
export function lnSaturationWater(k: number): number {
  return (
    -5800.2206 / k + 1.3914993 + k * (-0.048640239 + k * (4.1764768e-5 - k * 1.4452093e-8)) + 6.5459673 * Math.log(k)
  );
}
export function lnSaturationIce(k: number): number {
  return (
    -5674.5359 / k +
    6.3925247 +
    k * (-0.009677843 + k * (6.2215701e-7 + k * (2.0747825e-9 - k * 9.484024e-13))) +
    4.1635019 * Math.log(k)
  );
}
/**
 * d ln e / dT over water, 1/K.
 * @param k kelvin
 * @source derivative of ASHRAE Fundamentals ch. 1, eq. 6
 */
export function slopeLnWater(k: number): number {
  return 5800.2206 / (k * k) - 0.048640239 + k * (2 * 4.1764768e-5 - k * 3 * 1.4452093e-8) + 6.5459673 / k;
}
/**
 * d ln e / dT over ice, 1/K.
 * @param k kelvin
 * @source derivative of ASHRAE Fundamentals ch. 1, eq. 5
 */
export function slopeLnIce(k: number): number {
  return (
    5674.5359 / (k * k) -
    0.009677843 +
    k * (2 * 6.2215701e-7 + k * (3 * 2.0747825e-9 - k * 4 * 9.484024e-13)) +
    4.1635019 / k
  );
}

/** A saturation equation as a curve over °C: within 2e-9 of it, and several times as fast. */
function saturationCurve(most: number, ln: (k: number) => number, slopeOfLn: (k: number) => number): CubicCurve {
  return cubicCurve(LEAST_C, most, 8, (temperatureC) => {
    const k = temperatureC + ZERO_CELSIUS_K;
    const e = Math.exp(ln(k));
    return [e, e * slopeOfLn(k)];
  });
}
const WARMEST_ICE_C = 1; // a little room over the triple point
const WATER_CURVE = saturationCurve(MOST_C, lnSaturationWater, slopeLnWater);
const ICE_CURVE = saturationCurve(WARMEST_ICE_C, lnSaturationIce, slopeLnIce);

/**
 * Saturation pressure of pure water vapour.
 *
 * @param temperatureC °C, −100…+200
 * @param phase over liquid water or over ice; left out, the stable one (ice below 0.01 °C). Over water below 0 °C the
 *   liquid is supercooled: an extrapolation of the equation, within about 1 % at −40 °C (Murphy & Koop 2005).
 * @returns Pa
 * @throws OutOfRange outside −100…+200 °C
 * @source Hyland & Wexler 1983 (ASHRAE Fundamentals ch. 1, eqs. 5 and 6)
 * @example saturationPressurePa(20) // 2338.8
 */
export function saturationPressurePa(temperatureC: number, phase: Phase = stablePhase(temperatureC)): number {
  requireRange('A temperature', temperatureC, LEAST_C, MOST_C, '°C');
  if (phase === 'water') return readCurve(WATER_CURVE, temperatureC);
  requireRange('A temperature over ice', temperatureC, LEAST_C, WARMEST_ICE_C, '°C');
  return readCurve(ICE_CURVE, temperatureC);
}
