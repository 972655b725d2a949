'use client';

import { Printer } from 'lucide-react';
import type { DueSources } from '@/core/maintenance/line-year';
import { usePlan } from '@/ui/plan/plan-provider';
import { useDue } from '../due/use-due';
import { IntervalWords, TaskDetail } from '../today/task-detail';

/** Every task as a card to hang at its point. */
export function CardsView(due: DueSources) {
  const { plan } = usePlan();
  const { tasks } = useDue(due);
  return (
    <div className="grid gap-4 p-4">
      <div className="no-print flex flex-wrap items-center gap-3">
        <h1>Cards</h1>
        <button type="button" className="button button-strong" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
        <p className="text-quiet">{tasks.length} tasks, four to a page or so.</p>
      </div>
      <div className="grid gap-4 md:grid-cols-2 print:grid-cols-2">
        {tasks.map((t) => (
          <article
            key={t.key}
            className="grid content-start gap-2 rounded-md border border-hairline bg-card p-4 print:break-inside-avoid"
          >
            <header>
              <h2>
                {t.stage.name} · {t.task.does}
              </h2>
              <p className="text-[0.88rem]">
                {t.task.id} · <IntervalWords task={t} />
              </p>
              <p className="text-[0.82rem] text-quiet">{plan.survey.shop}</p>
            </header>
            <TaskDetail task={t} />
          </article>
        ))}
      </div>
    </div>
  );
}
