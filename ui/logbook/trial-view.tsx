'use client';

import { Printer } from 'lucide-react';
import { parseAsInteger, parseAsString, useQueryStates } from 'nuqs';
import { useState } from 'react';
import { ENTRY_KINDS, type LoggedEntry } from '@/core/log/log-entry';
import { READINGS } from '@/core/log/readings';
import { siteTimeMs } from '@/core/log/site-clock';
import type { TrialRow } from '@/core/log/trial';
import { taskById } from '@/core/maintenance/tasks';
import { Field, tied } from '@/ui/forms/field';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '../units/when';
import { LogTabs } from './log-tabs';

const TRIAL_DAYS = [3, 7, 14, 30, 90];

interface Trial {
  readonly at: string;
  readonly days: number;
  readonly rows: readonly TrialRow[];
  /** What was done meanwhile. */
  readonly between: readonly LoggedEntry[];
}

/** Before and after: the readings of some days on each side of a change, to print and to show. */
export function TrialView({ at, days, rows, between }: Trial) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const [, ask] = useQueryStates({ at: parseAsString, days: parseAsInteger }, { shallow: false });
  const [typed, type] = useState(at);
  const error = Number.isFinite(siteTimeMs(typed)) ? undefined : 'Not a date and time.';
  return (
    <div className="mx-auto grid max-w-[1000px] gap-5 p-4">
      <div className="no-print flex flex-wrap items-center gap-4">
        <h1>Logbook</h1>
        <LogTabs />
        <button type="button" className="button ml-auto" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
      </div>
      <div className="no-print grid max-w-xl grid-cols-2 gap-3">
        <Field id="trial-at" label="Changed at" error={error}>
          <input
            {...tied('trial-at', error)}
            type="datetime-local"
            className="control"
            value={typed}
            onChange={(e) => {
              type(e.target.value);
              if (Number.isFinite(siteTimeMs(e.target.value))) void ask({ at: e.target.value });
            }}
          />
        </Field>
        <Field id="trial-days" label="Days on each side">
          <select
            {...tied('trial-days', undefined)}
            className="control"
            value={days}
            onChange={(e) => void ask({ days: Number(e.target.value) })}
          >
            {TRIAL_DAYS.map((d) => (
              <option key={d} value={d}>
                {d}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <article className="grid gap-3 rounded-md border border-hairline bg-card p-5 print:border-0 print:p-0">
        <header>
          <h2 className="text-[1.3rem]">Before and after · {plan.survey.shop}</h2>
          <p className="text-quiet">
            {plan.name} · {days} days on each side of {sayTime(at)}
          </p>
        </header>
        {rows.length === 0 ? (
          <p>
            There is nothing to compare: take the same readings for some days before a change and for some days after
            it, at the same load.
          </p>
        ) : (
          <table className="w-full text-[0.92rem]">
            <thead className="text-left text-[0.8rem] text-quiet">
              <tr>
                <th className="py-1 pr-3 font-medium">Point</th>
                <th className="pr-3 font-medium">Reading</th>
                <th className="pr-3 text-right font-medium">Before</th>
                <th className="pr-3 text-right font-medium">After</th>
                <th className="font-medium">So</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => {
                const { label, quantity } = READINGS[r.of];
                return (
                  <tr key={`${r.stageId}${r.of}`} className="border-t border-hairline">
                    <th className="py-1.5 pr-3 text-left font-semibold">{r.stageName}</th>
                    <td className="pr-3">{label}</td>
                    <td className="pr-3 text-right">
                      {say(r.before.mean, quantity)} <span className="text-quiet">({r.before.count})</span>
                    </td>
                    <td className="pr-3 text-right">
                      {say(r.after.mean, quantity)} <span className="text-quiet">({r.after.count})</span>
                    </td>
                    <td className={r.parts ? 'font-semibold' : 'text-quiet'}>
                      {r.parts
                        ? r.after.mean > r.before.mean
                          ? 'more than it scatters'
                          : 'less than it scatters'
                        : 'within the scatter'}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        )}
        {between.length > 0 && (
          <section>
            <h3 className="eyebrow">What was done meanwhile</h3>
            <ul className="text-[0.92rem]">
              {between.map((e) => (
                <li key={e.id}>
                  {sayTime(e.measuredAt)} · {e.stageName}: {taskById(e.task ?? '')?.does ?? ENTRY_KINDS[e.kind]}{' '}
                  {e.what}
                </li>
              ))}
            </ul>
          </section>
        )}
        <p className="text-[0.82rem] text-quiet">
          Means, with the number of readings. “More than it scatters”: over two standard errors apart.
        </p>
      </article>
    </div>
  );
}
