'use client';

import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { useWater } from '../water-provider';
import { ImportYear } from './import-year';
import { IntakeWorth } from './intake-worth';
import { PlacesThroughYear } from './places-through-year';
import { Months, StoredYear, USUAL_MONTHS } from './stored-years';

/** Which weather the year goes by, how the places follow it, and what the intake is worth. */
export function WeatherView() {
  const { years, climate, setClimate } = useWater();
  const { planId } = usePlan();
  return (
    <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-2">
      <section className="grid gap-3">
        <h2>Weather of the year</h2>
        <ul className="grid">
          {years.map((year) => (
            <StoredYear key={year.id} year={year} chosen={climate.from === 'file' && climate.yearId === year.id} />
          ))}
          <li className="border-t border-hairline py-2">
            <label className="flex items-center gap-2 font-semibold">
              <input
                type="radio"
                name="weather-year"
                className="size-4 accent-(--water)"
                checked={climate.from === 'months'}
                onChange={() => setClimate({ from: 'months', months: climate.months ?? USUAL_MONTHS })}
              />
              Means of the months
            </label>
            <p className="ml-6 text-[0.88rem] text-quiet">
              From a climate table of your town, where there is no file. It has no fronts and no heat waves: peaks come
              out lower than they are.
            </p>
          </li>
        </ul>
        {climate.from === 'months' && <Months />}
        <ImportYear />
      </section>
      <div className="grid gap-6">
        <PlacesThroughYear />
        <IntakeWorth />
        <p className="text-[0.9rem] text-quiet">
          Shifts, days off and holidays are on{' '}
          <Link href={`/lines/${planId}/survey`} className="text-water underline underline-offset-4">
            the Survey
          </Link>
          .
        </p>
      </div>
    </div>
  );
}
