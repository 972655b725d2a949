import { CP_DRY_AIR } from '../air/enthalpy';
import { R_DRY_AIR, saturatedHumidityRatio } from '../air/humidity';
import { saturationPressurePa, ZERO_CELSIUS_K } from '../air/saturation';
import type { AirStream } from '../stream/air-stream';

/** Heat set free where a medium takes up a kilogram of water, J/kg (bead handbooks, typical: 2.6 MJ/kg). */
export const HEAT_OF_UPTAKE = 2.6e6;

/**
 * Actual volume flow of a stream where it is, m³/s: what decides how long it stays in a bed.
 * @returns m³/s
 * @source ideal gas
 * @example actualFlowM3PerS(air) // 0.001088
 */
export function actualFlowM3PerS(air: AirStream): number {
  return (air.dryAirKgPerS * R_DRY_AIR * (air.temperatureC + ZERO_CELSIUS_K)) / air.pressurePa;
}

/**
 * Share of the vapour above equilibrium that passes a medium, from the share that passes it at its rated duty. A bed, a
 * bundle of fibres or a layer of pellets is taken as a number of transfer units that shrinks as the duty grows:
 * twice the duty, half the units.
 * @param atRated 0…1, what passes at rated duty
 * @param load duty over rated duty, above 0
 * @returns 0…1
 * @source first-order mass transfer, exp(−NTU), NTU ∝ 1/duty
 * @example passingShare(0.01, 0.5) // 0.0001
 */
export function passingShare(atRated: number, load: number): number {
  return atRated ** (1 / Math.max(load, 1e-6));
}

/**
 * The share that passes at rated duty, from a rated dew point for air that enters saturated at a temperature.
 * @param ratedDewPointC under pressure, °C
 * @param inletC saturated there, °C
 * @returns 0…1
 * @example passingAtRating(-40, 35) // 0.00228
 */
export function passingAtRating(ratedDewPointC: number, inletC: number): number {
  return Math.min(1, saturationPressurePa(ratedDewPointC) / saturationPressurePa(inletC));
}

/**
 * Humidity ratio of the air that leaves a medium.
 * @param relativeHumidity with which the medium is in balance, 0…1, at the temperature of the medium
 * @returns kg/kg
 * @example leavingRatio(air, 0.05, 30, 0) // 0.000170
 */
export function leavingRatio(air: AirStream, relativeHumidity: number, mediumC: number, passing: number): number {
  const enters = air.vapourKgPerS / air.dryAirKgPerS;
  const balance = relativeHumidity * saturatedHumidityRatio(mediumC, air.pressurePa, air.basis);
  return enters <= balance ? enters : balance + (enters - balance) * passing;
}

/**
 * By how much the air is warmed by what the medium takes out of it, K.
 * @param humidityRatio with which it leaves, kg/kg
 * @returns K
 * @source heat of adsorption over the heat capacity of the air
 * @example warmedByUptakeK(air, 0.001) // 23.3
 */
export function warmedByUptakeK(air: AirStream, humidityRatio: number): number {
  const taken = (air.vapourKgPerS + air.liquidKgPerS) / air.dryAirKgPerS - humidityRatio;
  return Math.max(0, (taken * HEAT_OF_UPTAKE) / CP_DRY_AIR);
}
