import { SEA_LEVEL_PA } from '../../air/atmosphere';
import { moistEnthalpy } from '../../air/enthalpy';
import { saturatedHumidityRatio } from '../../air/humidity';
import { CFM, PSI } from '../../quantity/constants';
import { interpolate } from '../../quantity/interpolate';
import type { AirStream } from '../../stream/air-stream';
import { Refusal, type Surroundings } from '../shared/kind';

// Correction of a refrigerated dryer's rating at “three 100s” (100 °F saturated inlet, 100 psig, 100 °F room): generic tables
// as commonly published (common practice; the maker's own curve wins): where, and the factor there.
const BY_PRESSURE_PSIG = [
  [50, 60, 75, 100, 125, 150, 175, 200],
  [0.72, 0.8, 0.9, 1, 1.07, 1.13, 1.17, 1.2],
] as const;
const BY_INLET_F = [
  [80, 90, 95, 100, 105, 110, 115, 120, 130],
  [1.5, 1.22, 1.1, 1, 0.9, 0.82, 0.74, 0.67, 0.53],
] as const;
const BY_ROOM_F = [
  [70, 80, 90, 95, 100, 105, 110, 115],
  [1.12, 1.1, 1.06, 1.03, 1, 0.96, 0.92, 0.86],
] as const;
const BY_DEW_POINT_F = [
  [35, 38, 40, 45, 50],
  [0.9, 1, 1.05, 1.2, 1.35],
] as const;
const LEAST = 0.05; // far below any table: only so that it stays above 0
const MOST = 1.6;
const SCFM_KG_PER_S = (0.0742 * 0.45359237) / 60; // a scfm of 14.5 psia, 68 °F, dry

const LAST_INLET_C = (130 - 32) / 1.8;
const LAST_INLET = 0.53;
const RATED_DEW_POINT_C = 10 / 3;

/** Heat that saturated air gives off as it is chilled to the rated dew point, J for a kilogram of dry air. */
function chillingHeat(inletC: number, pressurePa: number): number {
  const saturated = (c: number): number => moistEnthalpy(1, saturatedHumidityRatio(c, pressurePa), 0, c);
  return saturated(inletC) - saturated(RATED_DEW_POINT_C);
}

/** Capacity by inlet temperature: the table, and beyond its end by the heat balance at the same cooling power. */
function byInlet(inletC: number, pressurePa: number): number {
  if (inletC <= LAST_INLET_C) return interpolate(...BY_INLET_F, inletC * 1.8 + 32);
  return (LAST_INLET * chillingHeat(LAST_INLET_C, pressurePa)) / chillingHeat(inletC, pressurePa);
}

/**
 * Capacity where another pressure dew point than the usual 38 °F (3.3 °C) will do.
 * @returns a share of the rated flow
 * @example capacityForDewPoint(4.444) // 1.05
 */
export const capacityForDewPoint = (dewPointC: number): number => interpolate(...BY_DEW_POINT_F, dewPointC * 1.8 + 32);

/**
 * Capacity over rated capacity of a refrigerated dryer.
 * @param gaugePa pressure above the local atmosphere
 * @param forDewPoint {@link capacityForDewPoint}
 * @returns 0.05…1.6
 * @source generic correction tables, common practice (reference group 11); above 130 °F heat balance of saturated air
 * @example refrigeratedCapacity(37.78, 689476, 37.78) // 1.00
 */
export function refrigeratedCapacity(inletC: number, gaugePa: number, roomC: number, forDewPoint = 1): number {
  const f = (c: number): number => c * 1.8 + 32;
  const k =
    interpolate(...BY_PRESSURE_PSIG, gaugePa / PSI) *
    byInlet(inletC, gaugePa + SEA_LEVEL_PA) *
    interpolate(...BY_ROOM_F, f(roomC)) *
    forDewPoint;
  return Math.min(MOST, Math.max(LEAST, k));
}

/** Saturated air of 180 °F belongs to dryers for hot air, which are rated there; nobody runs another one so (estimate). */
const NOBODY_OVER_C = 82.2;

/** @throws Refusal for air so hot that no table and no practice goes there */
export function refuseTooHot(inlet: AirStream): void {
  if (inlet.temperatureC > NOBODY_OVER_C)
    throw new Refusal('ratedFlowM3PerS', 'Air over {82 °C} arrives: cool it first, or use a dryer for hot air.');
}

/** Load of a refrigerated dryer over what it can do in this duty. */
export function refrigeratedLoad(inlet: AirStream, ratedFlowM3PerS: number, around: Surroundings): number {
  const scfm = inlet.dryAirKgPerS / SCFM_KG_PER_S;
  const rated = ratedFlowM3PerS / CFM;
  return (
    scfm /
    (rated * refrigeratedCapacity(inlet.temperatureC, inlet.pressurePa - around.atmosphericPa, around.roomTemperatureC))
  );
}

/** K of pressure dew point for each per cent of overload: 0.2–0.4 °F (estimate). Below its rating it keeps its dew point. */
const K_PER_PERCENT = 0.3 / 1.8;

/**
 * The pressure dew point of a dryer under load, °C.
 * @example loadedDewPointC(3, 1.2) // 6.33
 */
export function loadedDewPointC(ratedDewPointC: number, load: number): number {
  return ratedDewPointC + Math.max(0, (load - 1) * 100) * K_PER_PERCENT;
}

const PER_K = 0.02; // of capacity, each kelvin (estimate: the maker’s curve takes precedence)

/** Load of a dryer for hot air over what it can do in this duty. */
export function highInletLoad(inlet: AirStream, ratedFlowM3PerS: number, around: Surroundings): number {
  const rated = ratedFlowM3PerS / CFM;
  const k =
    Math.min(MOST, Math.exp(-PER_K * (inlet.temperatureC - NOBODY_OVER_C))) *
    interpolate(...BY_PRESSURE_PSIG, (inlet.pressurePa - around.atmosphericPa) / PSI) *
    interpolate(...BY_ROOM_F, around.roomTemperatureC * 1.8 + 32);
  return inlet.dryAirKgPerS / SCFM_KG_PER_S / (rated * Math.max(0.1, k));
}
