'use client';

import { sayIn as said } from '@/core/advice/rule';
import { collectingStages } from '@/core/drains/duty';
import { pointWeek, type WeekChange } from '@/core/drains/week-plan';
import { setParameters } from '@/core/plan/edit';
import { allStages, standing } from '@/core/plan/runs';
import { outletExcess } from '@/core/year/series';
import { hoursWhen } from '@/core/year/sums';
import { usePlan } from '@/ui/plan/plan-provider';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';
import { TableOf } from '../data-table';
import type { RanPlan } from '../use-weather-run';

export const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
export const sayDate = (ms: number): string => {
  const d = new Date(ms);
  return `${WEEKDAYS[d.getUTCDay()]} ${d.getUTCDate()} ${MONTHS[d.getUTCMonth()]}`;
};

export function Changes({ changes }: { changes: readonly WeekChange[] }) {
  const { edit } = usePlan();
  const { say } = useUnits();
  return (
    <section aria-label="What to change">
      <h2 className="mb-1">What to change</h2>
      {changes.length === 0 ? (
        <p className="text-water">● Nothing: as the drains are set, they let out what is forecast.</p>
      ) : (
        <ul>
          {changes.map((c) => (
            <li
              key={c.stageId}
              className="grid gap-x-5 gap-y-1 border-t border-hairline py-2 sm:grid-cols-[9rem_1fr_auto]"
            >
              <span className="font-semibold text-copper">before {sayDate(c.beforeMs)}</span>
              <div>
                <p>
                  <strong>{c.name}</strong>: {said(c.does, say)}
                </p>
                <p className="text-quiet">{said(c.why, say)}</p>
              </div>
              {c.parameters && (
                <button
                  type="button"
                  className="button self-start"
                  onClick={() => edit((p) => setParameters(p, c.stageId, c.parameters ?? {}))}
                >
                  Apply
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

export function Days({
  ran: { plan, run },
  firstHour,
  day,
}: {
  ran: RanPlan;
  firstHour: number;
  day: (d: number) => string;
}) {
  const { say } = useUnits();
  const rows = collectingStages(plan)
    .map((s) => ({ stage: s, week: pointWeek(run, s.id, firstHour) }))
    .filter(({ week }) => week.daysKg.some((kg) => kg > 1e-4));
  const days = Array.from({ length: Math.ceil(run.hours / 24) }, (_, d) => d);
  if (rows.length === 0) return null;
  return (
    <section aria-label="Day by day">
      <Scrolls label="Water of each day">
        <table className="w-full min-w-[40rem] text-[0.9rem]">
          <caption className="pb-1 text-left font-semibold">Water of each day</caption>
          <thead className="text-[0.8rem] text-quiet">
            <tr>
              <th className="py-1 pr-3 text-left font-medium">Drain</th>
              {days.map((d) => (
                <th key={d} className="pr-3 text-right font-medium">
                  {day(d)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ stage, week }) => (
              <tr key={stage.id} className="border-t border-hairline">
                <th className="max-w-40 truncate py-1 pr-3 text-left font-medium">{stage.name}</th>
                {days.map((d) => {
                  const kg = week.daysKg[d] as number;
                  return (
                    <td
                      key={d}
                      className={`pr-3 text-right ${kg > 0 && kg === Math.max(...week.daysKg) ? 'font-semibold' : ''}`}
                    >
                      {kg < 1e-4 ? <span className="text-quiet">–</span> : say(kg / 1000, 'drained')}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      <TableOf
        table={() => ({
          name: 'Water of the week',
          columns: ['Drain', ...days.map((d) => `${day(d)}, mL`)],
          rows: rows.map(({ stage, week }) => [stage.name, ...week.daysKg.map((kg) => Math.round(kg * 1000))]),
        })}
      />
    </section>
  );
}

export function Jobs({
  ran: { plan, run },
  firstHour,
  day,
}: {
  ran: RanPlan;
  firstHour: number;
  day: (d: number) => string;
}) {
  const out = allStages(standing(plan)).flatMap((s) => {
    if (s.kind !== 'outlet') return [];
    const excess = outletExcess(plan, run, s);
    const hours = hoursWhen(run.load, run.hours, (h) => h >= firstHour && (excess[h] as number) > 1e-9);
    return hours.hours > 0 ? [{ stage: s, hours }] : [];
  });
  return (
    <section aria-label="The jobs">
      <h2 className="mb-1">The jobs</h2>
      {out.length === 0 ? (
        <p className="text-water">● All get what they need in every worked hour.</p>
      ) : (
        <ul>
          {out.map(({ stage, hours }) => (
            <li key={stage.id} className="border-t border-hairline py-1">
              <strong>{stage.name}</strong>{' '}
              <span className="text-brick">
                ▲ {hours.hours} h out of what it needs, from {day(Math.floor((hours.first ?? 0) / 24))}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
