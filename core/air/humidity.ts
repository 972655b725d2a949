import { type Basis, saturatedVapourPressurePa } from './enhancement-factor';
import { saturationPressurePa, ZERO_CELSIUS_K } from './saturation';

/** Molar mass of water over that of dry air, 18.015268 / 28.966 (ASHRAE Fundamentals ch. 1: 0.621945). */
export const WATER_TO_AIR_MASS = 0.621945;
/** Gas constant of dry air, J/(kg·K). ASHRAE Fundamentals ch. 1: 287.042. */
export const R_DRY_AIR = 287.042;
/** Gas constant of water vapour, J/(kg·K). R_DRY_AIR / WATER_TO_AIR_MASS. */
export const R_WATER_VAPOUR = R_DRY_AIR / WATER_TO_AIR_MASS;

/**
 * Mole fraction of water vapour in moist air from its humidity ratio.
 * @param humidityRatio kg water per kg dry air
 * @returns 0…1
 * @source ASHRAE Fundamentals ch. 1, eq. 20, solved for x
 * @example vapourFractionFromRatio(0.01) // 0.01582
 */
export function vapourFractionFromRatio(humidityRatio: number): number {
  return humidityRatio / (WATER_TO_AIR_MASS + humidityRatio);
}

/**
 * Humidity ratio, kg water per kg dry air, from the mole fraction of vapour in moist air. Infinite at 1 (pure steam).
 * @param vapourFraction 0…1
 * @returns kg/kg
 * @source ASHRAE Fundamentals ch. 1: W = 0.621945 x / (1 − x)
 * @example humidityRatioFromFraction(0.0158) // 0.009984
 */
export function humidityRatioFromFraction(vapourFraction: number): number {
  return vapourFraction >= 1 ? Number.POSITIVE_INFINITY : (WATER_TO_AIR_MASS * vapourFraction) / (1 - vapourFraction);
}

/**
 * Humidity ratio of saturated air, kg/kg, over the stable phase. Infinite where water would boil at that pressure.
 * @param temperatureC °C, −100…+200
 * @param pressurePa absolute, 0.5…41 bar
 * @returns kg/kg
 * @throws OutOfRange
 * @source ASHRAE Fundamentals ch. 1, eq. 21
 * @example saturatedHumidityRatio(20, 101325) // 0.01476
 */
export function saturatedHumidityRatio(temperatureC: number, pressurePa: number, basis: Basis = 'real'): number {
  const vapourPa =
    basis === 'ideal' ? saturationPressurePa(temperatureC) : saturatedVapourPressurePa(temperatureC, pressurePa, basis);
  return vapourPa < pressurePa ? (WATER_TO_AIR_MASS * vapourPa) / (pressurePa - vapourPa) : Number.POSITIVE_INFINITY;
}

/**
 * Mole fraction of vapour from relative humidity, which is over liquid water at every temperature (WMO practice: so
 * below freezing too, where saturation over ice comes before 100 %).
 * @param relativeHumidity 0…1
 * @returns 0…1
 * @throws OutOfRange below −50 °C on the real basis
 * @source x = φ · f · e / p
 * @example vapourFractionFromRelativeHumidity(0.6, 27, 101325) // 0.02121
 */
export function vapourFractionFromRelativeHumidity(
  relativeHumidity: number,
  temperatureC: number,
  pressurePa: number,
  basis: Basis = 'real',
): number {
  return (relativeHumidity * saturatedVapourPressurePa(temperatureC, pressurePa, basis, 'water')) / pressurePa;
}

/**
 * Relative humidity over liquid water, 0…1 (above 1 the air carries more vapour than it can hold), at the pressure and
 * temperature given: those of the line, or of the air after expansion.
 * @param vapourFraction 0…1
 * @param temperatureC, pressurePa of the air, °C and Pa absolute
 * @returns over liquid water
 * @source φ = x · p / (f · e)
 * @example relativeHumidity(0.0212, 27, 101325) // 0.600
 */
export function relativeHumidity(
  vapourFraction: number,
  temperatureC: number,
  pressurePa: number,
  basis: Basis = 'real',
): number {
  return (vapourFraction * pressurePa) / saturatedVapourPressurePa(temperatureC, pressurePa, basis, 'water');
}

/**
 * Compressibility of dry air from its second and third virial coefficients.
 * @param temperatureC °C
 * @param pressurePa Pa absolute
 * @returns Z
 * @source coefficients of Hyland & Wexler 1983; dry air stands in for moist air (vapour is under 1 % in a line)
 */
export function compressibility(temperatureC: number, pressurePa: number): number {
  const k = temperatureC + ZERO_CELSIUS_K;
  const b = 34.9568 - 6687.72 / k - 2101410 / k ** 2 + 92474600 / k ** 3; // cm³/mol
  const c = 1259.75 - 190905 / k + 63246700 / k ** 2; // cm⁶/mol²
  const molPerCm3 = pressurePa / (8.314462 * k) / 1e6;
  return 1 + b * molPerCm3 + (c - b * b) * molPerCm3 ** 2;
}

/**
 * Water vapour in an actual cubic metre of the air where it is.
 * @param vapourFraction 0…1
 * @param temperatureC, pressurePa of the air, °C and Pa absolute
 * @returns kg/m³
 * @source x · p / (Z · R · T)
 * @example vapourDensityKgPerM3(0.0231, 20, 101325) // 0.0173
 */
export function vapourDensityKgPerM3(
  vapourFraction: number,
  temperatureC: number,
  pressurePa: number,
  basis: Basis = 'real',
): number {
  const z = basis === 'real' ? compressibility(temperatureC, pressurePa) : 1;
  return (vapourFraction * pressurePa) / (z * R_WATER_VAPOUR * (temperatureC + ZERO_CELSIUS_K));
}

/**
 * Mole fraction of vapour from its density: the inverse of {@link vapourDensityKgPerM3}.
 * @param kgPerM3 water in a cubic metre of the air where it is
 * @param temperatureC, pressurePa of the air, °C and Pa absolute
 * @returns 0…1
 */
export function vapourFractionFromDensity(
  kgPerM3: number,
  temperatureC: number,
  pressurePa: number,
  basis: Basis = 'real',
): number {
  const z = basis === 'real' ? compressibility(temperatureC, pressurePa) : 1;
  return (kgPerM3 * z * R_WATER_VAPOUR * (temperatureC + ZERO_CELSIUS_K)) / pressurePa;
}

/**
 * Parts per million by volume on dry air, from the mole fraction in moist air.
 * @param vapourFraction 0…1, below 1
 * @returns ppm
 * @source x / (1 − x) · 10⁶
 */
export function ppmByVolume(vapourFraction: number): number {
  return (1e6 * vapourFraction) / (1 - vapourFraction);
}

/**
 * Mole fraction in moist air from parts per million by volume on dry air.
 * @param ppmv on dry air
 * @returns 0…1
 */
export function vapourFractionFromPpm(ppmv: number): number {
  const ratio = ppmv / 1e6;
  return ratio / (1 + ratio);
}
