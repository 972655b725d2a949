'use client';

import { Printer } from 'lucide-react';
import { useMemo } from 'react';
import { CAUTIONS } from '@/core/equipment/shared/cautions';
import { siteTimeMs } from '@/core/log/site-clock';
import { sayInterval } from '@/core/maintenance/interval';
import type { DueSources } from '@/core/maintenance/line-year';
import { roundsOf } from '@/core/maintenance/rounds';
import { dayOfYear, sayDay } from '@/core/year/calendar';
import { usePlan } from '@/ui/plan/plan-provider';
import { QrCode, useAddress } from '@/ui/primitives/qr-code';
import { InUnits } from '@/ui/units/in-units';
import { useDue } from '../due/use-due';

/** The round on one page, with a code at each point that opens its form. */
export function SheetView({ address, ...due }: DueSources & { address: string | undefined }) {
  const origin = useAddress(address);
  const { plan, planId } = usePlan();
  const { tasks, now } = useDue(due);
  const round = useMemo(() => roundsOf(plan, tasks, siteTimeMs(now)).find((r) => r.id === 'round'), [plan, tasks, now]);
  const points = useMemo(() => {
    const all = round?.tasks ?? tasks.filter((t) => t.interval.days < 10 && !t.task.isolates);
    const by = new Map<string, typeof all>();
    for (const t of all) by.set(t.stage.id, [...(by.get(t.stage.id) ?? []), t]);
    return [...by.values()];
  }, [round, tasks]);
  const nowMs = siteTimeMs(now);
  return (
    <div className="grid gap-4 p-4">
      <div className="no-print flex flex-wrap items-center gap-3">
        <h1>Round sheet</h1>
        <button type="button" className="button button-strong" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
        <p className="text-quiet">On A4 or Letter; hold the phone’s camera over a code and its form opens.</p>
      </div>
      <article className="grid gap-3 rounded-md border border-hairline bg-card p-5 print:border-0 print:p-0">
        <header className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-[1.3rem]">Round · {plan.survey.shop}</h2>
          <p className="text-quiet">
            {plan.name} · {sayDay(dayOfYear(nowMs))} {now.slice(0, 4)} · {plan.routine.rounds || 'who: ________'}
          </p>
        </header>
        <ol className="grid">
          {points.map((own, i) => {
            const stage = own[0]?.stage;
            return stage ? (
              <li
                key={stage.id}
                className="grid grid-cols-[1.6rem_1fr_6rem_5.5rem] items-center gap-3 border-t border-hairline py-2"
              >
                <span className="font-semibold text-quiet">{i + 1}</span>
                <div>
                  <p className="font-semibold">{stage.name}</p>
                  {own.map((t) => (
                    <p key={t.key} className="text-[0.88rem]">
                      {t.task.does}{' '}
                      <span className="text-quiet">
                        · {sayInterval(t.interval.days)} · good: <InUnits text={t.task.accept} />
                      </span>
                    </p>
                  ))}
                </div>
                <span className="h-8 border-b border-dotted border-edge" />
                <QrCode
                  of={origin && `${origin}/lines/${planId}/rounds/go?at=${encodeURIComponent(stage.id)}`}
                  alt={`Code that opens ${stage.name}`}
                  className="size-20"
                />
              </li>
            ) : null;
          })}
        </ol>
        <footer className="text-[0.82rem]">
          {['C36', 'C20', 'C07'].map((c) => (
            <p key={c}>
              ▲ <InUnits text={CAUTIONS[c]?.text ?? ''} />
            </p>
          ))}
        </footer>
      </article>
    </div>
  );
}
