'use client';

import { useCallback, useEffect, useState } from 'react';
import { HOUR_MS } from '@/core/quantity/constants';
import { type ServedForecast, samplesOf } from '@/core/year/served-forecast';
import { WeatherRefused } from '@/core/year/weather';
import type { Forecast } from '@/core/year/week-of-samples';
import { forecastOf } from '@/core/year/week-of-samples';
import { readStored, store } from '@/ui/browser-store';
import { wallClockMs } from '../water-provider';

/** The forecast on screen: from the service, or the person’s own. */
export interface ShownForecast {
  readonly from: string;
  readonly own: boolean;
  readonly forecast: Forecast;
}

const key = (planId: string): string => `cool-dram.forecast.${planId}`;

/** What the person gave for a line; nothing where there is none, or it cannot be read any more. */
function kept(planId: string): ShownForecast | undefined {
  try {
    return JSON.parse(readStored(key(planId)) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}

/** The forecast of a line: what the person gave, as long as it lasts; else the service’s. */
export function useForecast(planId: string) {
  const [shown, setShown] = useState<ShownForecast>();
  const [places, setPlaces] = useState<ServedForecast['places']>([]);
  const [place, setPlace] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [asking, setAsking] = useState(true);
  const ask = useCallback(async (of?: string) => {
    setAsking(true);
    setProblem(undefined);
    const now = wallClockMs();
    const from = new Date(now).toISOString().slice(0, 16);
    try {
      const answer = await fetch(`/api/forecast?${new URLSearchParams({ from, ...(of && { place: of }) })}`);
      const body = (await answer.json()) as ServedForecast & { error?: { message: string } };
      if (!answer.ok) throw new WeatherRefused(body.error?.message ?? 'The forecast could not be fetched.');
      const { samples, notes } = samplesOf(body);
      setPlaces(body.places);
      setShown({ from: body.place, own: false, forecast: forecastOf(samples, now, notes) });
    } catch (error) {
      setProblem(
        error instanceof WeatherRefused
          ? error.message
          : 'The forecast could not be fetched: no answer from the program.',
      );
    }
    setAsking(false);
  }, []);
  useEffect(() => {
    const own = kept(planId);
    const lasts = own && own.forecast.startMs + own.forecast.hours.temperatureC.length * HOUR_MS > wallClockMs();
    if (lasts) {
      setShown(own);
      setAsking(false);
    } else void ask();
  }, [planId, ask]);
  const giveOwn = (forecast: Forecast): void => {
    const own = { from: 'your own', own: true, forecast };
    store(key(planId), JSON.stringify(own));
    setShown(own);
    setProblem(undefined);
  };
  const askService = (of?: string): void => {
    store(key(planId), undefined);
    setPlace(of);
    void ask(of);
  };
  return { shown, places, place, problem, asking, giveOwn, askService };
}
