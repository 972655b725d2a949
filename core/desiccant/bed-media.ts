import { interpolate } from '../quantity/interpolate';
import { BULK_KG_PER_M3, HEAT_OF_ADSORPTION, heldWater, type Medium } from './isotherm';

/** Water that beads hold in balance with air, and how warmth moves it. */
export interface Isotherm {
  /** Relative humidity at 25 °C, 0…1, rising; straight lines between. */
  readonly rh: readonly number[];
  /** kg per kg of dry beads, at each of these. */
  readonly held: readonly number[];
  /** Heat set free by each kilogram taken up, J. What it is over the heat of evaporation moves the balance with warmth. */
  readonly heatJPerKg: number;
}

/** Heat of evaporation at 25 °C, J/kg (steam tables), and the gas constant of water vapour, J/(kg·K). */
export const EVAPORATION_J_PER_KG = 2.442e6;
export const R_VAPOUR = 461.5;

/** What beads of a bed are made of. */
export interface BedMedium extends Isotherm {
  readonly label: string;
  /** By what its limits in an oven go. */
  readonly as: Medium;
  readonly bulkKgPerM3: number;
  /** How fast beads of 3 mm follow their balance, 1/s: estimates, so that the front is as long as practice has it (6–18 in at 30 ft/min). */
  readonly ratePerS: number;
  readonly source: string;
}

const RH = [0, 0.01, 0.05, 0.1, 0.2, 0.4, 0.6, 0.8, 1] as const;
const ofGroup12 = (medium: Medium): Pick<Isotherm, 'rh' | 'held'> => ({
  rh: RH,
  held: RH.map((rh) => heldWater(medium, rh)),
});

const MOLAR_WATER = 0.018015;
/**
 * Tóth’s isotherm, kg per kg.
 * @param p vapour pressure, kPa
 * @source n = a p / (1 + (b p)^t)^(1/t), a = a0 e^(E/T), b = b0 e^(E/T), t = t0 + c/T
 */
export function toth(
  { a0, b0, e, t0, c }: Readonly<Record<'a0' | 'b0' | 'e' | 't0' | 'c', number>>,
  kPa: number,
  kelvin: number,
): number {
  const arrhenius = Math.exp(e / kelvin);
  const t = t0 + c / kelvin;
  const molPerKg = (a0 * arrhenius * kPa) / (1 + (b0 * arrhenius * kPa) ** t) ** (1 / t);
  return molPerKg * MOLAR_WATER;
}

/** Water on 13X: Wang & LeVan 2009 (J. Chem. Eng. Data 54, 2839), recalled. */
export const TOTH_13X = { a0: 3.634e-6, b0: 2.408e-7, e: 6852, t0: 0.3974, c: -4.199 } as const;
const SATURATED_25_KPA = 3.169;
const RH_13X = [0, 0.0003, 0.001, 0.003, 0.01, 0.03, 0.1, 0.3, 0.6, 1] as const;

export const BED_MEDIA = {
  gel: {
    label: 'silica gel',
    as: 'silica',
    ...ofGroup12('silica'),
    heatJPerKg: HEAT_OF_ADSORPTION.silica,
    bulkKgPerM3: BULK_KG_PER_M3.silica,
    ratePerS: 3e-3,
    source: 'reference group 12, middle of its bands; heat 2.6 MJ/kg (bead handbooks)',
  },
  indicating: {
    label: 'indicating silica gel',
    as: 'silica',
    rh: RH,
    // Dyed gel holds a little less: its salt takes room (estimate), within the bands of group 12 for gel.
    held: RH.map((rh) => 0.95 * heldWater('silica', rh)),
    heatJPerKg: HEAT_OF_ADSORPTION.silica,
    bulkKgPerM3: 745,
    ratePerS: 3e-3,
    source: 'as silica gel, 5 % less (estimate)',
  },
  alumina: {
    label: 'activated alumina',
    as: 'alumina',
    ...ofGroup12('alumina'),
    heatJPerKg: HEAT_OF_ADSORPTION.alumina,
    bulkKgPerM3: BULK_KG_PER_M3.alumina,
    ratePerS: 5e-3,
    source: 'trade handbook at 10 and 60 %, the rest an estimate; heat 2.8 MJ/kg (estimate)',
  },
  '4A': {
    label: 'molecular sieve 4A',
    as: 'sieve',
    ...ofGroup12('sieve'),
    heatJPerKg: HEAT_OF_ADSORPTION.sieve,
    bulkKgPerM3: BULK_KG_PER_M3.sieve,
    ratePerS: 6e-4,
    source: 'reference group 12, middle of its bands; heat 1800 Btu/lb (bead handbooks, recalled)',
  },
  '13X': {
    label: 'molecular sieve 13X',
    as: 'sieve',
    rh: RH_13X,
    held: RH_13X.map((rh) => toth(TOTH_13X, rh * SATURATED_25_KPA, 298.15)),
    heatJPerKg: (TOTH_13X.e * 8.314) / MOLAR_WATER, // isosteric at low loading, E·R
    bulkKgPerM3: 650,
    ratePerS: 6e-4,
    source: 'Tóth fit of Wang & LeVan 2009 (recalled)',
  },
} as const satisfies Record<string, BedMedium>;
export type BedMediumName = keyof typeof BED_MEDIA;

/**
 * Factor on relative humidity by which a warm bead stands where a bead at 25 °C would.
 * @param temperatureC of the beads, °C
 * @returns 1 at 25 °C
 * @source Clausius–Clapeyron along a loading, with the isosteric heat
 */
export const warmthFactor = (isotherm: Isotherm, temperatureC: number): number =>
  Math.exp(((isotherm.heatJPerKg - EVAPORATION_J_PER_KG) / R_VAPOUR) * (1 / (temperatureC + 273.15) - 1 / 298.15));

/**
 * Water in balance with air, kg per kg of dry beads.
 * @param relativeHumidity at the temperature of the beads, 0…1
 * @param temperatureC of the beads, °C
 * @returns kg/kg
 */
export function balanceOf(isotherm: Isotherm, relativeHumidity: number, temperatureC: number): number {
  const at = Math.min(1, Math.max(0, relativeHumidity * warmthFactor(isotherm, temperatureC)));
  return interpolate(isotherm.rh, isotherm.held, at);
}
