import { useCallback } from 'react';
import type { Tick } from '@/core/plan/fit-fields';
import { usePlan } from '@/ui/plan/plan-provider';

/** What of the bill and of the assembly is ticked, and how to tick it. */
export function useTicks() {
  const { plan, edit } = usePlan();
  const tick = useCallback(
    (key: string, as: Tick | undefined) =>
      edit((p) => {
        const { [key]: _, ...rest } = p.fitting.ticks;
        return { ...p, fitting: { ...p.fitting, ticks: as ? { ...rest, [key]: as } : rest } };
      }),
    [edit],
  );
  return { ticks: plan.fitting.ticks, tick };
}
