import { dewPointFromVapourPressureC } from '../air/dew-point';
import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import { saturationPressurePa } from '../air/saturation';
import { BULK_KG_PER_M3 } from '../desiccant/isotherm';
import { CONTACT_FOR_DEEP_S, waterLoadKgPerS } from '../desiccant/size-cartridge';
import { HEAT_OF_UPTAKE } from '../desiccant/uptake';
import { CFM } from '../quantity/constants';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import { bedShape } from './bed-shape';
import { type DryerDuty, dutyM3PerS, KWH_PER_KG_AIR } from './dryer-duty';

/** Twin towers that heat dries. */
export const HEATED = {
  'heated-purge-tower': 'Heated purge',
  'blower-purge-tower': 'Blower purge',
  'split-flow-tower': 'Split flow',
  'heat-of-compression-tower': 'Heat of compression',
} as const;
export type Heated = keyof typeof HEATED;

interface Practice {
  /** Heater, blower and controls on average, W for each m³/s of rating. */
  readonly powerW: number;
  /** Of the time of one tower at rest, in which the heater runs. */
  readonly heats: number;
  /** Air let go, of the rated flow. */
  readonly purge: number;
  readonly halfH: number;
  readonly contactS: number;
  /** Left out: it floats. */
  readonly reachesC?: number;
}
const per100Cfm = (kW: number): number => (kW * 1000) / (100 * CFM);
/** Trade handbook (recalled, estimates): heated 1.0–1.5 kW and 5–8 %, blower 2.5–3.5 kW and 0–3 %, heat of compression 0.2–0.5 kW and 0–2 %; split flow an estimate. */
const PRACTICE: Record<Heated, Practice> = {
  'heated-purge-tower': {
    powerW: per100Cfm(1.25),
    heats: 0.72,
    purge: 0.07,
    halfH: 4,
    contactS: CONTACT_FOR_DEEP_S,
    reachesC: -40,
  },
  'blower-purge-tower': {
    powerW: per100Cfm(3),
    heats: 0.72,
    purge: 0.02,
    halfH: 4,
    contactS: CONTACT_FOR_DEEP_S,
    reachesC: -40,
  },
  'split-flow-tower': {
    powerW: per100Cfm(2.2),
    heats: 0.6,
    purge: 0,
    halfH: 3,
    contactS: CONTACT_FOR_DEEP_S,
    reachesC: -40,
  },
  'heat-of-compression-tower': {
    powerW: per100Cfm(0.35),
    heats: 0,
    purge: 0.01,
    halfH: 1,
    contactS: CONTACT_FOR_DEEP_S,
  },
};
/** Air that heats a bed (common practice). */
export const HEATS_TO_C = 180;
/** What a heat-regenerated bed takes up in its turn, of its dry mass: lower end of 6–12 % (reference group 12, common practice). */
const WORKING_SHARE = 0.07;
const BED = { heatCapacity: 900, steelPerBeads: 0.5, steelHeat: 500 }; // J/(kg·K) reference group 12 and handbook; steel an estimate
const REPRESSURISES_S = 300; // slowly, so that no bed is lifted (estimate)
/** Hot air of an oil-free compressor as it reaches the bed: 300 °F (trade handbook, where such a dryer works well). */
export const DISCHARGE_C = 149;
const ROOM_RH = 0.6; // of the air that the compressor draws (estimate)
const DRIEST_C = -40; // −4 to −40, floating (trade handbook)

/**
 * Pressure dew point downstream of a dryer that the heat of compression dries, °C: its bed is in balance with the hot air that dried it, and leaves that humidity
 * in the cooled air.
 * @source vapour of the room’s air, or of the air that enters if that is more; RH = x·p / e_s(149 °C), then at the inlet’s temperature
 */
export function floatingDewPointC(
  duty: Pick<DryerDuty, 'roomC' | 'inletC' | 'inletPa' | 'atmosphericPa' | 'relativeHumidity'>,
): number {
  const drawn = vapourFractionFromRelativeHumidity(ROOM_RH, duty.roomC, duty.atmosphericPa);
  const enters = vapourFractionFromRelativeHumidity(duty.relativeHumidity, duty.inletC, duty.inletPa);
  const hotRh = (Math.max(drawn, enters) * duty.inletPa) / saturationPressurePa(DISCHARGE_C);
  return Math.max(DRIEST_C, dewPointFromVapourPressureC(Math.min(1, hotRh) * saturationPressurePa(duty.inletC)));
}

/** What no dryer undercuts: the heat that beads hold water with, kWh a kilogram. */
export const LEAST_KWH_PER_KG = HEAT_OF_UPTAKE / 3.6e6;

/**
 * Two towers that heat dries, for a duty: beads, heater, times, what a kilogram of water costs.
 * @param duty inlet 0…60 °C, 1.5…41 bar absolute
 * @returns masses kg, powers W, times h
 * @throws OutOfRange of the air’s equations
 * @source powers and purge of common practice (handbook, recalled); the heat of a half cycle from beads, steel and water
 * @example sizeHeated('heated-purge-tower', dryerDuty).massKg // 6.97
 */
export function sizeHeated(kind: Heated, duty: DryerDuty) {
  const p = PRACTICE[kind];
  const rated = dutyM3PerS(duty);
  const reachesC = p.reachesC ?? floatingDewPointC(duty);
  const waterKgPerS = waterLoadKgPerS(duty, reachesC);
  const waterKg = waterKgPerS * p.halfH * 3600;
  const bulk = BULK_KG_PER_M3.alumina;
  const actualM3PerS = duty.dryAirKgPerS / dryAirDensityKgPerM3(duty.inletPa, duty.inletC, 0);
  const massKg = Math.max(waterKg / WORKING_SHARE, actualM3PerS * p.contactS * bulk);
  const averageW = p.powerW * rated;
  const purgeKgPerS = p.purge * duty.dryAirKgPerS;
  const warmsK = Math.max(1, HEATS_TO_C - duty.inletC);
  const bedJ = waterKg * HEAT_OF_UPTAKE + massKg * (BED.heatCapacity + BED.steelPerBeads * BED.steelHeat) * warmsK;
  return {
    waterKgPerS,
    waterKg,
    massKg,
    averageW,
    heaterW: p.heats > 0 ? averageW / p.heats : 0,
    /** Heat that a bed needs each time, J: water, beads and steel. */
    bedJ,
    purgeShare: p.purge,
    halfH: p.halfH,
    heatingH: p.heats > 0 ? p.halfH * p.heats : p.halfH * 0.6,
    coolingH: p.halfH - (p.heats > 0 ? p.halfH * p.heats : p.halfH * 0.6) - REPRESSURISES_S / 3600,
    switchingH: REPRESSURISES_S / 3600,
    /** For each kilogram of water at full load, air let go included. */
    kWhPerKg:
      waterKgPerS > 0
        ? averageW / 3.6e6 / waterKgPerS + (purgeKgPerS * KWH_PER_KG_AIR) / waterKgPerS
        : Number.POSITIVE_INFINITY,
    /** Until both towers were dried once. */
    startsInH: 2 * p.halfH,
    reachesC,
    ...bedShape(massKg, bulk, duty),
  };
}
