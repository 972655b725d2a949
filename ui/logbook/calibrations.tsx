'use client';

import { fieldsOf } from '@/core/equipment/index';
import type { Calibration } from '@/core/log/calibrate';
import { setParameter } from '@/core/plan/edit';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

/** What the log would make of the plan’s numbers: before and after, taken over on the person’s word, undone at will. */
export function Calibrations({ all }: { all: readonly Calibration[] }) {
  const { plan, edit } = usePlan();
  const { say } = useUnits();
  const now = (c: Calibration): number | undefined => {
    const own: Readonly<Record<string, unknown>> = stageById(plan, c.stageId)?.parameters ?? {};
    const value = own[c.field];
    return typeof value === 'number' ? value : undefined;
  };
  const open = all.filter((c) => now(c) === c.from); // what was taken over, or changed by hand, is settled
  if (open.length === 0) return null;
  return (
    <section aria-label="Calibration" className="grid gap-2">
      <h2>Calibration from the log</h2>
      <ul>
        {open.map((c) => {
          const stage = stageById(plan, c.stageId);
          const meta = stage && fieldsOf(stage.kind).find(([f]) => f === c.field)?.[1];
          const words = (si: number): string => (meta?.quantity ? say(si, meta.quantity) : String(si));
          return (
            <li key={`${c.stageId}${c.field}`} className="border-t border-hairline py-2 text-[0.92rem]">
              <p>
                <strong>{stage?.name}</strong>, {meta?.label.toLowerCase()}: {words(c.from)} →{' '}
                <strong>{words(c.to)}</strong>
              </p>
              <p className="text-quiet">
                From {c.entries} entries that lie {say(c.scatter, 'share')} apart. If it drifted, correct it first: a
                plan that is taught a fault expects it.
              </p>
              <button
                type="button"
                className="button mt-1"
                onClick={() => edit((p) => setParameter(p, c.stageId, c.field, c.to))}
              >
                Use it<span className="sr-only">: {stage?.name}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
