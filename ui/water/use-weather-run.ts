'use client';

import { useMemo } from 'react';
import type { Plan } from '@/core/plan/plan';
import type { WeatherHours } from '@/core/year/weather';
import { useAnswer } from '@/ui/worker/use-answer';
import type { RunAnswer, RunQuestion } from '@/workers/weather-run.worker';

/** A run, and the plan that it is of. */
export interface RanPlan extends RunAnswer {
  readonly plan: Plan;
}

const start = (): Worker =>
  new Worker(new URL('../../workers/weather-run.worker.ts', import.meta.url), { type: 'module' });

/** A line through weather; the last run stands until the next is done. */
export function useWeatherRun(
  plan: Plan,
  weather: WeatherHours | undefined,
  when: RunQuestion['when'],
): { ran: RanPlan | undefined; busy: boolean } {
  const key = 'year' in when ? when.year : when.startMs;
  // biome-ignore lint/correctness/useExhaustiveDependencies: `when` is one number, its key
  const question = useMemo(() => weather && { plan, weather, when }, [plan, weather, key]);
  const { answered, busy } = useAnswer<RunQuestion, RunAnswer | undefined>(start, question);
  const ran = useMemo(
    () => (answered?.answer ? { ...answered.answer, plan: answered.question.plan } : undefined),
    [answered],
  );
  return { ran: weather && ran, busy };
}
