'use client';

import type { Plan } from '@/core/plan/plan';
import { useAnswer } from '@/ui/worker/use-answer';
import type { DayAnswer } from '@/workers/day.worker';

const start = (): Worker => new Worker(new URL('../../workers/day.worker.ts', import.meta.url), { type: 'module' });

/** The day of a line. */
export function useDay(plan: Plan): { answer: DayAnswer | undefined; busy: boolean } {
  const { answered, busy } = useAnswer<Plan, DayAnswer>(start, plan, 120);
  return { answer: answered?.answer, busy };
}
