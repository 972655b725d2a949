import { R_DRY_AIR, vapourFractionFromRelativeHumidity } from '../air/humidity';
import { ZERO_CELSIUS_K } from '../air/saturation';
import { PSI } from './constants';

/**
 * Reference states in which a standard or normal volume flow is quoted. `inlet` has none: the flow counts at the
 * compressor's own inlet (free air delivery, ISO 1217).
 */
const REFERENCES = {
  'standard-14.5psia-68F': { pressurePa: 14.5 * PSI, temperatureC: 20, relativeHumidity: 0 }, // CAGI; ISO 1217 (recalled)
  'standard-14.7psia-60F': { pressurePa: 14.696 * PSI, temperatureC: 140 / 9, relativeHumidity: 0 }, // gas trade (handbook)
  'standard-14.7psia-68F-36%': { pressurePa: 14.696 * PSI, temperatureC: 20, relativeHumidity: 0.36 }, // older US (handbook)
  normal: { pressurePa: 101325, temperatureC: 0, relativeHumidity: 0 }, // DIN 1343 (recalled)
  anr: { pressurePa: 1e5, temperatureC: 20, relativeHumidity: 0.65 }, // ISO 8778 (recalled)
} as const;

export const FLOW_BASES = ['inlet', ...(Object.keys(REFERENCES) as (keyof typeof REFERENCES)[])] as const;
export type FlowBasis = (typeof FLOW_BASES)[number];

export const FLOW_BASIS_LABELS: Record<FlowBasis, string> = {
  inlet: 'at the inlet (free air delivery)',
  'standard-14.5psia-68F': 'standard, {1 bar} abs · {20 °C} · dry',
  'standard-14.7psia-60F': 'standard, {1.013 bar} abs · {15.56 °C} · dry',
  'standard-14.7psia-68F-36%': 'standard, {1.013 bar} abs · {20 °C} · 36 % RH',
  normal: 'normal, {1.013 bar} abs · {0 °C} · dry',
  anr: 'ANR, {1 bar} abs · {20 °C} · 65 % RH',
};

/**
 * Dry air in a cubic metre of moist air: p · (1 − x) / (R · T), ideal gas.
 * @param vapourFraction mole fraction of vapour, 0…1
 * @returns kg/m³
 * @example dryAirDensityKgPerM3(1e5, 20, 0) // 1.188
 */
export function dryAirDensityKgPerM3(pressurePa: number, temperatureC: number, vapourFraction: number): number {
  return (pressurePa * (1 - vapourFraction)) / (R_DRY_AIR * (temperatureC + ZERO_CELSIUS_K));
}

const DENSITIES = Object.fromEntries(
  Object.entries(REFERENCES).map(([basis, { pressurePa, temperatureC, relativeHumidity }]) => {
    const x = vapourFractionFromRelativeHumidity(relativeHumidity, temperatureC, pressurePa);
    return [basis, dryAirDensityKgPerM3(pressurePa, temperatureC, x)];
  }),
) as Record<keyof typeof REFERENCES, number>;

/**
 * Dry-air mass flow of a volume flow quoted on a basis.
 * @param flowM3PerS at the reference of the basis
 * @param inletDensityKgPerM3 dry air per cubic metre at the compressor inlet; only the basis `inlet` uses it
 * @returns kg/s
 * @source equal dry-air mass, ideal gas
 * @example dryAirKgPerS(0.01, 'inlet', 1.16) // 0.01160
 */
export function dryAirKgPerS(flowM3PerS: number, basis: FlowBasis, inletDensityKgPerM3: number): number {
  return flowM3PerS * (basis === 'inlet' ? inletDensityKgPerM3 : DENSITIES[basis]);
}

/**
 * The volume flow on a basis that carries a dry-air mass flow: the inverse of {@link dryAirKgPerS}.
 * @param kgPerS of dry air
 * @param inletDensityKgPerM3 dry air in a cubic metre of intake air
 * @returns m³/s
 * @example volumeFlowM3PerS(0.0116, 'inlet', 1.16) // 0.01000
 */
export function volumeFlowM3PerS(kgPerS: number, basis: FlowBasis, inletDensityKgPerM3: number): number {
  return kgPerS / (basis === 'inlet' ? inletDensityKgPerM3 : DENSITIES[basis]);
}
