'use client';

import { withSurvey } from '@/core/plan/edit';
import { usePlan } from '@/ui/plan/plan-provider';

const MOST = 3;

/** How busy each working hour is beside the others: drag, type, or use the arrow keys. */
export function BusyHours() {
  const { plan, edit } = usePlan();
  const { working } = plan.survey;
  const first = Math.floor(working.startsAtH);
  const hours = Array.from({ length: Math.ceil(working.endsAtH) - first }, (_, i) => first + i);
  const busy = working.busyByHour ?? Array(24).fill(1);
  const set = (hour: number, value: number): void =>
    edit(
      (p) =>
        withSurvey(p, {
          ...p.survey,
          working: { ...p.survey.working, busyByHour: busy.map((b, h) => (h === hour ? value : b)) },
        }),
      `busy.${hour}`,
    );
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold">Load in each hour</legend>
      <p className="mb-2 text-[0.85rem] text-quiet">
        Beside the others; the use of the whole day stays what the jobs say. A break is 0.
      </p>
      <div className="flex gap-0.5 overflow-x-auto pb-1">
        {hours.map((h) => (
          <label key={h} className="grid min-w-8 flex-1 justify-items-center gap-1 text-[0.75rem] text-quiet">
            <input
              type="range"
              min={0}
              max={MOST}
              step={0.25}
              value={busy[h]}
              aria-label={`Busy from ${h} to ${h + 1}`}
              onChange={(e) => set(h, Number(e.target.value))}
              className="h-20 w-6 accent-(--water) [direction:rtl] [writing-mode:vertical-lr]"
            />
            <span className="text-ink">{busy[h] === 0 ? '–' : `×${busy[h]}`}</span>
            {h}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
