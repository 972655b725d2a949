'use client';

import { createContext, type ReactNode, useContext, useState } from 'react';
import { siteTimeMs } from '@/core/log/site-clock';
import { withSurvey } from '@/core/plan/edit';
import type { Climate } from '@/core/plan/survey';
import { dayOfYear, hourOf } from '@/core/year/calendar';
import type { WeatherHours, WeatherSummary } from '@/core/year/weather';
import { usePlan } from '@/ui/plan/plan-provider';
import { nowOnTheWall } from '@/ui/units/when';
import { useClimateWeather } from './use-climate-weather';
import { type RanPlan, useWeatherRun } from './use-weather-run';

/** The weather of a line, and the line walked through it. */
interface Water {
  readonly years: readonly WeatherSummary[];
  readonly addYear: (year: WeatherSummary) => void;
  readonly dropYear: (id: string) => void;
  readonly climate: Climate;
  readonly setClimate: (change: Partial<Climate>) => void;
  /** What the year is called; nothing while none is chosen. */
  readonly weatherName: string | undefined;
  readonly weather: WeatherHours | undefined;
  /** Why the chosen year is not there. */
  readonly problem: string | undefined;
  readonly ran: RanPlan | undefined;
  readonly busy: boolean;
  /** Today, on the clock of the browser. */
  readonly today: { readonly day: number; readonly hour: number; readonly year: number };
}
const WaterContext = createContext<Water | undefined>(undefined);

export function useWater(): Water {
  const water = useContext(WaterContext);
  if (!water) throw new Error('outside WaterProvider');
  return water;
}

/** Now as milliseconds of a clock without zones, as it shows on the wall of the site. */
export const wallClockMs = (): number => siteTimeMs(nowOnTheWall());

/** Holds the weather of a line and its year, so that the parts of the Water pages share one run. */
export function WaterProvider({ years: stored, children }: { years: readonly WeatherSummary[]; children: ReactNode }) {
  const { plan, edit } = usePlan();
  const { climate } = plan.survey;
  const [years, setYears] = useState(stored);
  const { weather, problem, fetching } = useClimateWeather(plan);
  const now = wallClockMs();
  const today = { day: dayOfYear(now), hour: hourOf(now), year: new Date(now).getUTCFullYear() };
  const { ran, busy } = useWeatherRun(plan, weather, { year: today.year });
  const value: Water = {
    years,
    addYear: (year) => setYears((all) => [year, ...all.filter((y) => y.id !== year.id)]),
    dropYear: (id) => setYears((all) => all.filter((y) => y.id !== id)),
    climate,
    setClimate: (change) =>
      edit((p) => withSurvey(p, { ...p.survey, climate: { ...p.survey.climate, ...change } }), 'climate'),
    weatherName:
      climate.from === 'months'
        ? 'means of the months'
        : climate.from === 'file'
          ? years.find((y) => y.id === climate.yearId)?.name
          : undefined,
    weather,
    problem,
    ran,
    busy: busy || fetching,
    today,
  };
  return <WaterContext value={value}>{children}</WaterContext>;
}
