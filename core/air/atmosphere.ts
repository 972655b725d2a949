import { requireRange } from './out-of-range';

/** Standard sea-level pressure, Pa. ICAO, exact. */
export const SEA_LEVEL_PA = 101325;

/**
 * Mean barometric pressure at an altitude.
 * @param altitudeM metres above sea level, −500…5000
 * @returns Pa, absolute
 * @throws OutOfRange
 * @source ICAO standard atmosphere as in ASHRAE Fundamentals ch. 1, eq. 3
 * @example atmosphericPressurePa(1600) // 83 523
 */
export function atmosphericPressurePa(altitudeM: number): number {
  requireRange('An altitude', altitudeM, -500, 5000, 'm');
  return SEA_LEVEL_PA * (1 - 2.25577e-5 * altitudeM) ** 5.2559;
}

/**
 * Altitude, m, at which the standard atmosphere has this pressure: the inverse of {@link atmosphericPressurePa}.
 * @param pressurePa barometric, Pa
 * @returns m above sea level
 * @source ICAO standard atmosphere
 */
export function altitudeM(pressurePa: number): number {
  return (1 - (pressurePa / SEA_LEVEL_PA) ** (1 / 5.2559)) / 2.25577e-5;
}
