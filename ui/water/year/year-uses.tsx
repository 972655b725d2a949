'use client';
import { useMemo } from 'react';
import { mediaUse } from '@/core/maintenance/media-use';
import { allStages, standing } from '@/core/plan/runs';
import { sayDay } from '@/core/year/calendar';
import { outletExcess } from '@/core/year/series';
import { hoursWhen } from '@/core/year/sums';
import { useUnits } from '@/ui/units/units';
import type { RanPlan } from '../use-weather-run';

/** Of each outlet, the worked hours in which it does not get what it needs, and when. */
export function Outlets({ ran: { plan, run } }: { ran: RanPlan }) {
  const rows = useMemo(
    () =>
      allStages(standing(plan)).flatMap((s) => {
        if (s.kind !== 'outlet') return [];
        const excess = outletExcess(plan, run, s);
        return [{ stage: s, out: hoursWhen(run.load, run.hours, (h) => (excess[h] as number) > 1e-9) }];
      }),
    [plan, run],
  );
  const worked = run.load.reduce((n, l) => n + (l > 0 ? 1 : 0), 0);
  if (rows.length === 0) return null;
  return (
    <section className="border-t border-hairline pt-3" aria-label="Outlets through the year">
      <h2 className="mb-1">
        What the jobs get <span className="font-normal text-quiet">· of {worked} worked hours</span>
      </h2>
      <ul className="grid gap-x-8 sm:grid-cols-2 xl:grid-cols-3">
        {rows.map(({ stage, out }) => (
          <li key={stage.id} className="flex justify-between gap-3 border-t border-hairline py-1">
            <span>{stage.name}</span>
            {out.hours === 0 ? (
              <span className="text-water">● always as it needs</span>
            ) : (
              <span className="text-brick">
                ▲ {out.hours} h out
                <span className="text-quiet">
                  , {sayDay(Math.floor((out.first ?? 0) / 24))} to {sayDay(Math.floor((out.last ?? 0) / 24))}
                </span>
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Beads and pellets that the year uses. */
export function Media({ ran: { plan, run } }: { ran: RanPlan }) {
  const { say } = useUnits();
  const uses = useMemo(() => mediaUse(plan, run), [plan, run]);
  if (uses.length === 0) return null;
  return (
    <section className="border-t border-hairline pt-3" aria-label="Media">
      <h2 className="mb-1">Beads and pellets</h2>
      <ul>
        {uses.map((u) => (
          <li key={u.stageId}>
            <strong>{u.name}</strong> takes up {say(u.waterKg, 'mass')} of water a year:{' '}
            {u.charges !== undefined
              ? `${u.charges < 10 ? u.charges.toFixed(1) : Math.round(u.charges)} charges`
              : `some ${say(u.pelletsKg ?? 0, 'mass')} of pellets`}
          </li>
        ))}
      </ul>
    </section>
  );
}
