import { BULK_KG_PER_M3, heldWater, type Medium } from '../media/isotherm';
import { type CartridgeDuty, CONTACT_FOR_DEEP_S, waterLoadKgPerS } from '../media/size-cartridge';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import { KWH_PER_KG_AIR } from './dryer-duty';

/** What two heatless towers are asked to do, and how they are timed. */
export interface TowersDuty extends Omit<CartridgeDuty, 'massKg' | 'airHPerDay'> {
  readonly medium: Medium;
  readonly atmosphericPa: number;
  /** Both towers once; each dries for half of it. */
  readonly cycleS: number;
  /** Of the rated flow, 0…1: what passes on average. */
  readonly load: number;
  /** Of towers that stand there already; left out, they are sized. */
  readonly boreM?: number;
}

/** What valves need of each half cycle: to let a tower down through its silencer, and to fill it again slowly (estimate). */
export const VALVES_S = 45;
/** A tower at rest must stand near the pressure of the room: over this its silencer is blocked (handbook of practice, 3 psi). */
export const SILENCER_MOST_PA = 20_700;
/** Beads that stood open: in balance with a room at half humidity. */
const STOOD_RH = 0.5;

/** Purge over the least that theory allows: 1.1 to 1.2, repressurising included (reference group 11). */
const PURGE_FACTOR = 1.15;
/** A heatless bed works over 1–3 % of its dry mass in each half cycle (reference group 12, common practice); the lower middle. */
const WORKING_SHARE = 0.015;
const BEAD_M = 0.003; // common size in towers, common practice
const BEAD_KG_PER_M3 = 1200; // of a bead with its pores, typical
const VOIDS = 0.4; // of a poured bed, typical
const AIR_PA_S = 1.85e-5; // viscosity at 30 °C, handbook value
const UPWARD_AT_MOST = 0.6; // of the velocity that lifts the bed (estimate)
const FASTEST_M_PER_S = 0.25; // common practice for drying towers
const GRAVITY = 9.81;

/**
 * Air that purges a heatless tower, of what enters: the feed’s own volume at the pressure of the room.
 * @param factor over theory; 1 is theory
 * @source F = m · p_room / p_line, reference group 11
 */
export const purgeShare = (inletPa: number, atmosphericPa: number, factor = PURGE_FACTOR): number =>
  Math.min(1, (factor * atmosphericPa) / inletPa);

/**
 * Velocity at which rising air begins to lift a bed of beads, m/s in the empty tower.
 * @param airKgPerM3 at line pressure
 * @source Wen & Yu 1966, recalled: Re = √(33.7² + 0.0408 Ar) − 33.7
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

/**
 * Two heatless towers for a duty: beads by water and by contact, size by velocity, and what they cost in air.
 * @param duty inlet 0…100 °C, 1.5…41 bar absolute; cycle over a minute, load 0.05…1
 * @throws OutOfRange of the air’s equations
 */
export function sizeTowers(duty: TowersDuty) {
  const airKgPerM3 = dryAirDensityKgPerM3(duty.inletPa, duty.inletC, 0);
  const actualM3PerS = duty.dryAirKgPerS / airKgPerM3;
  const waterKg = (waterLoadKgPerS(duty) * duty.cycleS) / 2;
  const bulk = BULK_KG_PER_M3[duty.medium];
  const byWaterKg = waterKg / WORKING_SHARE;
  const byContactKg = actualM3PerS * CONTACT_FOR_DEEP_S * bulk;
  const massKg = Math.max(byWaterKg, byContactKg);
  const liftsAt = liftsAtMPerS(airKgPerM3);
  const velocityMPerS = Math.min(FASTEST_M_PER_S, UPWARD_AT_MOST * liftsAt);
  const areaM2 = duty.boreM ? (Math.PI / 4) * duty.boreM ** 2 : actualM3PerS / velocityMPerS;
  const risesMPerS = actualM3PerS / areaM2;
  const heightM = massKg / bulk / areaM2;
  const purge = purgeShare(duty.inletPa, duty.atmosphericPa);
  return {
    waterKg,
    massKg,
    by: byWaterKg > byContactKg ? ('water' as const) : ('contact' as const),
    boreM: Math.sqrt((4 * areaM2) / Math.PI),
    heightM,
    velocityMPerS: risesMPerS,
    liftsAtMPerS: liftsAt,
    lossPa: bedLossPaPerM(risesMPerS, airKgPerM3) * heightM,
    /** Of the rated flow. */
    purgeTheory: purgeShare(duty.inletPa, duty.atmosphericPa, 1),
    purge,
    /** Of what passes at this load with a fixed orifice, which blows the same however little passes. A cycle that a dew point stretches keeps `purge`. */
    purgeFixed: Math.min(1, purge / duty.load),
    /** For each kilogram of water, at this load and a fixed orifice. */
    kWhPerKg: (purge * duty.dryAirKgPerS * KWH_PER_KG_AIR) / (waterLoadKgPerS(duty) * duty.load),
    /** Of work, until beads that stood open have come down to where they work: the purge gains little more than its margin over what comes. */
    startsInH:
      (2 * massKg * Math.max(0, heldWater(duty.medium, STOOD_RH) - 2 * WORKING_SHARE)) /
      ((PURGE_FACTOR - 1) * waterLoadKgPerS(duty)) /
      3600,
    wrong: [
      ...(duty.cycleS / 2 < VALVES_S
        ? [`Each half cycle is shorter than its valves: letting down and filling take about ${VALVES_S} s.`]
        : []),
      ...(risesMPerS >= liftsAt
        ? ['The air lifts the bed: beads grind each other to dust. Wider towers, or less air.']
        : risesMPerS > UPWARD_AT_MOST * liftsAt * 1.001
          ? [`The air rises close to where it lifts the bed: stay under ${Math.round(UPWARD_AT_MOST * 100)} % of that.`]
          : []),
    ],
  };
}
