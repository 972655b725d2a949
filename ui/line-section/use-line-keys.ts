'use client';

import { useEffect } from 'react';
import { moveStage } from '@/core/plan/edit';
import { moveUnit } from '@/core/plan/machine-units';
import type { Stage, Unit } from '@/core/plan/plan';
import { type Run, runsOf } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { isTyping } from '@/ui/shell/shortcuts';
import type { Cell } from './rows';

/** Arrows choose along the run and from run to run; brackets move what is chosen, a stage or a unit. */
export function useLineKeys({
  selectedId,
  run,
  index,
  cells,
  stage,
  unit,
  select,
}: {
  selectedId: string;
  run: Run | undefined;
  /** Place in its run of the chosen stage, or of the last of the chosen unit. */
  index: number;
  cells: readonly Cell[];
  stage: Stage | undefined;
  unit: Unit | undefined;
  select: (id: string | undefined) => void;
}): void {
  const { plan, edit } = usePlan();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const along = { ArrowRight: 1, ']': 1, ArrowLeft: -1, '[': -1 }[event.key];
      const across = { ArrowDown: 1, ArrowUp: -1 }[event.key];
      if (across !== undefined && plan.branches.length > 0) {
        const runs = runsOf(plan);
        const other = runs[runs.findIndex((r) => r.id === run?.id) + across];
        if (!other) return;
        event.preventDefault();
        select(other.stages[Math.min(Math.max(0, index), other.stages.length - 1)]?.id ?? other.id);
      } else if (along !== undefined && run && index >= 0) {
        event.preventDefault();
        const at = cells.findIndex((c) => c.id === selectedId || c.stage.id === run.stages[index]?.id);
        if (event.key.startsWith('Arrow')) select(cells[Math.min(cells.length - 1, Math.max(0, at + along))]?.id);
        else if (stage) edit((p) => moveStage(p, stage.id, index + along));
        else if (unit)
          edit((p) => moveUnit(p, unit.id, run.stages.findIndex((s) => s.unit === unit.id) + along, run.id));
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
