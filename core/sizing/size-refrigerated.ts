import { CP_DRY_AIR, CP_VAPOUR, CP_WATER, moistEnthalpy } from '../air/enthalpy';
import { saturatedHumidityRatio } from '../air/humidity';
import { waterLoadKgPerS } from '../desiccant/size-cartridge';
import { capacityForDewPoint, loadedDewPointC, refrigeratedCapacity } from '../equipment/drying/refrigerated-capacity';
import { CFM } from '../quantity/constants';
import { type DryerDuty, dutyM3PerS, hottestInletC } from './dryer-duty';

/** The air leaves so far below the inlet, where a second exchanger warms it with what comes (estimate). */
const REHEAT_APPROACH_K = 10;
/** W for each m³/s of rating: 0.6–0.9 kW for 100 cfm, always on (trade handbook). */
const POWER_W = 750 / (100 * CFM);
/** Room in which one works, °C: 40–110 °F (trade handbook). */
export const ROOM_C = [4.4, 43.3] as const;
/** Lowest pressure dew point before ice blocks it, °C: 35 °F (common practice). */
export const LEAST_DEW_POINT_C = 1.7;
/** The dew point of the usual rating, 38 °F. */
export const USUAL_DEW_POINT_C = 10 / 3;
/** 120 °F: air that enters hotter trips a standard one (trade handbook). */
const HOTTEST_INLET_C = 49;

/** What American plates are read at, and what a rating is entered for (common practice: “three 100s”). */
export const PLATE = { inletC: 37.78, gaugePa: 6.895e5, roomC: 37.78 } as const;
/** ISO 7183 reference conditions, option A1 (recalled): what European plates are read at. */
export const ISO_7183_A1 = { inletC: 35, gaugePa: 7e5, roomC: 25 } as const;

/** Heat in moist air, J for a kilogram of dry air. */
export const enthalpyJPerKg = (temperatureC: number, humidityRatio: number): number =>
  moistEnthalpy(1, humidityRatio, 0, temperatureC);

/**
 * A refrigerated dryer for a duty: the plate to buy, today and on the hottest day, and the heat it moves.
 * @param duty inlet 5…100 °C, 1.5…41 bar absolute
 * @returns rated flows in m³/s of free air at “three 100s” and at ISO 7183 A1; heat in W; why it may not be used here
 * @throws OutOfRange of the air’s equations
 * @source capacity = rated · K pressure · K inlet · K room · K dew point, generic tables (reference group 11)
 * @example sizeRefrigerated(dryerDuty).refrigerantW // 172
 */
export function sizeRefrigerated(duty: DryerDuty) {
  const dewPointC = Math.min(10, Math.max(LEAST_DEW_POINT_C, duty.wantedC));
  const gaugePa = duty.inletPa - duty.atmosphericPa;
  const capacity = (inletC: number, roomC: number): number =>
    refrigeratedCapacity(inletC, gaugePa, roomC, capacityForDewPoint(dewPointC));
  const today = capacity(duty.inletC, duty.roomC);
  const hottest = capacity(hottestInletC(duty), duty.hottestRoomC);
  const flow = dutyM3PerS(duty);
  const ratedM3PerS = flow / Math.min(today, hottest);
  const iso = refrigeratedCapacity(ISO_7183_A1.inletC, ISO_7183_A1.gaugePa, ISO_7183_A1.roomC);
  const condensedKgPerS = waterLoadKgPerS(duty, dewPointC);
  const leavesRatio = saturatedHumidityRatio(dewPointC, duty.inletPa);
  const cooledK = Math.max(0, duty.inletC - dewPointC);
  const sensibleW = duty.dryAirKgPerS * cooledK * (CP_DRY_AIR + leavesRatio * CP_VAPOUR);
  const entersRatio = leavesRatio + condensedKgPerS / duty.dryAirKgPerS;
  // All heat that leaves the air and its vapour, less what the condensate takes away, less the sensible part.
  const latentW =
    duty.dryAirKgPerS * (enthalpyJPerKg(duty.inletC, entersRatio) - enthalpyJPerKg(dewPointC, leavesRatio)) -
    condensedKgPerS * CP_WATER * dewPointC -
    sensibleW;
  const givenBackW = duty.dryAirKgPerS * CP_DRY_AIR * Math.max(0, cooledK - REHEAT_APPROACH_K);
  return {
    dewPointC,
    today,
    hottest,
    ratedM3PerS,
    ratedIsoM3PerS: ratedM3PerS * iso,
    /** Dew point on the hottest day of one that was bought for today. */
    hottestDewPointC: loadedDewPointC(dewPointC, today / hottest),
    condensedKgPerS,
    sensibleW,
    latentW,
    refrigerantW: Math.max(0, sensibleW + latentW - givenBackW),
    powerW: POWER_W * ratedM3PerS,
    notHere: [
      ...(duty.coldestRoomC < ROOM_C[0]
        ? [
            'The room gets too cold: below {4.44 °C} its condensate freezes and its refrigerant control fails. Use a warm room, or another type.',
          ]
        : []),
      ...(duty.hottestRoomC > ROOM_C[1]
        ? ['The room gets hotter than {43.33 °C}: it trips. Ventilate, or use another type.']
        : []),
      ...(duty.wantedC < LEAST_DEW_POINT_C
        ? ['It stops at about {1.667 °C}: below that it would freeze shut. Beads or membrane for drier air.']
        : []),
      ...(duty.coldestAfterC < dewPointC
        ? ['A pipe after it gets colder than its dew point: water condenses there. Drier air for that branch.']
        : []),
      ...(hottestInletC(duty) > HOTTEST_INLET_C
        ? ['Air enters hotter than {48.89 °C} on the hottest day: cool it first, or one made for hot air.']
        : []),
    ],
  };
}
