import { saturationPressurePa, TRIPLE_POINT_C } from '../air/saturation';
import { steamPressurePa } from '../air/steam';
import { interpolate } from '../quantity/interpolate';

export const MEDIA = { silica: 'silica gel', alumina: 'activated alumina', sieve: 'molecular sieve' } as const;
export type Medium = keyof typeof MEDIA;

/** Bulk densities, kg/m³: middle of the usual bands (reference group 12, common practice). */
export const BULK_KG_PER_M3: Record<Medium, number> = { silica: 735, alumina: 750, sieve: 695 };
/** What a cartridge takes up before it is changed, kg per kg of dry medium, from saturated air (reference group 12, common practice). */
export const USABLE: Record<Medium, number> = { silica: 0.12, alumina: 0.1, sieve: 0.09 };

/** Heat set free by each kilogram of water that a medium takes up, and needed to drive it off, J/kg: bead handbooks, typical; alumina estimated; sieve 1800 Btu/lb, recalled. */
export const HEAT_OF_ADSORPTION: Record<Medium, number> = { silica: 2.6e6, alumina: 2.8e6, sieve: 4.19e6 };

/** Relative humidity with which a charge fresh from the maker is in balance (estimates from the isotherms of reference group 12). */
export const BEADS_RH: Record<Medium, number> = { silica: 0.003, alumina: 0.003, sieve: 0.0002 };

// Water held in balance at 25 °C, kg per 100 kg, at 0, 1, 5, 10, 20, 40, 60, 80 and 100 % RH: middle of the bands of
// reference group 12 (common practice, by grade); alumina from the handbook’s 10 and 60 %, the rest an estimate.
const AT_RH = [0, 0.01, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 1] as const;
const HELD: Record<Medium, readonly number[]> = {
  silica: [0, 0.9, 3.5, 6, 11, 23, 31, 35, 40],
  alumina: [0, 1.5, 3.5, 5, 7, 12, 17.5, 24, 30],
  sieve: [0, 13, 17.5, 18.75, 19.75, 20.75, 21.25, 22, 22.5],
};

/**
 * Water that a medium holds in balance with air, kg per kg of dry medium. Against relative humidity the curve hardly
 * moves with temperature.
 * @param relativeHumidity 0…1 at the temperature of the medium
 * @returns kg/kg
 * @source as beside the table
 * @example heldWater('silica', 0.4) // 0.230
 */
export function heldWater(medium: Medium, relativeHumidity: number): number {
  const rh = Math.min(1, Math.max(0, relativeHumidity));
  return interpolate(AT_RH, HELD[medium], rh) / 100;
}

/**
 * Water that a kilogram of a medium takes up before it is changed: what practice counts on for saturated air, and for drier
 * air less in proportion to what the medium holds in balance with it.
 * @param relativeHumidity of the air that enters, 0…1
 * @returns kg/kg
 * @source USABLE at 60 % RH and above (reference group 12, common practice); the proportion is an estimate, and falls in the
 *   “30–60 % less” that the trade handbook gives for 20–30 % RH
 * @example usableWater('silica', 0.2) // 0.0426
 */
export function usableWater(medium: Medium, relativeHumidity: number): number {
  return USABLE[medium] * Math.min(1, heldWater(medium, relativeHumidity) / heldWater(medium, 0.6));
}

/** The air round an oven: 70 °F, 50 % (reference group 12). */
export const OVEN_ROOM = { temperatureC: 21.1, relativeHumidity: 0.5 } as const;

/**
 * Relative humidity inside a ventilated oven that draws room air: what a medium dried in it can come down to at best.
 * @param ovenC °C, to 373.94
 * @returns 0…1
 * @source RH = e_room / e_s(T_oven), e_s by IAPWS
 * @example ovenHumidity(288, 21, 0.5) // 0.00017
 */
export function ovenHumidity(ovenC: number, roomC: number, roomRelativeHumidity: number): number {
  return (roomRelativeHumidity * saturationPressurePa(roomC)) / steamPressurePa(Math.max(ovenC, TRIPLE_POINT_C));
}
