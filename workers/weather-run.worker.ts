import { expose, transfer } from 'comlink';
import { drainYears, type PointYear } from '../core/drains/point-year';
import type { Plan } from '../core/plan/plan';
import { runWeather, type WeatherRun } from '../core/year/run-weather';
import type { WeatherHours } from '../core/year/weather';

/** A line to be walked through weather: laid on a year, or from a time on. */
export interface RunQuestion {
  readonly plan: Plan;
  readonly weather: WeatherHours;
  readonly when: { readonly year: number } | { readonly startMs: number };
}

export interface RunAnswer {
  readonly run: WeatherRun;
  /** What it brings to each drain. */
  readonly drains: ReadonlyMap<string, PointYear>;
}

expose(({ plan, weather, when }: RunQuestion): RunAnswer | undefined => {
  const run = runWeather(plan, weather, when);
  return (
    run &&
    transfer(
      { run, drains: drainYears(plan, run) },
      Object.values(run).flatMap((v) => (v instanceof Float32Array ? [v.buffer as ArrayBuffer] : [])),
    )
  );
});
