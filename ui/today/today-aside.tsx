'use client';

import { addDays, format } from 'date-fns';
import { useMemo } from 'react';
import { SHOWS } from '@/core/diagnosis/finding/shows';
import { findingsOf } from '@/core/diagnosis/findings';
import { driftsOf } from '@/core/maintenance/drifting';
import type { ChargeEnd } from '@/core/maintenance/line-year';
import type { LogSummary } from '@/core/maintenance/log-summary';
import type { Round } from '@/core/maintenance/rounds';
import { sayText } from '@/core/quantity/say-text';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';

export function Rounds({ rounds }: { rounds: readonly Round[] }) {
  const { planId } = usePlan();
  if (rounds.length === 0) return null;
  return (
    <section aria-label="Rounds" className="grid gap-3">
      {rounds.map((r) => (
        <div key={r.id} className="rounded-md border border-hairline bg-card p-3">
          <h2>{r.name}</h2>
          <p className="text-quiet">
            {r.tasks.length} {r.tasks.length === 1 ? 'task' : 'tasks'}, about {r.minutes} min
            {r.who && ` · ${r.who}`}
          </p>
          <p className="mt-1 text-[0.9rem]">{[...new Set(r.tasks.map((t) => t.stage.name))].join(', ')}</p>
          <Link href={`/lines/${planId}/rounds/go?round=${r.id}`} className="button button-strong mt-2 w-full">
            {r.id === 'round' ? 'Start the round' : 'Start the shutdown'}
          </Link>
        </div>
      ))}
    </section>
  );
}

const FAR_DAYS = 540;

/** The charges of beads that are in, and when each is spent. */
export function ChargesAside({ lives, now }: { lives: readonly ChargeEnd[]; now: string }) {
  const { planId } = usePlan();
  if (lives.length === 0) return null;
  const says = (l: ChargeEnd): string => {
    const days = l.change?.days[1];
    if (l.state === 'empty') return 'no charge recorded';
    if (l.spentOn) return `exhausted about ${format(new Date(l.spentOn), 'd MMM')}`;
    return days !== undefined && days < FAR_DAYS
      ? `change it about ${format(addDays(new Date(now), days), 'd MMM')}`
      : 'more than a year left';
  };
  return (
    <section aria-label="Desiccant">
      <h2 className="mb-1">
        <Link href={`/lines/${planId}/charges`} className="text-water underline underline-offset-4">
          Desiccant
        </Link>
      </h2>
      <ul>
        {lives.map((l) => (
          <li key={l.stageId} className="border-t border-hairline py-2">
            <p className={l.state === 'overdue' ? 'font-semibold text-brick' : 'font-semibold'}>
              {l.state === 'overdue' && '▲ '}
              {l.name}
            </p>
            <p className="text-[0.9rem]">{says(l)}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What the log has noticed: drift, and readings outside their band. */
export function Drifting({ log }: { log: LogSummary }) {
  const { plan, planId } = usePlan();
  const drifts = useMemo(() => driftsOf(plan, log.series), [plan, log]);
  const findings = useMemo(() => log.newest.flatMap((e) => findingsOf(plan, e)).slice(0, 6), [plan, log]);
  const { say } = useUnits();
  if (drifts.length === 0 && findings.length === 0) return null;
  return (
    <section aria-label="Drifting">
      <h2 className="mb-1">Drift found in the log</h2>
      <ul>
        {drifts.map((d) => (
          <li key={d.title} className="border-t border-hairline py-2">
            <Link
              href={`/lines/${planId}/logbook?point=${d.stageId}`}
              className="font-semibold text-amber underline underline-offset-4"
            >
              ◆ {d.title}
            </Link>
            <p className="text-[0.9rem]">{d.drift.says}</p>
          </li>
        ))}
        {findings.map((f) => (
          <li key={`${f.entryId}${f.title}`} className="border-t border-hairline py-2">
            <p className="font-semibold text-brick">▲ {f.title}</p>
            {f.symptom?.causes[0] && !(f.symptom.id in SHOWS) && (
              <p className="text-[0.9rem]">
                First: {f.symptom.causes[0].title.toLowerCase()}?{' '}
                <span className="text-quiet">{sayText(f.symptom.causes[0].check, say)}</span>
              </p>
            )}
            {f.symptom && (
              <Link
                href={`/lines/${planId}/find?complaint=${f.symptom.id}&at=${encodeURIComponent(f.stageId)}`}
                className="inline-block min-h-target text-water underline underline-offset-4"
              >
                Find the fault
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
