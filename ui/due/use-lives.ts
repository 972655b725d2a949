'use client';

import { useMemo } from 'react';
import type { Charge } from '@/core/log/charge';
import type { LifeEntry } from '@/core/log/log-entry';
import type { PlaceLife } from '@/core/maintenance/charge-lives';
import { usePlan } from '@/ui/plan/plan-provider';
import { nowOnTheWall } from '@/ui/units/when';
import { useClimateWeather } from '@/ui/water/use-climate-weather';
import { useAnswer } from '@/ui/worker/use-answer';
import type { ChargesQuestion } from '@/workers/charges.worker';

const start = (): Worker => new Worker(new URL('../../workers/charges.worker.ts', import.meta.url), { type: 'module' });

/** The places with beads and what is known of them, anew with each entry. */
export function useLives(
  charges: readonly Charge[],
  entries: readonly LifeEntry[],
  now: string,
): { lives: readonly PlaceLife[] | undefined; problem: string | undefined; busy: boolean } {
  const { plan } = usePlan();
  const { weather, fetching } = useClimateWeather(plan);
  const hour = now.slice(0, 13); // the minutes do not matter to a date
  // biome-ignore lint/correctness/useExhaustiveDependencies: `now` counts by its hour; what was logged just now counts
  const question = useMemo(
    () => (fetching ? undefined : { plan, weather, charges, entries, now: nowOnTheWall() }),
    [plan, weather, fetching, charges, entries, hour],
  );
  const { answered, busy } = useAnswer<ChargesQuestion, readonly PlaceLife[] | undefined>(start, question);
  return { lives: answered?.answer, problem: answered?.problem, busy: fetching || busy };
}
