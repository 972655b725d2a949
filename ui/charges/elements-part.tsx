'use client';

import { format } from 'date-fns';
import { useMemo } from 'react';
import type { LifeEntry } from '@/core/log/log-entry';
import { type ChangeReason, elementLives } from '@/core/maintenance/element-lives';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '@/ui/units/when';

const WHY: Record<ChangeReason, string> = {
  drop: 'its pressure drop reaches the limit',
  hours: 'its rated hours are reached',
  calendar: 'its calendar interval ends',
  oil: 'its carbon is saturated with oil',
  cheapest: 'a new one costs less than its pressure drop drop',
};

const sayOn = (at: string | undefined): string => (at ? format(new Date(at), 'd MMM yyyy') : 'never');

/** Filter elements and carbon: what has loaded them, and the days that ask for new ones. */
export function ElementsPart({ entries, now }: { entries: readonly LifeEntry[]; now: string }) {
  const { plan, section } = usePlan();
  const { say, number } = useUnits();
  const lives = useMemo(() => elementLives(plan, section, entries, now), [plan, section, entries, now]);
  if (lives.length === 0) return null;
  return (
    <section aria-label="Filter elements and carbon" className="grid gap-2">
      <h2>Filter elements and carbon</h2>
      <ul className="border-t border-hairline">
        {lives.map(({ stage, wet, since, loadedH, cleanPa, growth, days, dropBand }) => {
          const [first, ...later] = days;
          const due = first && first.on <= now;
          const rise = growth && loadedH ? growth.perH * loadedH : 0;
          return (
            <li key={stage.id} className="grid gap-x-6 gap-y-1 border-b border-hairline py-2 lg:grid-cols-[16rem_1fr]">
              <div>
                <strong>{stage.name}</strong>
                <p className="text-[0.88rem] text-quiet">
                  {since
                    ? `in since ${sayTime(since)}, ${Math.round(loadedH ?? 0)} loaded h`
                    : 'nothing logged yet: log its change once'}
                </p>
              </div>
              <div>
                {first && (
                  <p>
                    <span className={due ? 'font-semibold text-brick' : 'font-semibold'}>
                      {due ? '▲ Change it now' : `Change it about ${format(new Date(first.on), 'd MMM yyyy')}`}
                    </span>
                    : {WHY[first.reason]}
                    {first.reason === 'drop' && dropBand && (
                      <span className="text-quiet">
                        , between {sayOn(dropBand[0])} and {sayOn(dropBand[1])} (80 %)
                      </span>
                    )}
                  </p>
                )}
                <p className="text-[0.88rem] text-quiet">
                  {stage.kind === 'carbon-filter'
                    ? 'Its pressure drop does not show its life: oil vapour, temperature, hours and the calendar decide.'
                    : growth
                      ? `Drop over a clean one (${say(cleanPa, 'pressureDifference')} as the line runs), at the same flow: now ×${number(1 + rise, 2)}, ${growth.perH === 0 ? 'not rising' : `×${number(growth.perH * 1000, 2)} more each 1000 loaded h (±${number(growth.sd * 1000, 2)})`}.`
                      : 'Its drop was not read since: hours and the calendar count. Read it each week.'}
                  {stage.kind === 'coalescing-filter' &&
                    (wet
                      ? ' It runs wet: as it soaks its drop about doubles, and that is no loading.'
                      : ' It runs dry.')}
                  {later.length > 0 &&
                    ` Later: ${later.map((d) => `${format(new Date(d.on), 'd MMM yyyy')}, ${WHY[d.reason]}`).join('; ')}.`}
                </p>
              </div>
            </li>
          );
        })}
      </ul>
      <p className="text-[0.85rem] text-quiet">
        The baseline rises with flow and with age: each reading is compared with the drop of a clean element at the flow
        of its day. The cheapest day: price of an element against the power that its drop takes, by your money
        (Compare).
      </p>
    </section>
  );
}
