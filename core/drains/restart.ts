import { saturatedVapourPressurePa } from '../air/enhancement-factor';
import { vapourDensityKgPerM3 } from '../air/humidity';
import type { Section } from '../line/section';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';

/**
 * Water that falls out in the receivers while the line stands and cools to its room: at the first start after a weekend it
 * goes out in one push, with what the sumps held.
 * @returns kg
 * @source vapour held at saturation before and after, real gas
 * @example standingWaterKg(plan, section) // 0.00110
 */
export function standingWaterKg(plan: Plan, section: Section): number {
  return allStages(standing(plan)).reduce((sum, s) => {
    const station = section.at(s.id);
    if (s.kind !== 'receiver' || !station) return sum;
    const { roomTemperatureC } = surroundingsAt(plan, s);
    const held = (c: number): number => {
      const x = saturatedVapourPressurePa(c, station.pressurePa) / station.pressurePa;
      return vapourDensityKgPerM3(x, c, station.pressurePa);
    };
    const warm = Math.min(station.temperatureC, station.pressureDewPointC);
    return sum + s.parameters.volumeM3 * Math.max(0, held(warm) - held(Math.min(warm, roomTemperatureC)));
  }, 0);
}

/** A drain is sized for twice the water of its peak hour: at a start the first minutes bring a slug (common practice, no source). */
export const CAPACITY_MARGIN = 2;
