'use client';

import { useEffect, useRef, useState } from 'react';
import type { Charge } from '@/core/log/charge';
import type { LifeEntry } from '@/core/log/log-entry';
import { usePlan } from '@/ui/plan/plan-provider';
import { nowOnTheWall } from '@/ui/units/when';
import { useClimateWeather } from '@/ui/water/use-climate-weather';
import type { ChargesAnswer, ChargesQuestion } from '@/workers/charges.worker';

/** The places with beads and what is known of them, worked out beside the page, anew with each entry. */
export function useLives(
  charges: readonly Charge[],
  entries: readonly LifeEntry[],
  now: string,
): { answer: ChargesAnswer | undefined; busy: boolean } {
  const { plan } = usePlan();
  const { weather, fetching } = useClimateWeather(plan);
  const [answer, setAnswer] = useState<ChargesAnswer>();
  const [asked, setAsked] = useState(0);
  const worker = useRef<Worker>(undefined);
  const number = useRef(0);
  useEffect(() => {
    const own = new Worker(new URL('../../workers/charges.worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<ChargesAnswer>) => setAnswer(data);
    worker.current = own;
    return () => {
      own.terminate();
      worker.current = undefined;
    };
  }, []);
  const hour = now.slice(0, 13); // the minutes do not matter to a date
  // biome-ignore lint/correctness/useExhaustiveDependencies: `now` counts by its hour
  useEffect(() => {
    if (fetching || !worker.current) return;
    number.current++;
    setAsked(number.current);
    worker.current.postMessage({
      number: number.current,
      plan,
      weather,
      charges,
      entries,
      now: nowOnTheWall(), // what was logged just now counts
    } satisfies ChargesQuestion);
  }, [plan, weather, fetching, charges, entries, hour]);
  return { answer, busy: fetching || answer?.number !== asked };
}
