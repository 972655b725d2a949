'use client';

import { useEffect, useRef, useState } from 'react';
import type { Plan } from '@/core/plan/plan';
import type { WeatherRun } from '@/core/year/run-weather';
import type { WeatherHours } from '@/core/year/weather';
import type { RunAnswer, RunQuestion } from '@/workers/weather-run.worker';

/** A run, and the plan that it is of. */
export interface RanPlan {
  readonly run: WeatherRun;
  readonly plan: Plan;
}

/**
 * A line through weather, worked out beside the page. One run is under way at a time: while somebody drags, each begins
 * when the one before is done, with the plan as it is then; the last answer stands meanwhile.
 */
export function useWeatherRun(
  plan: Plan,
  weather: WeatherHours | undefined,
  when: RunQuestion['when'],
): { ran: RanPlan | undefined; busy: boolean; answered: boolean } {
  const [ran, setRan] = useState<RanPlan>();
  const [busy, setBusy] = useState(false);
  const [answered, setAnswered] = useState(false);
  const worker = useRef<Worker>(undefined);
  const state = useRef<{
    number: number;
    asked?: Omit<RunQuestion, 'number'>;
    next?: Omit<RunQuestion, 'number'> | undefined;
  }>({
    number: 0,
  });
  useEffect(() => {
    const own = new Worker(new URL('../../workers/weather-run.worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<RunAnswer>) => {
      const { asked, next, number } = state.current;
      // Of other weather than is shown now: an answer that comes late.
      if (data.number === number && asked && data.run) setRan({ run: data.run, plan: asked.plan });
      state.current = { number };
      setAnswered(true);
      if (next) send(own, state.current, next);
      else setBusy(false);
    };
    worker.current = own;
    return () => {
      own.terminate();
      worker.current = undefined;
      state.current = { number: state.current.number };
    };
  }, []);
  const key = 'year' in when ? when.year : when.startMs;
  // biome-ignore lint/correctness/useExhaustiveDependencies: `when` is one number, its key
  useEffect(() => {
    if (!weather || !worker.current) return;
    setBusy(true);
    const question = { plan, weather, when };
    if (state.current.asked) state.current.next = question;
    else send(worker.current, state.current, question);
  }, [plan, weather, key]);
  return { ran: weather ? ran : undefined, busy, answered };
}

function send(
  worker: Worker,
  state: { number: number; asked?: Omit<RunQuestion, 'number'>; next?: Omit<RunQuestion, 'number'> | undefined },
  question: Omit<RunQuestion, 'number'>,
): void {
  state.number++;
  state.asked = question;
  state.next = undefined;
  worker.postMessage({ number: state.number, ...question } satisfies RunQuestion);
}
