import { humidityAt, type Section } from '../line/section';
import { walk } from '../line/walk';
import { type SiteTime, siteTimeMs } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { pathTo, standing } from '../plan/runs';
import { HOUR_MS } from '../quantity/constants';
import { hourOf } from '../year/calendar';
import type { WeatherRun } from '../year/run-weather';
import { seriesOf } from '../year/series';
import { type LoadedClock, Sum } from './loaded-clock';

const DAY_MS = 24 * HOUR_MS;

/** Water that comes to beads, by the line in its weather and the working time. */
export interface ChargeLoad {
  /** Water between two times, kg. */
  kgBetween(from: SiteTime, to: SiteTime): number;
  /** Water of each day from a time on, kg. */
  daily(from: SiteTime, days: number): Float64Array;
}

/**
 * Relative humidity of the air that comes to a stage, 0…1: what a charge takes up goes by it.
 * @example inletHumidity(plan, section, 'receiver') // 1
 */
export function inletHumidity(plan: Plan, section: Section, stageId: string): number {
  const before = section.at(pathTo(standing(plan), stageId).at(-2)?.id);
  return before ? Math.min(1, humidityAt(before, before.temperatureC, before.pressurePa)) : 1;
}

/**
 * Water that beads at a stage take up, hour by hour: what the walk leaves there in the weather of that day of the year, by the working time
 * of that very date.
 * @param run of a year of weather; left out, the air of the survey counts all year
 * @param until no air comes after it
 * @example chargeLoad(plan, undefined, 'beads', loadedClock(plan, [], 0, 7)).daily(now, 2).length // 2
 */
export function chargeLoad(
  plan: Plan,
  run: WeatherRun | undefined,
  stageId: string,
  clock: LoadedClock,
  until?: SiteTime,
): ChargeLoad {
  const untilMs = until === undefined ? Number.POSITIVE_INFINITY : siteTimeMs(until);
  const always = run ? 0 : (walk(standing(plan)).at(stageId)?.adsorbedKgPerS ?? 0);
  const series = run && seriesOf(plan, run, { of: 'adsorbed', stageId })?.values;
  const rate = (h: number): number => (run ? series?.[hourOf(clock.startMs + h * HOUR_MS)] || 0 : always);
  const kg = new Sum(clock.startMs, clock.load.length, (h) =>
    clock.startMs + h * HOUR_MS < untilMs ? rate(h) * (clock.load[h] as number) * 3600 : 0,
  );
  return {
    kgBetween: (from, to) => clock.factor * kg.between(siteTimeMs(from), siteTimeMs(to)),
    daily: (from, n) => {
      const ms = siteTimeMs(from);
      return Float64Array.from(
        { length: n },
        (_, d) => clock.factor * kg.between(ms + d * DAY_MS, ms + (d + 1) * DAY_MS),
      );
    },
  };
}
