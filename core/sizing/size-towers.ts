import { BULK_KG_PER_M3, heldWater, type Medium } from '../desiccant/isotherm';
import { type CartridgeDuty, CONTACT_FOR_DEEP_S, waterLoadKgPerS } from '../desiccant/size-cartridge';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import { bedShape, UPWARD_AT_MOST } from './bed-shape';
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
/** A tower at rest must stand near the pressure of the room: over this its silencer is blocked (trade handbook, 3 psi). */
export const SILENCER_MOST_PA = 20_700;
/** Beads that stood open: in balance with a room at half humidity. */
const STOOD_RH = 0.5;

/** Purge over the least that theory allows: 1.1 to 1.2, repressurising included (reference group 11). */
const PURGE_FACTOR = 1.15;
/** A heatless bed works over 1–3 % of its dry mass in each half cycle (reference group 12, common practice); the lower middle. */
const WORKING_SHARE = 0.015;

/**
 * Air that purges a heatless tower, of what enters: the feed’s own volume at the pressure of the room.
 * @param factor over theory; 1 is theory
 * @source F = m · p_room / p_line, reference group 11
 * @example purgeShare(8e5, 101325, 1) // 0.1267
 */
export const purgeShare = (inletPa: number, atmosphericPa: number, factor = PURGE_FACTOR): number =>
  Math.min(1, (factor * atmosphericPa) / inletPa);

/**
 * Two heatless towers for a duty: beads by water and by contact, size by velocity, and what they cost in air.
 * @param duty inlet 0…100 °C, 1.5…41 bar absolute; cycle over a minute, load 0.05…1
 * @throws OutOfRange of the air’s equations
 * @example sizeTowers({ medium: 'alumina', dryAirKgPerS: 0.01, inletC: 30, inletPa: 8e5, relativeHumidity: 1, atmosphericPa: 101325, cycleS: 300, load: 0.5 }).massKg // 4.08
 */
export function sizeTowers(duty: TowersDuty) {
  const actualM3PerS = duty.dryAirKgPerS / dryAirDensityKgPerM3(duty.inletPa, duty.inletC, 0);
  const waterKg = (waterLoadKgPerS(duty) * duty.cycleS) / 2;
  const bulk = BULK_KG_PER_M3[duty.medium];
  const byWaterKg = waterKg / WORKING_SHARE;
  const byContactKg = actualM3PerS * CONTACT_FOR_DEEP_S * bulk;
  const massKg = Math.max(byWaterKg, byContactKg);
  const shape = bedShape(massKg, bulk, duty, duty.boreM);
  const purge = purgeShare(duty.inletPa, duty.atmosphericPa);
  return {
    waterKg,
    massKg,
    by: byWaterKg > byContactKg ? ('water' as const) : ('contact' as const),
    ...shape,
    /** Of the rated flow. */
    purgeTheory: purgeShare(duty.inletPa, duty.atmosphericPa, 1),
    purge,
    /** Of what passes at this load with a fixed orifice, which blows the same however little passes. A cycle that a dew point stretches keeps `purge`. */
    purgeFixed: Math.min(1, purge / duty.load),
    /** Once a dew-point probe lets a tower dry until its beads have taken as much as at full load. */
    stretchedS: duty.cycleS / duty.load,
    /** For each kilogram of water, at this load and a fixed orifice. */
    kWhPerKg: (purge * duty.dryAirKgPerS * KWH_PER_KG_AIR) / (waterLoadKgPerS(duty) * duty.load),
    /** Of work, until beads that stood open have come down to where they work: the purge gains little more than its margin over what comes. */
    startsInH:
      (2 * massKg * Math.max(0, heldWater(duty.medium, STOOD_RH) - 2 * WORKING_SHARE)) /
      ((PURGE_FACTOR - 1) * waterLoadKgPerS(duty)) /
      3600,
    wrong: [
      ...(duty.cycleS / 2 < VALVES_S
        ? [`Each half cycle is shorter than its valves: depressurising and filling take about ${VALVES_S} s.`]
        : []),
      ...(shape.velocityMPerS >= shape.liftsAtMPerS
        ? ['The air lifts the bed: beads grind each other to dust. Wider towers, or less air.']
        : shape.velocityMPerS > UPWARD_AT_MOST * shape.liftsAtMPerS * 1.001
          ? [`The air rises close to where it lifts the bed: stay under ${Math.round(UPWARD_AT_MOST * 100)} % of that.`]
          : []),
    ],
  };
}
