import { WATER_KG_PER_M3 } from '../quantity/constants';

const DISCHARGE = 0.61; // of water through a sharp-edged hole (any handbook of hydraulics)
/** What a strainer, elbows and dirt leave of it (trade handbook). */
export const STRAINED = 0.5;

/**
 * Flow of water through a drain.
 * @param boreM of the narrowest place; 0.5…20 mm
 * @param gaugePa pressure above the atmosphere
 * @returns m³/s; 0 without pressure
 * @source Q = 0.61·A·√(2·Δp/ρ) (trade handbook)
 * @example liquidM3PerS(0.003175, 689476) // 1.79e-4: some 180 mL/s through 1/8 in at 100 psi
 */
export function liquidM3PerS(boreM: number, gaugePa: number): number {
  return DISCHARGE * (Math.PI / 4) * boreM ** 2 * Math.sqrt((2 * Math.max(0, gaugePa)) / WATER_KG_PER_M3);
}
