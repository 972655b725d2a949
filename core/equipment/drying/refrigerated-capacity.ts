import { SEA_LEVEL_PA } from '../../air/atmosphere';
import { moistEnthalpy } from '../../air/enthalpy';
import { saturatedHumidityRatio } from '../../air/humidity';
import { CFM, PSI } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { Refusal, type Surroundings } from '../shared/kind';

// Correction of a refrigerated dryer's rating at “three 100s” (100 °F saturated inlet, 100 psig, 100 °F room): generic tables
// as commonly published (common practice; the maker's own curve wins).
const BY_PRESSURE_PSIG = [
  [50, 0.72],
  [60, 0.8],
  [75, 0.9],
  [100, 1],
  [125, 1.07],
  [150, 1.13],
  [175, 1.17],
  [200, 1.2],
] as const;
const BY_INLET_F = [
  [80, 1.5],
  [90, 1.22],
  [95, 1.1],
  [100, 1],
  [105, 0.9],
  [110, 0.82],
  [115, 0.74],
  [120, 0.67],
  [130, 0.53],
] as const;
const BY_ROOM_F = [
  [70, 1.12],
  [80, 1.1],
  [90, 1.06],
  [95, 1.03],
  [100, 1],
  [105, 0.96],
  [110, 0.92],
  [115, 0.86],
] as const;
const BY_DEW_POINT_F = [
  [35, 0.9],
  [38, 1],
  [40, 1.05],
  [45, 1.2],
  [50, 1.35],
] as const;
const LEAST = 0.05; // far below any table: only so that it stays above 0
const MOST = 1.6;
const SCFM_KG_PER_S = (0.0742 * 0.45359237) / 60; // a scfm of 14.5 psia, 68 °F, dry

/** Reads a table between its rows; beyond its ends the last two rows go on. */
function interpolate(table: readonly (readonly [number, number])[], x: number): number {
  const i = Math.min(
    table.length - 2,
    Math.max(0, table.findIndex(([at]) => at > x) === -1 ? table.length - 2 : table.findIndex(([at]) => at > x) - 1),
  );
  const [x0, y0] = table[i] as readonly [number, number];
  const [x1, y1] = table[i + 1] as readonly [number, number];
  return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
}

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
  if (inletC <= LAST_INLET_C) return interpolate(BY_INLET_F, inletC * 1.8 + 32);
  return (LAST_INLET * chillingHeat(LAST_INLET_C, pressurePa)) / chillingHeat(inletC, pressurePa);
}

/** Capacity where another pressure dew point than the usual 38 °F (3.3 °C) will do. */
export const capacityForDewPoint = (dewPointC: number): number => interpolate(BY_DEW_POINT_F, dewPointC * 1.8 + 32);

/**
 * Capacity over rated capacity of a refrigerated dryer.
 * @param gaugePa pressure above the local atmosphere
 * @param forDewPoint {@link capacityForDewPoint}
 * @returns 0.05…1.6
 * @source generic correction tables, common practice (reference group 11); above 130 °F heat balance of saturated air
 */
export function refrigeratedCapacity(inletC: number, gaugePa: number, roomC: number, forDewPoint = 1): number {
  const f = (c: number): number => c * 1.8 + 32;
  const k =
    interpolate(BY_PRESSURE_PSIG, gaugePa / PSI) *
    byInlet(inletC, gaugePa + SEA_LEVEL_PA) *
    interpolate(BY_ROOM_F, f(roomC)) *
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

/** The pressure dew point of a dryer under load, °C. */
export function loadedDewPointC(ratedDewPointC: number, load: number): number {
  return ratedDewPointC + Math.max(0, (load - 1) * 100) * K_PER_PERCENT;
}

const PER_K = 0.02; // of capacity, each kelvin (estimate: the maker’s curve takes precedence)

/** Load of a dryer for hot air over what it can do in this duty. */
export function highInletLoad(inlet: AirStream, ratedFlowM3PerS: number, around: Surroundings): number {
  const rated = ratedFlowM3PerS / CFM;
  const k =
    Math.min(MOST, Math.exp(-PER_K * (inlet.temperatureC - NOBODY_OVER_C))) *
    interpolate(BY_PRESSURE_PSIG, (inlet.pressurePa - around.atmosphericPa) / PSI) *
    interpolate(BY_ROOM_F, around.roomTemperatureC * 1.8 + 32);
  return inlet.dryAirKgPerS / SCFM_KG_PER_S / (rated * Math.max(0.1, k));
}
