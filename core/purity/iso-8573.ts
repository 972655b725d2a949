import { R_DRY_AIR } from '../air/humidity';
import { ZERO_CELSIUS_K } from '../air/saturation';

// ISO 8573-1:2010, tables 1 to 4 and the reference conditions for concentrations (standard, recalled: check the current edition).

/** Greatest pressure dew point of the water classes 1 to 6, °C. */
export const WATER_CLASS_DEW_POINT_C = { '1': -70, '2': -40, '3': -20, '4': 3, '5': 7, '6': 10 } as const;
/** Most liquid water of the classes 7 to 9, g/m³. */
export const WATER_CLASS_LIQUID_G_PER_M3 = { '7': 0.5, '8': 5, '9': 10 } as const;
/** Most particles of a size in a cubic metre, by class; `undefined` where the class sets no limit. */
export const PARTICLE_CLASS_PER_M3 = {
  '1': { from01to05: 20000, from05to1: 400, from1to5: 10 },
  '2': { from01to05: 400000, from05to1: 6000, from1to5: 100 },
  '3': { from01to05: undefined, from05to1: 90000, from1to5: 1000 },
  '4': { from01to05: undefined, from05to1: undefined, from1to5: 10000 },
  '5': { from01to05: undefined, from05to1: undefined, from1to5: 100000 },
} as const;
/** Most particles by mass, mg/m³. */
export const PARTICLE_CLASS_MG_PER_M3 = { '6': 5, '7': 10 } as const;
/** Most oil in all (liquid, aerosol, vapour), mg/m³. */
export const OIL_CLASS_MG_PER_M3 = { '1': 0.01, '2': 0.1, '3': 1, '4': 5 } as const;
/** Concentrations count a cubic metre of dry air in this state. */
export const REFERENCE = { temperatureC: 20, pressurePa: 1e5, relativeHumidity: 0 } as const;

export type WaterClass = keyof typeof WATER_CLASS_DEW_POINT_C | keyof typeof WATER_CLASS_LIQUID_G_PER_M3 | 'X';

const REFERENCE_KG_PER_M3 = REFERENCE.pressurePa / (R_DRY_AIR * (REFERENCE.temperatureC + ZERO_CELSIUS_K));

/**
 * Liquid water in a cubic metre of air in the reference state, g/m³.
 * @param liquidKgPerS, dryAirKgPerS kg/s
 * @returns g/m³ at 20 °C, 1 bar, dry
 * @source ISO 8573-1, reference conditions
 * @example liquidGPerM3(1e-6, 0.0119) // 0.0999
 */
export function liquidGPerM3(liquidKgPerS: number, dryAirKgPerS: number): number {
  return dryAirKgPerS > 0 ? ((liquidKgPerS * 1000) / dryAirKgPerS) * REFERENCE_KG_PER_M3 : 0;
}

function least<K extends string>(limits: Readonly<Record<K, number>>, value: number): K | undefined {
  return (Object.entries(limits) as [K, number][]).find(([, limit]) => value <= limit)?.[0];
}

/**
 * The water class of air, by its pressure dew point unrounded, and from class 7 on by the liquid in it. A “38 °F” dryer is
 * at 3.33 °C: class 5, not 4.
 * @param liquid g/m³ at the reference conditions
 * @source ISO 8573-1:2010 (recalled)
 * @example waterClassOf(3, 0) // '4'
 */
export function waterClassOf(pressureDewPointC: number, liquid: number): WaterClass {
  const dry = liquid > 0 ? undefined : least(WATER_CLASS_DEW_POINT_C, pressureDewPointC);
  return dry ?? least(WATER_CLASS_LIQUID_G_PER_M3, liquid) ?? 'X';
}

/**
 * The oil class of air.
 * @param mgPerM3 at the reference conditions
 * @source ISO 8573-1:2010, table 3
 * @example oilClassOf(0.05) // '2'
 */
export function oilClassOf(mgPerM3: number): keyof typeof OIL_CLASS_MG_PER_M3 | 'X' {
  return least(OIL_CLASS_MG_PER_M3, mgPerM3) ?? 'X';
}
