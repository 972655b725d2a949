'use client';

import { useMemo } from 'react';
import { weekPlan } from '@/core/drains/week-plan';
import { DAY_MS } from '@/core/quantity/constants';
import { seriesOf } from '@/core/year/series';
import { dailyKg } from '@/core/year/sums';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { DayMap } from '../day-map';
import { useDrains } from '../use-drains';
import { type RanPlan, useWeatherRun } from '../use-weather-run';
import { Notes } from '../weather/import-part';
import { OwnForecast } from './own-forecast';
import { useForecast } from './use-forecast';
import { Changes, Days, Jobs, sayDate } from './week-parts';

/** The days to come: what to set before the humid one, and why. */
export function WeekView() {
  const { plan, planId } = usePlan();
  const f = useForecast(planId);
  const { shown } = f;
  const { ran } = useWeatherRun(plan, shown?.forecast.hours, { startMs: shown?.forecast.startMs ?? 0 });
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        {f.asking && <p className="text-quiet">Asking for a forecast…</p>}
        {!f.asking && shown && (shown.own || f.places.length < 2) && (
          <p className="text-quiet">
            Forecast: <strong className="text-ink">{shown.from}</strong>
          </p>
        )}
        {f.places.length > 1 && !shown?.own && (
          <div className="w-64">
            <ChoiceInput
              id="forecast-place"
              label="Forecast for"
              value={f.place ?? f.places[0]?.id ?? ''}
              options={Object.fromEntries(f.places.map((p) => [p.id, p.name]))}
              onCommit={(v) => f.askService(v)}
            />
          </div>
        )}
        {shown?.own && (
          <button type="button" className="button" onClick={() => f.askService()}>
            Take the service’s
          </button>
        )}
        {!shown && !f.asking && (
          <button type="button" className="button" onClick={() => f.askService(f.place)}>
            Ask the service again
          </button>
        )}
      </div>
      {f.problem && (
        <p role="alert" className="rounded-md bg-amber-wash px-3 py-2 text-amber">
          {f.problem}
        </p>
      )}
      {shown && ran && <Shown ran={ran} firstHour={shown.forecast.firstHour} />}
      {shown && shown.forecast.notes.length > 0 && (
        <details className="text-[0.88rem]">
          <summary className="cursor-pointer text-water underline underline-offset-4">Rows left out</summary>
          <Notes notes={shown.forecast.notes} />
        </details>
      )}
      <OwnForecast onGive={f.giveOwn} />
    </>
  );
}

function Shown({ ran, firstHour }: { ran: RanPlan; firstHour: number }) {
  const { say } = useUnits();
  const rows = useDrains();
  const { plan, run } = ran;
  const changes = useMemo(
    () =>
      weekPlan(
        rows.map((r) => r.duty),
        run,
        firstHour,
      ),
    [rows, run, firstHour],
  );
  const all = seriesOf(plan, run, { of: 'all-drains' });
  const load = useMemo(() => run.load.map((l, h) => (h < firstHour ? 0 : l)), [run.load, firstHour]);
  if (!all) return null;
  const ahead = { ...all, values: all.values.map((v, h) => (h < firstHour ? Number.NaN : v)) };
  const daily = dailyKg(all.values, load);
  const wettest = daily.reduce((best, kg, d) => (kg > (daily[best] as number) ? d : best), 0);
  const day = (d: number): string => sayDate(run.startMs + d * DAY_MS);
  return (
    <>
      <p>
        {(daily[wettest] as number) > 0 ? (
          <>
            Most water comes on <strong>{day(wettest)}</strong>: {say((daily[wettest] as number) / 1000, 'volume')} at
            all drains.
          </>
        ) : (
          'Nobody works in these days, or nothing falls out.'
        )}
      </p>
      <Changes changes={changes} />
      <section aria-label="All drains, hour by hour">
        <h2 className="mb-2">
          All drains, hour by hour <span className="font-normal text-quiet">caught while loaded</span>
        </h2>
        <DayMap series={ahead} load={load} dayLabel={day} />
      </section>
      <Days ran={ran} firstHour={firstHour} day={day} />
      <Jobs ran={ran} firstHour={firstHour} day={day} />
    </>
  );
}
