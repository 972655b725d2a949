import { useCallback } from 'react';
import type { TickName } from '@/core/plan/fit-fields';
import { usePlan } from '@/ui/plan/plan-provider';

/** What of the bill and of the assembly is ticked, and how to tick it. */
export function useTicks() {
  const { plan, edit } = usePlan();
  const tick = useCallback(
    (rows: readonly { readonly key: string; readonly count: number }[], as: TickName | undefined) =>
      edit((p) => {
        const keys = new Set(rows.map((r) => r.key));
        const rest = Object.entries(p.fitting.ticks).filter(([key]) => !keys.has(key));
        const own = as ? rows.map(({ key, count }) => [key, { as, count }] as const) : [];
        return { ...p, fitting: { ...p.fitting, ticks: Object.fromEntries([...rest, ...own]) } };
      }),
    [edit],
  );
  return { ticks: plan.fitting.ticks, tick };
}
