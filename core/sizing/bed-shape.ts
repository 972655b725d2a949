import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';

const BEAD_M = 0.003; // common size in towers, common practice
const BEAD_KG_PER_M3 = 1200; // of a bead with its pores, typical
const VOIDS = 0.4; // of a poured bed, typical
const AIR_PA_S = 1.85e-5; // viscosity at 30 °C, handbook value
/** Of the velocity that lifts the bed, air may rise with so much (estimate). */
export const UPWARD_AT_MOST = 0.6;
const FASTEST_M_PER_S = 0.25; // common practice for drying towers
const GRAVITY = 9.81;

/**
 * Velocity at which rising air begins to lift a bed of beads, m/s in the empty tower.
 * @param airKgPerM3 at line pressure
 * @source Wen & Yu 1966, recalled: Re = √(33.7² + 0.0408 Ar) − 33.7
 * @example liftsAtMPerS(9.5) // 0.367
 */
export function liftsAtMPerS(airKgPerM3: number, beadM = BEAD_M): number {
  const ar = (beadM ** 3 * airKgPerM3 * (BEAD_KG_PER_M3 - airKgPerM3) * GRAVITY) / AIR_PA_S ** 2;
  return ((Math.sqrt(33.7 ** 2 + 0.0408 * ar) - 33.7) * AIR_PA_S) / (airKgPerM3 * beadM);
}

/**
 * Pressure that a bed of beads takes, Pa for each metre of it.
 * @param velocityMPerS in the empty tower
 * @source Ergun 1952: 150 μu(1−ε)²/(ε³d²) + 1.75 ρu²(1−ε)/(ε³d)
 */
export function bedLossPaPerM(velocityMPerS: number, airKgPerM3: number, beadM = BEAD_M, voids = VOIDS): number {
  const solid = 1 - voids;
  return (
    (150 * AIR_PA_S * velocityMPerS * solid ** 2) / (voids ** 3 * beadM ** 2) +
    (1.75 * airKgPerM3 * velocityMPerS ** 2 * solid) / (voids ** 3 * beadM)
  );
}

/** How a bed of beads stands in the air that rises through it. */
export interface BedShape {
  readonly boreM: number;
  readonly heightM: number;
  readonly velocityMPerS: number;
  readonly liftsAtMPerS: number;
  readonly lossPa: number;
}

/**
 * Bore and height of a bed, by the velocity that practice allows and that does not lift it; or what a given bore makes of it.
 * @param air at line pressure
 * @throws OutOfRange of the air’s equations
 */
export function bedShape(
  massKg: number,
  bulkKgPerM3: number,
  air: { readonly dryAirKgPerS: number; readonly inletC: number; readonly inletPa: number },
  boreM?: number,
): BedShape {
  const airKgPerM3 = dryAirDensityKgPerM3(air.inletPa, air.inletC, 0);
  const actualM3PerS = air.dryAirKgPerS / airKgPerM3;
  const liftsAt = liftsAtMPerS(airKgPerM3);
  const areaM2 = boreM
    ? (Math.PI / 4) * boreM ** 2
    : actualM3PerS / Math.min(FASTEST_M_PER_S, UPWARD_AT_MOST * liftsAt);
  const velocityMPerS = actualM3PerS / areaM2;
  const heightM = massKg / bulkKgPerM3 / areaM2;
  return {
    boreM: Math.sqrt((4 * areaM2) / Math.PI),
    heightM,
    velocityMPerS,
    liftsAtMPerS: liftsAt,
    lossPa: bedLossPaPerM(velocityMPerS, airKgPerM3) * heightM,
  };
}
