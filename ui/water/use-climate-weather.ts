'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Plan } from '@/core/plan/plan';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { yearOfMonths } from '@/core/year/month-means';
import type { WeatherHours } from '@/core/year/weather';
import { fetchWeather } from './fetch-weather';

/** The weather that a line goes by: of its stored year, or of its months. Without a line nothing is fetched. */
export function useClimateWeather(plan: Plan | undefined): {
  weather: WeatherHours | undefined;
  problem: string | undefined;
  fetching: boolean;
} {
  const climate = plan?.survey.climate;
  const [file, setFile] = useState<{ id: string; hours?: WeatherHours; problem?: string }>();
  const wanted = climate?.from === 'file' ? climate.yearId : null;
  useEffect(() => {
    if (wanted === null) return;
    let gone = false;
    fetchWeather(wanted).then(
      (hours) => !gone && setFile({ id: wanted, hours }),
      (error: Error) => !gone && setFile({ id: wanted, problem: error.message }),
    );
    return () => {
      gone = true;
    };
  }, [wanted]);
  const atmosphericPa = plan && surveyAtmosphericPa(plan.survey);
  const months = climate?.from === 'months' ? climate.months : undefined;
  const ofMonths = useMemo(
    () => (months && atmosphericPa !== undefined ? yearOfMonths(months, atmosphericPa) : undefined),
    [months, atmosphericPa],
  );
  const own = file?.id === wanted ? file : undefined;
  const weather = climate?.from === 'file' ? own?.hours : ofMonths;
  return {
    weather,
    problem: climate?.from === 'file' ? own?.problem : undefined,
    fetching: wanted !== null && !own,
  };
}
