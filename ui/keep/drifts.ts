import type { Plan } from '@/core/line/plan';
import { stageById } from '@/core/line/runs';
import { type Drift, driftOf } from '@/core/record/drift';
import { standingEntries } from '@/core/record/log-entry';
import { READINGS, type ReadingName } from '@/core/routine/task';
import type { Log } from './use-due';

/** A quantity of the log that drifts away from what the plan expects. */
export interface Drifting {
  readonly stageId: string;
  readonly title: string;
  readonly drift: Drift;
}

const LEAST_KG = 0.01; // what is expected under that is drops on a wall
const AMONG = 40; // the newest of a series

/** What drifts in the log: the water of each drain, and readings that come back. */
export function driftsOf(plan: Plan, { drains, entries }: Log): Drifting[] {
  const name = (id: string): string => stageById(plan, id)?.name ?? id;
  const out: Drifting[] = [];
  const watch = (stageId: string, what: string, ratios: number[]): void => {
    const drift = driftOf(ratios.slice(-AMONG));
    if (drift) out.push({ stageId, title: `${name(stageId)}: ${what}`, drift });
  };
  for (const stageId of new Set(drains.map((d) => d.stageId))) {
    const own = drains
      .filter((d) => d.stageId === stageId && !d.struck && d.expectedKg > LEAST_KG)
      .sort((a, b) => a.drainedAt.localeCompare(b.drainedAt));
    watch(
      stageId,
      'water at its drain',
      own.map((d) => (d.amountM3 * 1000) / d.expectedKg),
    );
  }
  const series = new Map<string, { stageId: string; of: ReadingName; ratios: number[] }>();
  for (const e of [...standingEntries(entries)].sort((a, b) => a.measuredAt.localeCompare(b.measuredAt)))
    e.readings.forEach((r, i) => {
      const expected = e.expected[i];
      // A ratio says nothing of a temperature: those are judged by their bands.
      if (!expected || !(expected.value > 0) || READINGS[r.of].quantity === 'temperature') return;
      const key = `${e.stageId} ${r.of}`;
      const own = series.get(key) ?? { stageId: e.stageId, of: r.of, ratios: [] };
      own.ratios.push(r.value / expected.value);
      series.set(key, own);
    });
  for (const { stageId, of, ratios } of series.values()) watch(stageId, READINGS[of].label.toLowerCase(), ratios);
  return out;
}
