import { R_WATER_VAPOUR, WATER_TO_AIR_MASS } from './humidity';
import { ZERO_CELSIUS_K } from './saturation';

// ASHRAE Fundamentals ch. 1, eqs. 28–30: h = 1.006·t + W·(2501 + 1.86·t), kJ/kg dry air.
/** J/(kg·K). */
export const CP_DRY_AIR = 1006;
export const CP_VAPOUR = 1860;
/** Of vapour at 0 °C over liquid at 0 °C, J/kg. */
const VAPOUR_AT_ZERO = 2.501e6;
// ASHRAE Fundamentals ch. 1, eqs. 35 and 36: water 4.186·t, ice −333.4 + 2.1·t, kJ/kg.
export const CP_WATER = 4186;
const CP_ICE = 2100;
/** Heat of melting at 0 °C, J/kg. */
export const HEAT_OF_MELTING = 333.4e3;

/**
 * Specific enthalpy of water vapour; liquid water and dry air have 0 at 0 °C.
 * @param temperatureC °C, −100…+200
 * @returns J/kg
 * @source ASHRAE Fundamentals ch. 1, eq. 28
 * @example vapourEnthalpy(20) // 2538200
 */
export const vapourEnthalpy = (temperatureC: number): number => VAPOUR_AT_ZERO + CP_VAPOUR * temperatureC;

/**
 * Specific enthalpy of liquid water.
 * @param temperatureC °C
 * @returns J/kg
 * @source ASHRAE Fundamentals ch. 1, eq. 35
 * @example waterEnthalpy(20) // 83720
 */
export const waterEnthalpy = (temperatureC: number): number => CP_WATER * temperatureC;

/**
 * Specific enthalpy of ice.
 * @param temperatureC °C, to 0
 * @returns J/kg
 * @source ASHRAE Fundamentals ch. 1, eq. 36
 * @example iceEnthalpy(-10) // -354400
 */
export const iceEnthalpy = (temperatureC: number): number => CP_ICE * temperatureC - HEAT_OF_MELTING;

/**
 * Heat that a kilogram of vapour gives off as it condenses.
 * @param temperatureC °C
 * @returns J/kg
 * @source difference of the two enthalpies
 * @example latentHeat(25) // 2442850
 */
export const latentHeat = (temperatureC: number): number => vapourEnthalpy(temperatureC) - waterEnthalpy(temperatureC);

/**
 * Enthalpy flow of moist air with what it carries as drops. The enthalpy of a gas is taken as that at low pressure: at
 * 41 bar real air differs by the Joule–Thomson effect, some 0.2 K for each bar.
 *
 * @param dryAir kg/s
 * @param vapour kg/s
 * @param liquid kg/s
 * @param temperatureC °C
 * @returns W
 * @source ASHRAE Fundamentals ch. 1, eqs. 28–36
 * @example moistEnthalpy(1, 0.01, 0, 25) // 50625, W
 */
export function moistEnthalpy(dryAir: number, vapour: number, liquid: number, temperatureC: number): number {
  return (
    CP_DRY_AIR * temperatureC * dryAir + vapourEnthalpy(temperatureC) * vapour + waterEnthalpy(temperatureC) * liquid
  );
}

/**
 * How the humidity ratio of saturated air changes with temperature.
 * @param ratio kg/kg, at saturation at that temperature
 * @returns 1/K
 * @source Clausius–Clapeyron with the latent heat above; within 1 % from −40 to +100 °C
 * @example saturationSlope(0.01476, 20) // 0.000935
 */
export function saturationSlope(ratio: number, temperatureC: number): number {
  const k = temperatureC + ZERO_CELSIUS_K;
  const heat = temperatureC < 0 ? vapourEnthalpy(temperatureC) - iceEnthalpy(temperatureC) : latentHeat(temperatureC);
  return (ratio * (1 + ratio / WATER_TO_AIR_MASS) * heat) / (R_WATER_VAPOUR * k * k);
}

/**
 * Heat that warms moist air with its drops by a kelvin, drops and vapour staying what they are, W/K.
 * @param dryAir, vapour, liquid kg/s
 * @returns W/K
 * @source specific heats of ASHRAE Fundamentals ch. 1
 * @example sensibleCapacity(1, 0.01, 0) // 1025
 */
export function sensibleCapacity(dryAir: number, vapour: number, liquid: number): number {
  return CP_DRY_AIR * dryAir + CP_VAPOUR * vapour + CP_WATER * liquid;
}
