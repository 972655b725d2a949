'use client';

import type { Plan } from '@/core/plan/plan';
import { useWorker } from '@/ui/plan/use-worker';
import type { DayAnswer } from '@/workers/day.worker';

const start = (): Worker => new Worker(new URL('../../workers/day.worker.ts', import.meta.url), { type: 'module' });

/** The day of a line. */
export function usePumpDay(plan: Plan): { answer: DayAnswer | undefined; busy: boolean } {
  return useWorker<DayAnswer>(start, plan, 120);
}
