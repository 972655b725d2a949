'use client';

import { useMemo } from 'react';
import type { YearFrom } from '@/core/maintenance/due-on';
import type { DueSources, LineYear } from '@/core/maintenance/line-year';
import { useIsVersion, usePlan } from '@/ui/plan/plan-provider';
import { useClimateWeather } from '@/ui/water/use-climate-weather';
import { useAnswer } from '@/ui/worker/use-answer';

const start = (): Worker =>
  new Worker(new URL('../../workers/line-year.worker.ts', import.meta.url), { type: 'module' });

/**
 * The year of the line on screen: as the server has calculated it today, else calculated here. Where the weather cannot be
 * had, that of an earlier day stands.
 */
export function useLineYear(
  { log: { charges, beads }, year: given, rowVersion }: DueSources,
  now: string,
): { year: LineYear | undefined; ready: boolean } {
  const { plan } = usePlan();
  const isOfThis = useIsVersion(rowVersion);
  const known = isOfThis ? given : undefined;
  const isOfToday = known?.at.slice(0, 10) === now.slice(0, 10);
  const { weather, fetching, problem } = useClimateWeather(isOfToday ? undefined : plan);
  const wait = isOfToday || fetching || (problem !== undefined && known !== undefined);
  const hour = now.slice(0, 13); // the minutes do not matter to a date
  // biome-ignore lint/correctness/useExhaustiveDependencies: `now` counts by its hour
  const question = useMemo(
    () => (wait ? undefined : { plan, log: { charges, beads }, weather, now }),
    [wait, plan, charges, beads, weather, hour],
  );
  const { answered, busy } = useAnswer<YearFrom, LineYear>(start, question);
  const own = isOfToday ? undefined : answered?.answer;
  return { year: own ?? known ?? given, ready: known !== undefined || !(fetching || busy) };
}
