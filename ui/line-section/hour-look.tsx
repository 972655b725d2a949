'use client';

import { parseAsInteger, useQueryState } from 'nuqs';
import { type ReactNode, useMemo } from 'react';
import { useStore } from 'zustand';
import type { Plan } from '@/core/plan/plan';
import { placeOf } from '@/core/plan/survey';
import { planAtHour } from '@/core/year/at-hour';
import { sayHour, YEAR_HOURS } from '@/core/year/calendar';
import { LookAs, usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';
import { useClimateWeather } from '@/ui/water/use-climate-weather';

/** The line in the air of an hour of its year, where the address asks for one; else as it is today. */
export function HourLook({ children }: { children: ReactNode }) {
  const [hour] = useQueryState('hour', parseAsInteger);
  const asked = hour !== null && hour >= 0 && hour < YEAR_HOURS ? hour : undefined;
  return asked === undefined ? <LookAs as={undefined}>{children}</LookAs> : <AtHour hour={asked}>{children}</AtHour>;
}

function AtHour({ hour, children }: { hour: number; children: ReactNode }) {
  const { store } = usePlan();
  const own = useStore(store, (s) => s.plan);
  const { weather, problem } = useClimateWeather(own);
  const as = useMemo(() => (weather ? (plan: Plan) => planAtHour(plan, weather, hour) : undefined), [weather, hour]);
  return (
    <LookAs as={as}>
      <HourBar hour={hour} problem={problem} ready={as !== undefined} hasYear={own.survey.climate.from !== 'none'} />
      {children}
    </LookAs>
  );
}

function HourBar({
  hour,
  problem,
  ready,
  hasYear,
}: {
  hour: number;
  problem: string | undefined;
  ready: boolean;
  hasYear: boolean;
}) {
  const { plan, planId } = usePlan();
  const [, setHour] = useQueryState('hour', parseAsInteger);
  const { say } = useUnits();
  const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
  const room = placeOf(plan.survey, plan.survey.roomPlaceId);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 bg-deep px-3 py-2 text-paper" role="status">
      {ready ? (
        <p>
          <strong>{sayHour(hour)}</strong> of its year: {intake.name.toLowerCase()}{' '}
          {say(intake.temperatureC, 'temperature')}, {say(intake.relativeHumidity, 'share')}
          {room.id !== intake.id && ` · ${room.name.toLowerCase()} ${say(room.temperatureC, 'temperature')}`}
        </p>
      ) : (
        <p>
          {problem ??
            (hasYear ? 'Fetching the weather of its year…' : 'This line has no year of weather: it is shown as today.')}
        </p>
      )}
      <div className="ml-auto flex flex-wrap gap-2 text-ink">
        {ready &&
          (
            [
              ['an hour back', -1],
              ['an hour on', 1],
            ] as const
          ).map(([name, step]) => (
            <button
              key={name}
              type="button"
              className="button"
              onClick={() => void setHour((hour + step + YEAR_HOURS) % YEAR_HOURS)}
            >
              {name}
            </button>
          ))}
        <Link href={`/lines/${planId}/water/year`} className="button">
          The year
        </Link>
        <button type="button" className="button" onClick={() => void setHour(null)}>
          Back to today
        </button>
      </div>
    </div>
  );
}
