import type { Plan } from '../line/plan';
import { allStages, standing } from '../line/runs';
import { walk } from '../line/walk';
import type { LoggedEntry } from '../record/log-entry';
import { standingEntries } from '../record/log-entry';
import { type ShopTime, shopTimeMs } from '../record/shop-clock';
import { hourOf, midnightOf } from './calendar';
import { loadThrough, type WeatherRun } from './run-weather';
import { seriesOf } from './series';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const METER_APART_MS = 7 * DAY_MS; // hours read closer than a week tell no rate of use (estimate)

/** Water that comes to beads, by the line in its weather and the working time. */
export interface ChargeLoad {
  /** Water between two times, kg. */
  kgBetween(from: ShopTime, to: ShopTime): number;
  /** Water of each day from a time on, kg. */
  daily(from: ShopTime, days: number): Float64Array;
}

/** Hours that the pump ran by its meter over those that are reckoned with, between the first and the last reading; 1 where nothing was read. */
export function meterFactor(
  plan: Plan,
  entries: readonly LoggedEntry[],
  reckonedH: (fromMs: number, toMs: number) => number,
): number {
  const pump = allStages(standing(plan)).find((s) => s.kind === 'compressor')?.id;
  const read = standingEntries(entries)
    .filter((e) => e.stageId === pump)
    .flatMap((e) =>
      e.readings.filter((r) => r.of === 'hours').map((r) => ({ ms: shopTimeMs(e.measuredAt), h: r.value / 3600 })),
    )
    .toSorted((a, b) => a.ms - b.ms);
  const [first, last] = [read[0], read.at(-1)];
  if (!first || !last || last.ms - first.ms < METER_APART_MS || last.h <= first.h) return 1;
  const reckoned = reckonedH(first.ms, last.ms);
  return reckoned > 0 ? Math.min(5, Math.max(0.1, (last.h - first.h) / reckoned)) : 1;
}

/**
 * Water that beads at a stage take up, hour by hour: what the walk leaves there in the weather of that day of the year, by the working time
 * of that very date, corrected by an hour meter that was read.
 * @param run of a year of weather; left out, the air of the survey counts all year
 * @param fromMs midnight from which it is asked for
 */
export function chargeLoad(
  plan: Plan,
  run: WeatherRun | undefined,
  stageId: string,
  entries: readonly LoggedEntry[],
  fromMs: number,
  days: number,
): ChargeLoad {
  const start = midnightOf(fromMs);
  const hours = days * 24;
  const load = loadThrough(plan, hours, (day) => start + day * DAY_MS);
  const always = run ? undefined : walk(standing(plan)).at(stageId)?.adsorbedKgPerS;
  const series = run && seriesOf(plan, run, { of: 'adsorbed', stageId })?.values;
  const loadedH = new Float64Array(hours + 1);
  const kg = new Float64Array(hours + 1);
  for (let h = 0; h < hours; h++) {
    const share = load[h] as number;
    const rate = series ? series[hourOf(start + h * HOUR_MS)] || 0 : (always ?? 0);
    loadedH[h + 1] = (loadedH[h] as number) + share;
    kg[h + 1] = (kg[h] as number) + rate * share * 3600;
  }
  const read = (of: Float64Array, ms: number): number => {
    const at = Math.min(hours, Math.max(0, (ms - start) / HOUR_MS));
    const h = Math.min(hours - 1, Math.floor(at));
    return (of[h] as number) + ((of[h + 1] as number) - (of[h] as number)) * (at - h);
  };
  const factor = meterFactor(plan, entries, (from, to) => read(loadedH, to) - read(loadedH, from));
  const kgBetween = (from: number, to: number): number => factor * Math.max(0, read(kg, to) - read(kg, from));
  return {
    kgBetween: (from, to) => kgBetween(shopTimeMs(from), shopTimeMs(to)),
    daily: (from, n) => {
      const ms = shopTimeMs(from);
      return Float64Array.from({ length: n }, (_, d) => kgBetween(ms + d * DAY_MS, ms + (d + 1) * DAY_MS));
    },
  };
}
