'use client';

import { explain } from '@/core/line/explain';
import { walk } from '@/core/line/walk';
import { loadedHoursPerDay, waterInPerDayKg, withIntakeAt } from '@/core/line/working-day';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { usePlan } from '@/ui/plan/plan-provider';
import { Amount, useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';

/** The live answer of the survey: how much water the compressor draws in, here and at the other places. */
export function WaterDrawnIn() {
  const { plan, section } = usePlan();
  const { say } = useUnits();
  const { survey } = plan;
  const here = section.ledger.waterInKgPerS;
  const perDay = waterInPerDayKg(section, plan);
  const costs = survey.places.map((place) => ({ place, in: walk(withIntakeAt(plan, place.id)).ledger.waterInKgPerS }));
  const most = Math.max(...costs.map((c) => c.in), 1e-12);
  return (
    <div className="rounded-md border border-hairline bg-card p-4">
      <h2>Water drawn in</h2>
      <p className="mt-1 text-[2.2rem] leading-tight font-semibold text-water">
        <Why figure={{ name: 'waterIn' }}>
          <Amount si={here} quantity="waterFlow" />
        </Why>
      </p>
      <p className="text-quiet">while the compressor runs loaded</p>
      <p className="mt-2 text-[1.3rem] font-semibold">
        <Why figure={{ name: 'waterPerDay' }}>
          <Amount si={perDay / 1000} quantity={perDay >= 1 ? 'volume' : 'drained'} />
        </Why>
      </p>
      <p className="text-quiet">on a working day of {say(loadedHoursPerDay(plan) * 3600, 'time')} loaded</p>
      <dl className="mt-3">
        <div className="flex justify-between border-t border-hairline py-1">
          <dt className="text-quiet">Air pressure</dt>
          <dd>
            <Why figure={{ name: 'atmosphere' }}>{say(surveyAtmosphericPa(survey), 'barometer')}</Why>
          </dd>
        </div>
        <div className="flex justify-between border-t border-hairline py-1">
          <dt className="text-quiet">Dry air while loaded</dt>
          <dd>
            <Why figure={{ name: 'dryAir' }}>{say(section.dryAirKgPerS, 'massFlow')}</Why>
          </dd>
        </div>
      </dl>
      {costs.length > 1 && (
        <div className="mt-3">
          <h3 className="eyebrow mb-1">With the intake there instead</h3>
          <ul className="grid gap-2">
            {costs.map(({ place, in: water }) => (
              <li key={place.id}>
                <div className="flex justify-between gap-2">
                  <span className={place.id === survey.intakePlaceId ? 'font-semibold' : ''}>{place.name}</span>
                  <Why
                    className="whitespace-nowrap"
                    figure={() => {
                      const there = withIntakeAt(plan, place.id);
                      return explain(there, walk(there), { name: 'waterIn' });
                    }}
                  >
                    {say(water, 'waterFlow')}
                  </Why>
                </div>
                <div className="mt-0.5 h-2 bg-sunk" aria-hidden>
                  <div className="h-full bg-drops" style={{ width: `${(100 * water) / most}%` }} />
                </div>
                {place.id !== survey.intakePlaceId && (
                  <p className="text-[0.82rem] text-quiet">
                    {water > here
                      ? `${say(water - here, 'waterFlow')} more to drain`
                      : `${say(here - water, 'waterFlow')} less to drain`}
                  </p>
                )}
              </li>
            ))}
          </ul>
        </div>
      )}
      <p className="mt-3 text-[0.8rem] text-quiet">Estimate only. Nameplate, manual and local law take precedence.</p>
    </div>
  );
}
