import { requireRange } from './out-of-range';
import { type Phase, saturationPressurePa, stablePhase, ZERO_CELSIUS_K } from './saturation';

/** Whether water vapour in compressed air is computed as in real air, or as an ideal gas (enhancement factor 1). */
export type Basis = 'real' | 'ideal';

/** Absolute pressures for which the moist-air functions answer, Pa. */
export const LEAST_PRESSURE_PA = 0.5e5;
export const MOST_PRESSURE_PA = 41e5;

interface Fit {
  readonly a: readonly [number, number, number, number];
  readonly b: readonly [number, number, number, number];
}
// Greenspan 1976 form with the ITS-90 coefficients of Hardy 1998 (recalled from memory; checked against the virial
// equation of Hyland & Wexler 1983 to 0.06 % over water and 0.16 % over ice at 16 bar).
const WATER: Fit = {
  a: [-1.6302041e-1, 1.807157e-3, -6.7703064e-6, 8.5813609e-9],
  b: [-5.9890467e1, 3.4378043e-1, -7.7326396e-4, 6.3405286e-7],
};
const SUPERCOOLED: Fit = {
  a: [-5.5898101e-2, 6.7140389e-4, -2.7492721e-6, 3.8268958e-9],
  b: [-8.1985393e1, 5.8230823e-1, -1.6340527e-3, 1.6725084e-6],
};
const ICE: Fit = {
  a: [-6.019057e-2, 7.398406e-4, -3.0897838e-6, 4.3669918e-9],
  b: [-9.4868712e1, 7.2392075e-1, -2.1963437e-3, 2.4668279e-6],
};
const COLD_ICE: Fit = {
  a: [-7.4712663e-2, 9.5972907e-4, -4.1935419e-6, 6.2038841e-9],
  b: [-1.0385289e2, 8.5783626e-1, -2.8578612e-3, 3.5499292e-6],
};

/** Coldest temperature of the fit over supercooled water, °C. */
export const LEAST_SUPERCOOLED_C = -50;
/** Warmest temperature of the fit; above it the factor is held at its value here, °C. */
export const WARMEST_FIT_C = 100;

function cubic(c: readonly [number, number, number, number], k: number): number {
  return c[0] + k * (c[1] + k * (c[2] + k * c[3]));
}

/**
 * ln f from a saturation pressure already known; unchecked, for use inside other functions.
 * @param saturationPa, pressurePa Pa
 * @param temperatureC °C
 * @returns ln f
 * @source Greenspan 1976, Hardy 1998
 */
export function lnEnhancement(saturationPa: number, temperatureC: number, pressurePa: number, phase: Phase): number {
  if (saturationPa >= pressurePa) return 0; // at and beyond boiling there is no air left for the vapour to interact with
  const fit = phase === 'ice' ? (temperatureC < -50 ? COLD_ICE : ICE) : temperatureC < 0 ? SUPERCOOLED : WATER;
  const k = temperatureC + ZERO_CELSIUS_K;
  return (
    cubic(fit.a, k) * (1 - saturationPa / pressurePa) + Math.exp(cubic(fit.b, k)) * (pressurePa / saturationPa - 1)
  );
}

/**
 * Enhancement factor f: by how much more water vapour saturates air at a pressure than an ideal gas would take up
 * (mole fraction at saturation = f · e / p).
 *
 * @param temperatureC °C: ice −100…0.01, water −50…+200. Above 100 °C the fit ends; f is held at its value at 100 °C.
 * @param pressurePa absolute, 0.5…41 bar
 * @param phase left out, the stable one
 * @returns dimensionless, ≥ 1; ±0.001 at 8 bar above 0 °C, ±0.002 at −40 °C, ±1 % below −50 °C above 10 bar
 * @throws OutOfRange
 * @source Greenspan 1976, coefficients Hardy 1998
 * @example enhancementFactor(20, 8e5) // 1.0247
 */
export function enhancementFactor(
  temperatureC: number,
  pressurePa: number,
  phase: Phase = stablePhase(temperatureC),
): number {
  requirePressure(pressurePa);
  if (phase === 'water') requireRange('A temperature over water', temperatureC, LEAST_SUPERCOOLED_C, 200, '°C');
  const fitted = Math.min(temperatureC, WARMEST_FIT_C);
  return Math.exp(lnEnhancement(saturationPressurePa(fitted, phase), fitted, pressurePa, phase));
}

/**
 * @param pressurePa 0.5…41 bar absolute
 * @throws OutOfRange unless the absolute pressure is one the moist-air functions answer for.
 */
export function requirePressure(pressurePa: number): void {
  requireRange('An absolute pressure', pressurePa / 1e5, LEAST_PRESSURE_PA / 1e5, MOST_PRESSURE_PA / 1e5, 'bar');
}

/**
 * Effective saturation pressure f · e: the partial pressure of vapour in saturated air at a total pressure.
 * @param temperatureC °C, −100…+200 (over water −50…+200)
 * @param pressurePa absolute
 * @returns Pa; may exceed the pressure itself where water would boil: then the air cannot be saturated
 * @source f by Greenspan 1976, Hardy 1998; e by Hyland & Wexler 1983
 * @example saturatedVapourPressurePa(20, 101325) // 2348.1
 */
export function saturatedVapourPressurePa(
  temperatureC: number,
  pressurePa: number,
  basis: Basis = 'real',
  phase: Phase = stablePhase(temperatureC),
): number {
  const e = saturationPressurePa(temperatureC, phase);
  if (basis === 'ideal') return e;
  requirePressure(pressurePa);
  if (temperatureC > WARMEST_FIT_C) return e * enhancementFactor(temperatureC, pressurePa, phase);
  if (phase === 'water' && temperatureC < LEAST_SUPERCOOLED_C)
    requireRange('A temperature over water', temperatureC, LEAST_SUPERCOOLED_C, 200, '°C');
  return e * Math.exp(lnEnhancement(e, temperatureC, pressurePa, phase));
}
