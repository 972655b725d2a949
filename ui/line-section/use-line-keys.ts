'use client';

import { moveStage } from '@/core/plan/edit';
import { moveUnit } from '@/core/plan/machine-units';
import type { MachineUnit, Stage } from '@/core/plan/plan';
import { type Run, runsOf } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { useKeys } from '@/ui/shell/use-keys';
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
  unit: MachineUnit | undefined;
  select: (id: string | undefined) => void;
}): void {
  const { plan, edit } = usePlan();
  const chosen = (): number => cells.findIndex((c) => c.id === selectedId || c.stage.id === run?.stages[index]?.id);
  const along = (by: number) => (): void => {
    if (run && index >= 0) select(cells[Math.min(cells.length - 1, Math.max(0, chosen() + by))]?.id);
  };
  const across = (by: number) => (): void => {
    const runs = runsOf(plan);
    const other = runs[runs.findIndex((r) => r.id === run?.id) + by];
    if (other) select(other.stages[Math.min(Math.max(0, index), other.stages.length - 1)]?.id ?? other.id);
  };
  const move = (by: number) => (): void => {
    if (!run || index < 0) return;
    if (stage) edit((p) => moveStage(p, stage.id, index + by));
    else if (unit) edit((p) => moveUnit(p, unit.id, run.stages.findIndex((s) => s.unit === unit.id) + by, run.id));
  };
  useKeys({
    back: along(-1),
    on: along(1),
    moveBack: move(-1),
    moveOn: move(1),
    // On a line without branches the arrows scroll the page.
    ...(plan.branches.length > 0 && { runAbove: across(-1), runBelow: across(1) }),
  });
}
