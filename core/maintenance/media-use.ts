import { usableWater } from '../desiccant/isotherm';
import { SALT_PER_WATER } from '../desiccant/salt';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import type { WeatherRun } from '../year/run-weather';
import { caughtAt, seriesOf } from '../year/series';
import { totalKg } from '../year/sums';
import { type BeadPlace, beadPlaces, mediumOf } from './charge-lives';
import { inletHumidity } from './charge-load';

/** What a medium takes up in a year, and what of it is used up. */
export interface MediaUse {
  readonly stageId: string;
  readonly name: string;
  /** Water, kg a year. */
  readonly waterKg: number;
  /** Charges of beads, or kilograms of pellets. */
  readonly charges?: number;
  readonly pelletsKg?: number;
}

/**
 * Beads and pellets that a year of weather uses, at the loads of the working hours.
 * @example mediaUse(plan, run)[0].waterKg // 2.58
 */
export function mediaUse(plan: Plan, run: WeatherRun): MediaUse[] {
  const section = walk(plan);
  const beads = new Map<string, BeadPlace>(beadPlaces(standing(plan)).map((s) => [s.id, s]));
  return allStages(standing(plan)).flatMap((s): MediaUse[] => {
    const place = beads.get(s.id);
    if (place) {
      const waterKg = totalKg(seriesOf(plan, run, { of: 'adsorbed', stageId: s.id })?.values ?? [], run.load);
      const takesKg = place.parameters.massKg * usableWater(mediumOf(place), inletHumidity(plan, section, s.id));
      return [{ stageId: s.id, name: s.name, waterKg, charges: waterKg / takesKg }];
    }
    if (s.kind === 'pellet-tower') {
      const waterKg = totalKg(caughtAt(run, s.id), run.load);
      return [{ stageId: s.id, name: s.name, waterKg, pelletsKg: waterKg * SALT_PER_WATER }];
    }
    return [];
  });
}
