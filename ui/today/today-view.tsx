'use client';

import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { siteTimeMs } from '@/core/log/site-clock';
import type { DueState } from '@/core/maintenance/due';
import { hoursPerMonth } from '@/core/maintenance/line-tasks';
import type { DueSources } from '@/core/maintenance/line-year';
import { roundsOf } from '@/core/maintenance/rounds';
import { usePlan } from '@/ui/plan/plan-provider';
import { CalendarPart } from '@/ui/primitives/calendar-part';
import { Plain } from '@/ui/units/units';
import { useDue } from '../due/use-due';
import { useSender } from '../outbox/use-sender';
import { DrainsToAutomate, MaintenanceLevel } from './maintenance-level';
import { TaskRow } from './task-row';
import { ChargesAside, Drifting, Rounds } from './today-aside';

const GROUPS: readonly { readonly state: DueState; readonly title: string; readonly tone: string }[] = [
  { state: 'overdue', title: 'Overdue', tone: 'text-brick' },
  { state: 'due', title: 'Due today', tone: 'text-copper' },
  { state: 'soon', title: 'Within a week', tone: 'text-ink' },
  { state: 'postponed', title: 'Postponed', tone: 'text-quiet' },
];

/** What the line asks for today: what is overdue, due and soon, and what has drifted. */
export function TodayView(due: DueSources) {
  const { plan, planId, edit } = usePlan();
  const router = useRouter();
  const { facts, tasks, lives, now, ready } = useDue(due);
  const [shown, setShown] = useState(ready); // from then on a new calculation takes its place
  if (ready && !shown) setShown(true);
  const sender = useSender(() => router.refresh());
  const rounds = useMemo(() => roundsOf(plan, tasks, siteTimeMs(now)), [plan, tasks, now]);
  const begun = plan.routine.startedOn !== null;
  const later = tasks.filter((t) => t.state === 'later');
  return (
    <div className="mx-auto grid max-w-[1240px] items-start gap-x-8 gap-y-5 p-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="flex flex-wrap items-baseline gap-x-4 lg:col-span-2">
        <h1>Today</h1>
        <p className="text-quiet">
          {format(new Date(now), 'EEEE d MMMM')} · {tasks.length} tasks,{' '}
          <Plain value={hoursPerMonth(tasks)} decimals={1} /> h a month
        </p>
        <MaintenanceLevel facts={facts} />
        {sender.left > 0 && (
          <p className="ml-auto text-amber">◌ {sender.left} saved on this device, sent when online</p>
        )}
        {sender.refused && (
          <p role="alert" className="ml-auto text-brick">
            {sender.refused.message}
          </p>
        )}
      </div>
      <div className="grid min-w-0 gap-5">
        {!begun && (
          <section className="grid justify-items-start gap-2 rounded-md border border-hairline bg-card p-4">
            <h2>Maintenance has not started</h2>
            <p className="max-w-prose">
              From this line’s stages follow {tasks.length} tasks, each with how often and why. Start, and tasks never
              logged count from today: daily tasks at once, the others one interval from now.
            </p>
            <button
              type="button"
              className="button button-strong"
              onClick={() => edit((p) => ({ ...p, routine: { ...p.routine, startedOn: now.slice(0, 10) } }))}
            >
              Start today
            </button>
          </section>
        )}
        <DrainsToAutomate facts={facts} />
        {!shown && <p className="min-h-dvh text-quiet">Calculating what is due…</p>}
        {GROUPS.map(({ state, title, tone }) => {
          if (!shown) return null;
          const own = tasks.filter((t) => t.state === state);
          return own.length === 0 ? null : (
            <section key={state} aria-label={title}>
              <h2 className={tone}>
                {title} <span className="font-normal text-quiet">· {own.length}</span>
              </h2>
              <ul className="mt-1">
                {own.map((t) => (
                  <TaskRow key={t.key} task={t} now={now} put={sender.put} />
                ))}
              </ul>
            </section>
          );
        })}
        {shown && begun && tasks.every((t) => t.state === 'later' || t.state === 'postponed') && (
          <p className="text-water">● Nothing is due within a week.</p>
        )}
        {shown && later.length > 0 && (
          <details className="border-t border-hairline pt-3">
            <summary className="cursor-pointer font-semibold">Later · {later.length}</summary>
            <ul className="mt-1">
              {later.map((t) => (
                <TaskRow key={t.key} task={t} now={now} put={sender.put} />
              ))}
            </ul>
          </details>
        )}
      </div>
      {shown && (
        <aside className="grid gap-5">
          <Rounds rounds={rounds} />
          <ChargesAside lives={lives} now={now} />
          <Drifting log={due.log} />
          <CalendarPart feed={`/api/plans/${planId}/feed`} file={`/api/plans/${planId}/calendar`} />
        </aside>
      )}
    </div>
  );
}
