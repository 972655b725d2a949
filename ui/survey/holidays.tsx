'use client';

import { useState } from 'react';
import { withSurvey } from '@/core/plan/edit';
import { MONTHS } from '@/core/year/calendar';
import { usePlan } from '@/ui/plan/plan-provider';

/** Days of every year on which nobody works. */
export function Holidays() {
  const { plan, edit } = usePlan();
  const { working } = plan.survey;
  const holidays = working.holidays ?? [];
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [error, setError] = useState<string>();
  const set = (next: typeof holidays): void =>
    edit((p) => withSurvey(p, { ...p.survey, working: { ...p.survey.working, holidays: next } }));
  const words = (monthDay: string): string =>
    `${Number(monthDay.slice(3))} ${MONTHS[Number(monthDay.slice(0, 2)) - 1]}`;
  const add = (): undefined => {
    if (!from) return void setError('Say on which day it begins.');
    const last = to || from;
    if (last < from) return void setError('It ends before it begins.');
    if (holidays.length >= 40) return void setError('At most 40.');
    set([...holidays, { from: from.slice(5), to: last.slice(5) }]);
    setFrom('');
    setTo('');
    setError(undefined);
  };
  return (
    <section className="grid gap-2" aria-label="Holidays">
      <p className="font-medium">
        Nobody works on{' '}
        <span className="font-normal text-quiet">besides the days off of the week; each year again</span>
      </p>
      <ul className="flex flex-wrap gap-2">
        {holidays.map((h, i) => (
          <li key={`${h.from}${h.to}`}>
            <button type="button" className="button" onClick={() => set(holidays.toSpliced(i, 1))}>
              {words(h.from)}
              {h.to !== h.from && ` to ${words(h.to)}`}
              <span aria-hidden> ×</span>
              <span className="sr-only">, take away</span>
            </button>
          </li>
        ))}
        {holidays.length === 0 && <li className="text-quiet">None.</li>}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid gap-0.5 text-[0.9rem] font-medium">
          First day
          <input type="date" className="control" value={from} onChange={(e) => setFrom(e.target.value)} />
        </label>
        <label className="grid gap-0.5 text-[0.9rem] font-medium">
          Last day
          <input type="date" className="control" value={to} onChange={(e) => setTo(e.target.value)} />
        </label>
        <button type="button" className="button" onClick={add}>
          Add
        </button>
      </div>
      {error && (
        <p role="alert" className="text-brick">
          {error}
        </p>
      )}
    </section>
  );
}
