'use client';

import { useMemo } from 'react';
import { sayIn as said } from '@/core/advice/rule';
import { coldC, type WinterItem, winterList } from '@/core/drains/winter';
import { placeOf } from '@/core/plan/survey';
import { sayDay } from '@/core/year/calendar';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';
import { useWater } from '../water-provider';

const DOES: readonly { readonly does: WinterItem['does']; readonly title: string }[] = [
  { does: 'move', title: 'Move into the warm' },
  { does: 'trace', title: 'Heat trace and insulate' },
  { does: 'drain down', title: 'Drain down' },
  { does: 'watch', title: 'Watch' },
];
const COLDER_HOURS = 35; // 99.6 % of the year is warmer (ASHRAE’s design days)

/** What of the line may freeze in its year, and what to do before. */
export function WinterView() {
  const { plan, planId } = usePlan();
  const { ran, weather } = useWater();
  const { say } = useUnits();
  const items = useMemo(() => (ran ? winterList(ran.plan, ran.run) : []), [ran]);
  if (!ran || !weather)
    return (
      <p className="max-w-prose">
        Freezing is calculated from a year of weather.{' '}
        <Link href={`/lines/${planId}/water/weather`} className="text-water underline underline-offset-4">
          Choose a year
        </Link>
      </p>
    );
  return (
    <>
      <p>
        Outdoors it is colder than <strong>{say(coldC(weather.temperatureC, COLDER_HOURS), 'temperature')}</strong> for{' '}
        {COLDER_HOURS} h of this year.{' '}
        <span className="text-quiet">
          Cold air brings little water: wet air in winter is mostly a frozen drain, or a warm and humid indoor intake.
        </span>
      </p>
      {items.length === 0 ? (
        <p className="text-water">
          ● Nothing of this line freezes, if its places keep as warm as they are said to:{' '}
          {plan.survey.places.map((p) => p.name).join(', ')}.
        </p>
      ) : (
        DOES.map(({ does, title }) => {
          const own = items.filter((i) => i.does === does);
          return own.length === 0 ? null : (
            <section key={does} aria-label={title}>
              <h2 className="mb-1">{title}</h2>
              <ul>
                {own.map((i) => (
                  <li
                    key={`${i.stage.id}${said(i.what, say)}`}
                    className="grid gap-x-5 gap-y-0.5 border-t border-hairline py-2 md:grid-cols-[13rem_1fr_15rem]"
                  >
                    <div>
                      <Link
                        href={`/lines/${planId}/line?stage=${i.stage.id}&hour=${i.firstHour}`}
                        className="font-semibold text-water underline underline-offset-4"
                      >
                        {i.stage.name}
                      </Link>
                      <p className="text-[0.85rem] text-quiet">
                        {placeOf(plan.survey, i.stage.place ?? plan.survey.roomPlaceId).name}
                      </p>
                    </div>
                    <div>
                      <p>{said(i.what, say)}</p>
                      <p className="text-quiet">{said(i.how, say)}</p>
                    </div>
                    <p>
                      {i.hours} h a year, {sayDay(Math.floor(i.firstHour / 24))} to{' '}
                      {sayDay(Math.floor(i.lastHour / 24))}
                    </p>
                  </li>
                ))}
              </ul>
            </section>
          );
        })
      )}
      <Cautions ids={['C35', 'C07']} />
    </>
  );
}
