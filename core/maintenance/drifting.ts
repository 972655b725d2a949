import { type Drift, driftOf } from '../log/drift';
import { READINGS, type ReadingName } from '../log/readings';
import type { Plan } from '../plan/plan';
import { stageById } from '../plan/runs';
import type { RatioSeries } from './log-summary';

/** A quantity of the log that drifts away from what the plan expects. */
export interface Drifting {
  readonly stageId: string;
  readonly of: ReadingName | 'drain';
  readonly title: string;
  readonly drift: Drift;
}

/**
 * What drifts in the log: the water of each drain, and readings that come back.
 * @example driftsOf(plan, [{ stageId: 'receiver', of: 'drain', ratios: [1, 1, 1, 1, 1, 1, 1.9, 1.9, 1.9, 1.9] }]).length // 1
 */
export function driftsOf(plan: Plan, series: readonly RatioSeries[]): Drifting[] {
  return series.flatMap(({ stageId, of, ratios }) => {
    // A ratio says nothing of a temperature: those are judged by their bands.
    if (of !== 'drain' && READINGS[of].quantity === 'temperature') return [];
    const drift = driftOf(ratios);
    const what = of === 'drain' ? 'water at its drain' : READINGS[of].label.toLowerCase();
    return drift ? [{ stageId, of, title: `${stageById(plan, stageId)?.name ?? stageId}: ${what}`, drift }] : [];
  });
}
