import { type Convention, pressureDewPointC } from './dew-point';
import { type Basis, LEAST_SUPERCOOLED_C, saturatedVapourPressurePa } from './enhancement-factor';
import {
  humidityRatioFromFraction,
  ppmByVolume,
  relativeHumidity,
  vapourDensityKgPerM3,
  vapourFractionFromDensity,
  vapourFractionFromPpm,
  vapourFractionFromRelativeHumidity,
} from './humidity';
import { OutOfRange } from './out-of-range';
import { stablePhase } from './saturation';

/** Where a reading was taken, or for which the answer is wanted. */
export interface AirAt {
  readonly temperatureC: number;
  /** Absolute. */
  readonly pressurePa: number;
}

/** Ways in which the moisture of compressed air is told. */
export type MoistureReading =
  | { readonly kind: 'relativeHumidity'; readonly relativeHumidity: number; readonly at: AirAt }
  | {
      readonly kind: 'pressureDewPoint';
      readonly dewPointC: number;
      readonly convention: Convention;
      readonly at: AirAt;
    }
  | {
      readonly kind: 'atmosphericDewPoint';
      readonly dewPointC: number;
      readonly convention: Convention;
      readonly atmosphericPa: number;
    }
  | { readonly kind: 'density'; readonly kgPerM3: number; readonly at: AirAt }
  | { readonly kind: 'ppm'; readonly ppmByVolume: number };

/**
 * Mole fraction of vapour that a dew point at a pressure means, in either convention below 0 °C.
 * @param dewPointC °C, −100…+200
 * @param pressurePa at which it is a dew point, Pa absolute
 * @returns 0…1
 * @source x = f · e(T_dp) / p
 */
export function vapourFractionFromDewPoint(
  dewPointC: number,
  pressurePa: number,
  convention: Convention = 'frost',
  basis: Basis = 'real',
): number {
  const phase = convention === 'water' ? 'water' : stablePhase(dewPointC);
  return saturatedVapourPressurePa(dewPointC, pressurePa, basis, phase) / pressurePa;
}

/**
 * Mole fraction of vapour in moist air from any reading of its moisture.
 * @returns 0…1
 * @throws OutOfRange outside −100…+200 °C and 0.5…41 bar, or where the reading means more vapour than air can hold there
 * @example vapourFractionOf({ kind: 'relativeHumidity', relativeHumidity: 0.5, at: { temperatureC: 20, pressurePa: 101325 } }) // 0.01159
 */
export function vapourFractionOf(reading: MoistureReading, basis: Basis = 'real'): number {
  switch (reading.kind) {
    case 'relativeHumidity':
      return vapourFractionFromRelativeHumidity(
        reading.relativeHumidity,
        reading.at.temperatureC,
        reading.at.pressurePa,
        basis,
      );
    case 'pressureDewPoint':
      return vapourFractionFromDewPoint(reading.dewPointC, reading.at.pressurePa, reading.convention, basis);
    case 'atmosphericDewPoint':
      return vapourFractionFromDewPoint(reading.dewPointC, reading.atmosphericPa, reading.convention, basis);
    case 'density':
      return vapourFractionFromDensity(reading.kgPerM3, reading.at.temperatureC, reading.at.pressurePa, basis);
    case 'ppm':
      return vapourFractionFromPpm(reading.ppmByVolume);
  }
}

/** All that a vapour fraction means for air at a place. `undefined` where a figure is outside its equations' range. */
export interface MoistureAnswer {
  readonly frostOrDewPointC: number | undefined;
  /** Over supercooled water below 0 °C. */
  readonly dewPointOverWaterC: number | undefined;
  /** 0…1, over liquid water; above 1 the air cannot hold it all and drops fall out. */
  readonly relativeHumidity: number | undefined;
  readonly kgPerM3: number | undefined;
  readonly humidityRatio: number;
  readonly ppmByVolume: number;
  /** More vapour than the air can hold at this temperature and pressure. */
  readonly condenses: boolean;
}

function within<T>(compute: () => T): T | undefined {
  try {
    return compute();
  } catch (error) {
    if (error instanceof OutOfRange) return undefined;
    throw error;
  }
}

/**
 * Turns a vapour fraction into every other way of telling moisture, for air at a temperature and pressure. Where the air
 * cannot hold that much, the dew point exceeds the temperature and `condenses` is set: the figures then stand for the
 * vapour before it falls out.
 * @param vapourFraction 0…1
 * @param at temperature, °C, and pressure, Pa absolute
 * @example moistureAt(0.0116, { temperatureC: 20, pressurePa: 101325 }).relativeHumidity // 0.501
 */
export function moistureAt(vapourFraction: number, at: AirAt, basis: Basis = 'real'): MoistureAnswer {
  const rh = within(() => relativeHumidity(vapourFraction, at.temperatureC, at.pressurePa, basis));
  const dew = within(() => pressureDewPointC(vapourFraction, at.pressurePa, basis));
  return {
    frostOrDewPointC: dew,
    dewPointOverWaterC: within(() => pressureDewPointC(vapourFraction, at.pressurePa, basis, 'water')),
    relativeHumidity: at.temperatureC < LEAST_SUPERCOOLED_C ? undefined : rh,
    kgPerM3: within(() => vapourDensityKgPerM3(vapourFraction, at.temperatureC, at.pressurePa, basis)),
    humidityRatio: humidityRatioFromFraction(vapourFraction),
    ppmByVolume: ppmByVolume(vapourFraction),
    condenses: dew !== undefined && dew > at.temperatureC + 1e-9,
  };
}
