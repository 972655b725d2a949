'use client';

import { Download, Printer } from 'lucide-react';
import { useMemo } from 'react';
import { siteTimeMs } from '@/core/log/site-clock';
import { type DueTask, dueTime } from '@/core/maintenance/due';
import { tasksOfStages } from '@/core/maintenance/line-tasks';
import type { DueSources } from '@/core/maintenance/line-year';
import { roundsOf, routeOf } from '@/core/maintenance/rounds';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { SortableList } from '@/ui/primitives/sortable-list';
import { saveCsv } from '@/ui/water/data-table';
import { useDue } from '../due/use-due';

/** The rounds that are due, who does them, and the route. */
export function RoundsView(due: DueSources) {
  const { plan, planId, edit } = usePlan();
  const { tasks, now } = useDue(due);
  const rounds = useMemo(() => roundsOf(plan, tasks, siteTimeMs(now)), [plan, tasks, now]);
  const served = useMemo(() => new Set(tasksOfStages(plan).map((c) => c.stage.id)), [plan]);
  const way = routeOf(plan).filter((id) => served.has(id));
  const set = (field: 'rounds' | 'shutdowns') => (who: string) =>
    edit((p) => ({ ...p, routine: { ...p.routine, [field]: who } }), field);
  return (
    <div className="mx-auto grid max-w-[1080px] items-start gap-x-8 gap-y-5 p-4 lg:grid-cols-2">
      <div className="flex flex-wrap items-center gap-3 lg:col-span-2">
        <h1>Rounds</h1>
        <button type="button" className="button ml-auto" onClick={() => saveCsv(tableOf(tasks))}>
          <Download size={15} aria-hidden /> Routine as CSV
        </button>
        <Link href={`/lines/${planId}/rounds/cards`} className="button">
          <Printer size={15} aria-hidden /> Cards
        </Link>
        <Link href={`/lines/${planId}/rounds/sheet`} className="button">
          <Printer size={15} aria-hidden /> Round sheet
        </Link>
      </div>
      <section className="grid gap-3">
        {rounds.length === 0 && <p className="text-water">● Nothing is due. See Today for the next task.</p>}
        {rounds.map((r) => (
          <article key={r.id} className="rounded-md border border-hairline bg-card p-4">
            <h2>{r.name}</h2>
            <p className="text-quiet">
              {r.tasks.length} {r.tasks.length === 1 ? 'task' : 'tasks'}, about {r.minutes} min
            </p>
            <ol className="mt-2 grid list-decimal gap-0.5 pl-5 text-[0.92rem]">
              {r.tasks.map((t) => (
                <li key={t.key}>
                  <strong>{t.stage.name}</strong> · {t.task.does}
                </li>
              ))}
            </ol>
            <Link
              href={`/lines/${planId}/rounds/go?round=${r.id}`}
              className="button button-strong mt-3 min-h-12 w-full"
            >
              {r.id === 'round' ? 'Start the round' : 'Start the shutdown'}
            </Link>
          </article>
        ))}
        <div className="grid gap-3 sm:grid-cols-2">
          <Who id="who-rounds" label="Who goes on rounds" value={plan.routine.rounds} onWho={set('rounds')} />
          <Who id="who-shutdowns" label="Who does shutdowns" value={plan.routine.shutdowns} onWho={set('shutdowns')} />
        </div>
      </section>
      <section aria-label="Route">
        <h2>Route</h2>
        <p className="mb-2 text-[0.88rem] text-quiet">
          Drag the points into the order in which you walk; or lift one with space and move it with the arrows.
        </p>
        <SortableList
          id="way-round"
          items={way.map((id) => ({ id, name: stageById(plan, id)?.name ?? id }))}
          onOrder={(ids) => edit((p) => ({ ...p, routine: { ...p.routine, way: [...ids] } }))}
        />
      </section>
    </div>
  );
}

const tableOf = (tasks: readonly DueTask[]) => ({
  name: 'routine',
  columns: ['point', 'task', 'id', 'every, days', 'by', 'due', 'last done', 'minutes', 'shut down'],
  rows: tasks.map((t) => [
    t.stage.name,
    t.task.does,
    t.task.id,
    Number(t.interval.days.toPrecision(3)),
    t.interval.by,
    dueTime(t),
    t.last ?? '',
    t.task.minutes,
    t.task.isolates ? 'yes' : '',
  ]),
});

function Who({ id, label, value, onWho }: { id: string; label: string; value: string; onWho: (who: string) => void }) {
  return (
    <label className="grid gap-0.5 text-[0.9rem] font-medium" htmlFor={id}>
      {label}
      <input
        id={id}
        className="control font-normal"
        maxLength={60}
        value={value}
        onChange={(e) => onWho(e.target.value)}
      />
    </label>
  );
}
