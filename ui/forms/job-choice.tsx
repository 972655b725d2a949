'use client';

import { JOBS, type JobId, setJob } from '@/core/plan/jobs';
import { usePlan } from '@/ui/plan/plan-provider';

/** Sets an outlet to a usual job in one step of undo; every number may be changed afterwards. */
export function JobChoice({ stageId }: { stageId: string }) {
  const { edit } = usePlan();
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <label className="font-medium" htmlFor={`${stageId}-usual`}>
        Start from a usual job
      </label>
      <select
        id={`${stageId}-usual`}
        className="control w-auto"
        value=""
        onChange={(e) => edit((p) => setJob(p, stageId, e.target.value as JobId))}
      >
        <option value="" disabled>
          choose …
        </option>
        {Object.entries(JOBS).map(([id, { label }]) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </select>
      <span className="text-[0.85rem] text-quiet">
        typical, common practice; the tool’s data sheet takes precedence
      </span>
    </p>
  );
}
