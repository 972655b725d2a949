import { siteTimeMs } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { DAY_MS } from '../quantity/constants';
import type { Signal } from './logged';

const APART_MS = DAY_MS; // readings closer than a day tell no rate (estimate)

/** What an hour meter says of a task that comes by hours. */
export interface MeterDue {
  readonly dueMs: number;
  readonly hPerDay: number;
}

/**
 * When a task is due by the hour meter that was read: of its own stage, else of the line’s first compressor. What ran since it was
 * last done counts as read; what is still to run goes at the rate between the readings.
 * @param everyH hours between two times
 * @param baseMs when it was last done, or the routine begun
 * @param signals of the log, the newest first
 * @returns nothing without two readings a day apart, or where the meter went backwards (another meter)
 */
export function dueByMeter(
  plan: Plan,
  stageId: string,
  everyH: number,
  baseMs: number,
  signals: readonly Signal[],
): MeterDue | undefined {
  const compressor = allStages(standing(plan)).find((s) => s.kind === 'compressor')?.id;
  const of = (id: string | undefined) =>
    signals
      .filter((s) => s.of === 'hours' && s.stageId === id)
      .map((s) => ({ ms: siteTimeMs(s.at), h: s.value / 3600 }));
  const own = of(stageId);
  const readings = own.length > 1 ? own : of(compressor);
  const [newest, oldest] = [readings[0], readings.at(-1)];
  if (!newest || !oldest || newest.ms - oldest.ms < APART_MS || newest.h <= oldest.h) return undefined;
  const hPerDay = (newest.h - oldest.h) / ((newest.ms - oldest.ms) / DAY_MS);
  // The reading of the day on which it was done, or else the rate back to it.
  const atBase = readings.find((r) => r.ms <= baseMs + APART_MS / 2 && baseMs - r.ms < APART_MS);
  const baseH = atBase?.h ?? newest.h - ((newest.ms - baseMs) / DAY_MS) * hPerDay;
  return {
    dueMs: newest.ms + ((everyH - (newest.h - baseH)) / hPerDay) * DAY_MS,
    hPerDay,
  };
}
