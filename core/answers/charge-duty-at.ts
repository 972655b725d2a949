import type { CartridgeDuty } from '../desiccant/size-cartridge';
import { humidityAt, type Section } from '../line/section';
import { loadedHoursPerDay } from '../line/working-day';
import { type BeadPlace, mediumOf } from '../maintenance/charge-lives';
import type { Plan } from '../plan/plan';
import { pathTo, standing } from '../plan/runs';

/**
 * What a charge of beads at a place of a line is asked to do, by the air that reaches it.
 * @returns `undefined` where the walk does not come there
 * @example chargeDutyAt(plan, section, stage('beads')).airHPerDay // 3.6
 */
export function chargeDutyAt(plan: Plan, section: Section, place: BeadPlace): CartridgeDuty | undefined {
  const air = section.at(pathTo(standing(plan), place.id).at(-2)?.id);
  return (
    air && {
      medium: mediumOf(place),
      massKg: place.parameters.massKg,
      dryAirKgPerS: air.dryAirKgPerS,
      inletC: air.temperatureC,
      inletPa: air.pressurePa,
      relativeHumidity: Math.min(1, humidityAt(air, air.temperatureC, air.pressurePa)),
      airHPerDay: loadedHoursPerDay(plan),
    }
  );
}
