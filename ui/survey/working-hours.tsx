'use client';

import { useState } from 'react';
import { withSurvey } from '@/core/plan/edit';
import type { Working } from '@/core/plan/survey';
import { Drag } from '@/ui/forms/drag';
import { Field, tied } from '@/ui/forms/field';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Holidays } from './holidays';
import { asHours, asTime, Shifts } from './shifts';
import { Weekdays } from './weekdays';

/** Days and hours worked, and how much of them the compressor runs loaded. */
export function WorkingHours() {
  const { plan, edit } = usePlan();
  const { working } = plan.survey;
  const [error, setError] = useState<string>();
  const set = (change: Partial<Working>, key?: string): undefined => {
    edit((p) => withSurvey(p, { ...p.survey, working: { ...p.survey.working, ...change } }), key);
  };
  const setHours = (field: 'startsAtH' | 'endsAtH', time: string): void => {
    const next = { ...working, [field]: asHours(time) };
    if (!/^\d\d:\d\d$/.test(time) || next.endsAtH <= next.startsAtH) {
      setError('The day must end after it starts.');
      return;
    }
    setError(undefined);
    set({ [field]: asHours(time) }, field);
  };
  return (
    <div className="grid items-start gap-x-4 gap-y-3 sm:grid-cols-2">
      <div className="sm:col-span-2">
        <Weekdays label="Working days" days={working.days} onDays={(days) => set({ days })} />
      </div>
      {(['startsAtH', 'endsAtH'] as const).map((field) => (
        <Field
          key={field}
          id={field}
          label={field === 'startsAtH' ? 'From' : 'To'}
          error={field === 'endsAtH' ? error : undefined}
        >
          <input
            {...tied(field, field === 'endsAtH' ? error : undefined)}
            type="time"
            className="control"
            key={working[field]}
            defaultValue={asTime(working[field])}
            onChange={(e) => setHours(field, e.target.value)}
          />
        </Field>
      ))}
      <div className="sm:col-span-2">
        <Shifts />
      </div>
      <div className="sm:col-span-2">
        <QuantityInput
          id="loaded-share"
          label="Share of that time the compressor runs loaded"
          quantity="share"
          value={working.loadedShare}
          min={0}
          max={1}
          help="Time the compressor over an hour, or read its hour meter at start and end of the day."
          onCommit={(loadedShare) => set({ loadedShare }, 'loaded')}
        />
        <Drag
          label="Share of the time loaded"
          value={working.loadedShare}
          min={0}
          max={1}
          step={0.01}
          onChange={(loadedShare) => set({ loadedShare }, 'loaded')}
        />
      </div>
      <div className="sm:col-span-2">
        <Holidays />
      </div>
    </div>
  );
}
