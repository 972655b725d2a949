'use client';

import { sayIn as said } from '@/core/advice/rule';
import type { DueTask } from '@/core/maintenance/due';
import { sayInterval } from '@/core/maintenance/interval';
import { ISOLATION } from '@/core/maintenance/task';
import { Cautions } from '@/ui/primitives/cautions';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '@/ui/units/when';

/** How often, and why so. */
export function IntervalWords({ task }: { task: DueTask }) {
  const { say } = useUnits();
  const { interval } = task;
  return (
    <span>
      {sayInterval(interval.days)}
      {interval.pinned && ', pinned'}
      {task.task.legal && ' · set by local law: ask a competent inspector'}
      {interval.why.length > 0 && (
        <span className="text-quiet"> · {interval.why.map((w) => said(w, say)).join(' ')}</span>
      )}
    </span>
  );
}

/** A task with its steps: cautions first, then the isolation, the steps, what is good. */
export function TaskDetail({ task: { task, times, last } }: { task: DueTask }) {
  return (
    <div className="grid gap-3 text-[0.92rem]">
      {task.cautions.length > 0 && <Cautions ids={task.cautions} />}
      {task.isolates && (
        // Never in a fold: a closed one would be missing on paper.
        <div>
          <p className="font-semibold">First: isolate, vent, verify zero energy</p>
          <ol className="mt-1 list-decimal pl-5">
            {ISOLATION.map((s) => (
              <li key={s}>
                <InUnits text={s} />
              </li>
            ))}
          </ol>
        </div>
      )}
      <ol className="list-decimal pl-5">
        {task.steps.map((s) => {
          const says = typeof s === 'string' ? s : s.says;
          return (
            <li key={says}>
              <InUnits text={says} />
            </li>
          );
        })}
      </ol>
      <dl className="grid grid-cols-[5.5rem_1fr] gap-x-3 gap-y-0.5">
        <dt className="text-quiet">Good</dt>
        <dd>
          <InUnits text={task.accept} />
        </dd>
        <dt className="text-quiet">If not</dt>
        <dd>
          <InUnits text={task.abnormal} />
        </dd>
        <dt className="text-quiet">Needs</dt>
        <dd>
          <InUnits text={task.tools} /> · {task.minutes} min
        </dd>
        <dt className="text-quiet">Logged</dt>
        <dd>
          {last ? `last ${sayTime(last)}` : 'never'}
          {times !== undefined && `, ${times} ${times === 1 ? 'time' : 'times'}`}
        </dd>
        <dt className="text-quiet">From</dt>
        <dd>{task.source}</dd>
      </dl>
    </div>
  );
}
