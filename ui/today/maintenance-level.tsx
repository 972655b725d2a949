'use client';

import { useMemo } from 'react';
import type { MaintenanceFacts } from '@/core/maintenance/facts';
import { drainsToAutomate, minutesPerWeek } from '@/core/maintenance/line-tasks';
import { setParameter } from '@/core/plan/edit';
import { LEVELS, type Level } from '@/core/plan/maintenance-settings';
import { spell } from '@/core/quantity/spell';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

/** How much of the routine is done, with what each level takes. */
export function MaintenanceLevel({ facts }: { facts: MaintenanceFacts }) {
  const { plan, edit } = usePlan();
  const { number } = useUnits();
  const inTime = (minutes: number): string =>
    minutes < 90 ? `${Math.round(minutes)} min a week` : `${number(minutes / 60, 1)} h a week`;
  const levels = useMemo(
    () => (Object.keys(LEVELS) as Level[]).map((level) => ({ level, minutes: minutesPerWeek(facts, level) })),
    [facts],
  );
  return (
    <div className="flex flex-wrap items-center gap-2">
      <label htmlFor="routine-level" className="text-quiet">
        Routine
      </label>
      <select
        id="routine-level"
        className="control w-auto"
        value={plan.routine.level}
        onChange={(e) => {
          const level = e.target.value as Level;
          edit((p) => ({ ...p, routine: { ...p.routine, level } }), 'routine-level');
        }}
      >
        {levels.map(({ level, minutes }) => (
          <option key={level} value={level}>
            {level} · {inTime(minutes)}
          </option>
        ))}
      </select>
    </div>
  );
}

/** Drains that nobody can open as often as their water comes: each with a button instead of a task. */
export function DrainsToAutomate({ facts }: { facts: MaintenanceFacts }) {
  const { edit } = usePlan();
  const drains = useMemo(() => drainsToAutomate(facts), [facts]);
  if (drains.length === 0) return null;
  return (
    <section aria-label="Needs an automatic drain" className="rounded-md border border-hairline bg-card p-4">
      <h2>Needs an automatic drain</h2>
      <p className="text-quiet">These would need draining so often that manual draining is not practical.</p>
      <ul className="mt-1">
        {drains.map(({ stage, interval }) => (
          <li key={stage.id} className="flex flex-wrap items-center gap-3 border-t border-hairline py-2">
            <span>
              <strong>{stage.name}</strong>: every {spell(interval.days * 86_400)} by hand
            </span>
            <button
              type="button"
              className="button ml-auto"
              onClick={() => edit((p) => setParameter(p, stage.id, 'drain', 'float'))}
            >
              Fit a float drain<span className="sr-only"> to {stage.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
