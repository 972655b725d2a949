import { type LifeEntry, standingEntries } from '../log/log-entry';
import { siteTimeMs } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { HOUR_MS } from '../quantity/constants';
import { midnightOf } from '../year/calendar';
import { loadThrough } from '../year/run-weather';

const DAY_MS = 24 * HOUR_MS;
/** A meter that runs so much faster or slower than calculated was changed or misread: no more than this is believed (estimate). */
const FACTOR = { least: 0.1, most: 5 };
const METER_APART_MS = 7 * DAY_MS; // hours read closer than a week tell no rate of use (estimate)

/** What adds up hour by hour between a midnight and some days later, read at any time between. */
export class Sum {
  private readonly sums: Float64Array;

  constructor(
    private readonly startMs: number,
    hours: number,
    of: (hour: number) => number,
  ) {
    this.sums = new Float64Array(hours + 1);
    for (let h = 0; h < hours; h++) this.sums[h + 1] = (this.sums[h] as number) + of(h);
  }

  at(ms: number): number {
    const hours = this.sums.length - 1;
    const at = Math.min(hours, Math.max(0, (ms - this.startMs) / HOUR_MS));
    const h = Math.min(hours - 1, Math.floor(at));
    return (this.sums[h] as number) + ((this.sums[h + 1] as number) - (this.sums[h] as number)) * (at - h);
  }

  between(fromMs: number, toMs: number): number {
    return Math.max(0, this.at(toMs) - this.at(fromMs));
  }

  /** When so much has come together since a time; nothing where it does not within these days. */
  reaches(fromMs: number, amount: number): number | undefined {
    const wanted = this.at(fromMs) + amount;
    const h = this.sums.findIndex((s) => s >= wanted);
    return h < 0 ? undefined : Math.max(fromMs, this.startMs + h * HOUR_MS);
  }
}

/** Hours in which the compressor ran loaded, and what an hour meter makes of them. */
export interface LoadedClock {
  readonly startMs: number;
  readonly load: Float32Array;
  readonly hours: Sum;
  /** Hours by the meter over those expected, between its first and last reading; 1 where nothing was read. */
  readonly factor: number;
}

/**
 * The clock of a line from a midnight on: by its shifts and days off, corrected by an hour meter of its first compressor that was read twice.
 * @example loadedClock(plan, [], 0, 7).factor // 1
 */
export function loadedClock(plan: Plan, entries: readonly LifeEntry[], fromMs: number, days: number): LoadedClock {
  const startMs = midnightOf(fromMs);
  const load = loadThrough(plan, days * 24, (day) => startMs + day * DAY_MS);
  const hours = new Sum(startMs, load.length, (h) => load[h] as number);
  return { startMs, load, hours, factor: meterFactor(plan, entries, hours) };
}

function meterFactor(plan: Plan, entries: readonly LifeEntry[], hours: Sum): number {
  const compressor = allStages(standing(plan)).find((s) => s.kind === 'compressor')?.id;
  const read = standingEntries(entries)
    .filter((e) => e.stageId === compressor)
    .flatMap((e) =>
      e.readings.filter((r) => r.of === 'hours').map((r) => ({ ms: siteTimeMs(e.measuredAt), h: r.value / 3600 })),
    )
    .toSorted((a, b) => a.ms - b.ms);
  const [first, last] = [read[0], read.at(-1)];
  if (!first || !last || last.ms - first.ms < METER_APART_MS || last.h <= first.h) return 1;
  const expectedHours = hours.between(first.ms, last.ms);
  return expectedHours > 0 ? Math.min(FACTOR.most, Math.max(FACTOR.least, (last.h - first.h) / expectedHours)) : 1;
}
