import { R_DRY_AIR } from '../air/humidity';
import { ZERO_CELSIUS_K } from '../air/saturation';

const GAMMA = 1.4; // dry air, cp/cv
const CRITICAL = (2 / (GAMMA + 1)) ** (GAMMA / (GAMMA - 1)); // 0.528: below it the flow is choked

/**
 * Discharge coefficients of a hole: well rounded, and sharp as drilled (handbooks of compressed air, recalled); of the seat
 * of a drain valve (trade handbook).
 */
export const DISCHARGE = { rounded: 0.97, sharp: 0.61, drain: 0.65 } as const;

/**
 * Mass flow of air through a hole.
 * @param upstreamPa, downstreamPa absolute; nothing flows backwards
 * @param temperatureC of the air before the hole
 * @returns kg/s
 * @param coefficient of discharge, 0…1
 * @source isentropic nozzle × discharge coefficient (any text on gas dynamics)
 * @example orificeKgPerS(0.003175, 790801, 101325, 20) // 0.00902
 */
export function orificeKgPerS(
  diameterM: number,
  upstreamPa: number,
  downstreamPa: number,
  temperatureC: number,
  coefficient: number = DISCHARGE.sharp,
): number {
  if (downstreamPa >= upstreamPa) return 0;
  const r = Math.max(downstreamPa / upstreamPa, CRITICAL);
  const speed = Math.sqrt(((2 * GAMMA) / (GAMMA - 1)) * (r ** (2 / GAMMA) - r ** ((GAMMA + 1) / GAMMA)));
  const area = (Math.PI / 4) * diameterM ** 2;
  return (coefficient * area * upstreamPa * speed) / Math.sqrt(R_DRY_AIR * (temperatureC + ZERO_CELSIUS_K));
}

const STEPS = 100;

/**
 * Time in which a volume blows down through a hole to the atmosphere, until no more than a share of an atmosphere is left
 * above it: then the hiss ends.
 * @param volumeM3 m³
 * @param fromPa, atmosphericPa Pa absolute
 * @param temperatureC °C
 * @param diameterM of the hole, m
 * @param left share of an atmosphere that may be left above it
 * @returns s
 * @source dt = V·dp / (R·T·ṁ), isothermal, summed over the pressures (midpoint rule)
 * @example blowDownS(0.227, 8e5, 101325, 20, 0.00635) // 121
 */
export function blowDownS(
  volumeM3: number,
  fromPa: number,
  atmosphericPa: number,
  temperatureC: number,
  diameterM: number,
  left = 0.1,
): number {
  const toPa = atmosphericPa * (1 + left);
  if (fromPa <= toPa) return 0;
  const ratio = (fromPa / toPa) ** (1 / STEPS);
  const perPa = volumeM3 / (R_DRY_AIR * (temperatureC + ZERO_CELSIUS_K));
  let seconds = 0;
  for (let p = toPa, i = 0; i < STEPS; i++, p *= ratio)
    seconds += (perPa * p * (ratio - 1)) / orificeKgPerS(diameterM, p * Math.sqrt(ratio), atmosphericPa, temperatureC);
  return seconds;
}
