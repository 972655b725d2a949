import { type Drift, driftOf } from '@/core/log/drift';
import { READINGS } from '@/core/log/readings';
import type { Series } from '@/core/maintenance/log-summary';
import type { Plan } from '@/core/plan/plan';
import { stageById } from '@/core/plan/runs';

/** A quantity of the log that drifts away from what the plan expects. */
export interface Drifting {
  readonly stageId: string;
  readonly title: string;
  readonly drift: Drift;
}

/** What drifts in the log: the water of each drain, and readings that come back. */
export function driftsOf(plan: Plan, series: readonly Series[]): Drifting[] {
  return series.flatMap(({ stageId, of, ratios }) => {
    // A ratio says nothing of a temperature: those are judged by their bands.
    if (of !== 'drain' && READINGS[of].quantity === 'temperature') return [];
    const drift = driftOf(ratios);
    const what = of === 'drain' ? 'water at its drain' : READINGS[of].label.toLowerCase();
    return drift ? [{ stageId, title: `${stageById(plan, stageId)?.name ?? stageId}: ${what}`, drift }] : [];
  });
}
