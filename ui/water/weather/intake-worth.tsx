'use client';

import { useMemo } from 'react';
import { intakeYears, POWER_PER_K } from '@/core/year/intake-worth';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { useWater } from '../water-provider';

/** What moving the intake would be worth through the year: water drawn in, and power. */
export function IntakeWorth() {
  const { plan } = usePlan();
  const { weather, today } = useWater();
  const { say } = useUnits();
  const { survey } = plan;
  const places = useMemo(() => (weather ? intakeYears(plan, weather, today.year) : []), [plan, weather, today.year]);
  const here = places.find((p) => p.placeId === survey.intakePlaceId);
  if (!here) return null;
  const most = Math.max(...places.map((p) => p.waterKg), 1e-9);
  return (
    <section className="grid gap-2">
      <h2>Water drawn in, by place of the intake</h2>
      <ul className="grid gap-2">
        {places.map((p) => {
          const own = p === here;
          const less = here.waterKg - p.waterKg;
          const power = (here.meanC - p.meanC) * POWER_PER_K;
          return (
            <li key={p.placeId}>
              <p className="flex justify-between gap-3">
                <span className={own ? 'font-semibold' : ''}>
                  {survey.places.find((s) => s.id === p.placeId)?.name}
                  {own && <span className="font-normal text-quiet"> · as it is</span>}
                </span>
                <span className="whitespace-nowrap">{say(p.waterKg / 1000, 'volume')} a year</span>
              </p>
              <div className="mt-0.5 h-2 bg-sunk" aria-hidden>
                <div className="h-full bg-drops" style={{ width: `${(100 * p.waterKg) / most}%` }} />
              </div>
              {!own && (
                <p className="text-[0.85rem] text-quiet">
                  {Math.abs(less) < 0.01 * here.waterKg
                    ? 'As much water'
                    : `${say(Math.abs(less) / 1000, 'volume')} ${less > 0 ? 'less' : 'more'} water`}
                  ,{' '}
                  {Math.abs(power) < 0.002
                    ? 'as much power'
                    : `${say(Math.abs(power), 'share')} ${power > 0 ? 'less' : 'more'} power`}
                </p>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
