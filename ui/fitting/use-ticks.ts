import { useCallback } from 'react';
import type { TickName } from '@/core/plan/fit-fields';
import { usePlan } from '@/ui/plan/plan-provider';

interface Row {
  readonly key: string;
  readonly count: number;
  /** What it is called, so that it is known once the line needs it no more. */
  readonly label?: string;
}

/** What of the bill and of the assembly is ticked, and how to tick it. */
export function useTicks() {
  const { plan, edit } = usePlan();
  const tick = useCallback(
    (rows: readonly Row[], as: TickName | undefined) =>
      edit((p) => {
        const keys = new Set(rows.map((r) => r.key));
        const rest = Object.entries(p.fitting.ticks).filter(([key]) => !keys.has(key));
        const own = as
          ? rows.map(({ key, count, label }) => [key, { as, count, ...(label && { label }) }] as const)
          : [];
        return { ...p, fitting: { ...p.fitting, ticks: Object.fromEntries([...rest, ...own]) } };
      }),
    [edit],
  );
  return { ticks: plan.fitting.ticks, tick };
}
