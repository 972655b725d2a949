import { requireRange } from './out-of-range';
import { ZERO_CELSIUS_K } from './saturation';

/** Critical point of water: K, Pa. IAPWS. */
const CRITICAL_K = 647.096;
const CRITICAL_PA = 22.064e6;
/** Range of the equation, °C: triple point to critical point. */
export const MOST_STEAM_C = 373.94;

/**
 * Saturation pressure of water from the triple point to the critical point: for ovens, beyond the range of moist air.
 *
 * @param temperatureC °C, 0.01…373.94
 * @returns Pa
 * @throws OutOfRange
 * @source IAPWS SR1-86(1992), Wagner & Pruss 1993, eq. 1 (coefficients recalled; held to steam tables by a test)
 * @example steamPressurePa(300) // 8.588e6
 */
export function steamPressurePa(temperatureC: number): number {
  requireRange('A temperature of steam', temperatureC, 0.01, MOST_STEAM_C, '°C');
  const k = temperatureC + ZERO_CELSIUS_K;
  const t = 1 - k / CRITICAL_K;
  const sum =
    -7.85951783 * t +
    1.84408259 * t ** 1.5 -
    11.7866497 * t ** 3 +
    22.6807411 * t ** 3.5 -
    15.9618719 * t ** 4 +
    1.80122502 * t ** 7.5;
  return CRITICAL_PA * Math.exp((CRITICAL_K / k) * sum);
}
