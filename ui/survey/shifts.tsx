'use client';

import { Plus } from 'lucide-react';
import { withSurvey } from '@/core/plan/edit';
import type { Working } from '@/core/plan/survey';
import { usePlan } from '@/ui/plan/plan-provider';
import { Weekdays } from './weekdays';

const MOST = 6;

export const asTime = (hours: number): string =>
  `${String(Math.floor(hours) % 24).padStart(2, '0')}:${String(Math.round((hours % 1) * 60)).padStart(2, '0')}`;
export const asHours = (time: string): number => Number(time.slice(0, 2)) + Number(time.slice(3)) / 60;

type Shift = NonNullable<Working['shifts']>[number];

/** Further shifts, on other days or at other hours; one may go on after midnight. */
export function Shifts() {
  const { plan, edit } = usePlan();
  const { working } = plan.survey;
  const shifts = working.shifts ?? [];
  const set = (next: Shift[], key?: string): void =>
    edit((p) => withSurvey(p, { ...p.survey, working: { ...p.survey.working, shifts: next } }), key);
  const change = (i: number, to: Partial<Shift>): void =>
    set(
      shifts.map((s, k) => (k === i ? { ...s, ...to } : s)),
      `shift.${i}`,
    );
  return (
    <div className="grid gap-3">
      {shifts.map((shift, i) => (
        <fieldset
          // biome-ignore lint/suspicious/noArrayIndexKey: shifts have no other name than their place
          key={i}
          className="grid gap-2 border-l-2 border-hairline pl-3"
        >
          <legend className="float-left font-medium">Shift {i + 2}</legend>
          <div>
            <Weekdays label={`Days of shift ${i + 2}`} days={shift.days} onDays={(days) => change(i, { days })} />
          </div>
          <div className="flex flex-wrap items-end gap-3">
            {(['startsAtH', 'endsAtH'] as const).map((field) => (
              <label key={field} className="grid gap-0.5 text-[0.9rem] font-medium">
                {field === 'startsAtH' ? 'From' : 'To'}
                <input
                  type="time"
                  className="control"
                  value={asTime(shift[field])}
                  onChange={(e) => e.target.value && change(i, { [field]: asHours(e.target.value) })}
                />
              </label>
            ))}
            <button type="button" className="button" onClick={() => set(shifts.toSpliced(i, 1))}>
              Remove<span className="sr-only"> shift {i + 2}</span>
            </button>
          </div>
          {shift.endsAtH <= shift.startsAtH && <p className="text-[0.85rem] text-quiet">It goes on after midnight.</p>}
        </fieldset>
      ))}
      {shifts.length < MOST && (
        <div>
          <button
            type="button"
            className="button"
            onClick={() => set([...shifts, { days: working.days, startsAtH: 14, endsAtH: 22 }])}
          >
            <Plus size={15} aria-hidden /> Another shift
          </button>
        </div>
      )}
    </div>
  );
}
