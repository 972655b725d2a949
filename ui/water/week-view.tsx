'use client';

import { useMemo, useState } from 'react';
import { say as said } from '@/core/advice/rule';
import { collectingStages } from '@/core/drain/duty';
import { pointWeek, type WeekChange, weekPlan } from '@/core/drain/week-plan';
import { setParameters } from '@/core/line/edit';
import { allStages, standing } from '@/core/line/runs';
import { outletExcess, seriesOf } from '@/core/season/series';
import { dailyKg, hoursWhen } from '@/core/season/sums';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { TableOf } from './data-table';
import { DayMap } from './day-map';
import { DropFile } from './drop-file';
import { ImportStanding, Notes } from './import-part';
import { useDrains } from './use-drains';
import { useForecast } from './use-forecast';
import { useWeatherImport } from './use-weather-import';
import { type RanPlan, useWeatherRun } from './use-weather-run';

const DAY_MS = 86_400_000;
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const sayDate = (ms: number): string => {
  const d = new Date(ms);
  return `${WEEKDAYS[d.getUTCDay()]} ${d.getUTCDate()} ${MONTHS[d.getUTCMonth()]}`;
};

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

function Changes({ changes }: { changes: readonly WeekChange[] }) {
  const { edit } = usePlan();
  const { say } = useUnits();
  return (
    <section aria-label="What to change">
      <h2 className="mb-1">What to change</h2>
      {changes.length === 0 ? (
        <p className="text-water">● Nothing: as the drains are set, they let out what is forecast.</p>
      ) : (
        <ul>
          {changes.map((c) => (
            <li
              key={c.stageId}
              className="grid gap-x-5 gap-y-1 border-t border-hairline py-2 sm:grid-cols-[9rem_1fr_auto]"
            >
              <span className="font-semibold text-copper">before {sayDate(c.beforeMs)}</span>
              <div>
                <p>
                  <strong>{c.name}</strong>: {said(c.does, say)}
                </p>
                <p className="text-quiet">{said(c.why, say)}</p>
              </div>
              {c.parameters && (
                <button
                  type="button"
                  className="button self-start"
                  onClick={() => edit((p) => setParameters(p, c.stageId, c.parameters ?? {}))}
                >
                  Set it so
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Days({ ran: { plan, run }, firstHour, day }: { ran: RanPlan; firstHour: number; day: (d: number) => string }) {
  const { say } = useUnits();
  const rows = collectingStages(plan)
    .map((s) => ({ stage: s, week: pointWeek(run, s.id, firstHour) }))
    .filter(({ week }) => week.daysKg.some((kg) => kg > 1e-4));
  const days = Array.from({ length: Math.ceil(run.hours / 24) }, (_, d) => d);
  if (rows.length === 0) return null;
  return (
    <section aria-label="Day by day">
      <div className="relative overflow-x-auto">
        <table className="w-full min-w-[40rem] text-[0.9rem]">
          <caption className="pb-1 text-left font-semibold">Water of each day</caption>
          <thead className="text-[0.8rem] text-quiet">
            <tr>
              <th className="py-1 pr-3 text-left font-medium">Drain</th>
              {days.map((d) => (
                <th key={d} className="pr-3 text-right font-medium">
                  {day(d)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ stage, week }) => (
              <tr key={stage.id} className="border-t border-hairline">
                <th className="max-w-40 truncate py-1 pr-3 text-left font-medium">{stage.name}</th>
                {days.map((d) => {
                  const kg = week.daysKg[d] as number;
                  return (
                    <td
                      key={d}
                      className={`pr-3 text-right ${kg > 0 && kg === Math.max(...week.daysKg) ? 'font-semibold' : ''}`}
                    >
                      {kg < 1e-4 ? <span className="text-quiet">–</span> : say(kg / 1000, 'drained')}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <TableOf
        table={() => ({
          name: 'Water of the week',
          columns: ['Drain', ...days.map((d) => `${day(d)}, mL`)],
          rows: rows.map(({ stage, week }) => [stage.name, ...week.daysKg.map((kg) => Math.round(kg * 1000))]),
        })}
      />
    </section>
  );
}

function Jobs({ ran: { plan, run }, firstHour, day }: { ran: RanPlan; firstHour: number; day: (d: number) => string }) {
  const out = allStages(standing(plan)).flatMap((s) => {
    if (s.kind !== 'outlet') return [];
    const excess = outletExcess(plan, run, s);
    const hours = hoursWhen(run.load, run.hours, (h) => h >= firstHour && (excess[h] as number) > 1e-9);
    return hours.hours > 0 ? [{ stage: s, hours }] : [];
  });
  return (
    <section aria-label="The jobs">
      <h2 className="mb-1">The jobs</h2>
      {out.length === 0 ? (
        <p className="text-water">● All get what they need in every worked hour.</p>
      ) : (
        <ul>
          {out.map(({ stage, hours }) => (
            <li key={stage.id} className="border-t border-hairline py-1">
              <strong>{stage.name}</strong>{' '}
              <span className="text-brick">
                ▲ {hours.hours} h out of what it needs, from {day(Math.floor((hours.first ?? 0) / 24))}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** A forecast of the person’s own: a file, or pasted. */
function OwnForecast({ onGive }: { onGive: ReturnType<typeof useForecast>['giveOwn'] }) {
  const importing = useWeatherImport('forecast');
  const [text, setText] = useState('');
  const { state, read, stop } = importing;
  return (
    <details className="border-t border-hairline pt-3">
      <summary className="cursor-pointer text-water underline underline-offset-4">Give a forecast of your own</summary>
      <div className="mt-3 max-w-2xl">
        <DropFile
          name="Import a forecast"
          label="Import CSV…"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          onFile={read}
        >
          <label className="grid w-full gap-1 text-[0.9rem] font-medium">
            Or paste it: a row of names, then time, temperature and humidity
            <textarea
              className="control min-h-28 font-normal"
              value={text}
              placeholder={'time, temperature °C, humidity %\n2026-07-14 09:00, 24.5, 71'}
              onChange={(e) => setText(e.target.value)}
            />
          </label>
          <button
            type="button"
            className="button"
            disabled={text.trim() === ''}
            onClick={() => read(new File([text], 'pasted'))}
          >
            Read what was pasted
          </button>
          <ImportStanding of={importing} />
          {state.kind === 'forecast' && (
            <div className="grid gap-2">
              <p>
                {state.forecast.hours.temperatureC.length - state.forecast.firstHour} hours from{' '}
                {sayDate(state.forecast.startMs)}
                {state.forecast.notes.length > 0 && `; ${state.forecast.notes.length} rows left out`}.
              </p>
              <Notes notes={state.forecast.notes} />
              <div className="flex gap-2">
                <button
                  type="button"
                  className="button button-strong"
                  onClick={() => {
                    onGive(state.forecast);
                    stop();
                  }}
                >
                  Use it
                </button>
                <button type="button" className="button" onClick={stop}>
                  Leave it
                </button>
              </div>
            </div>
          )}
        </DropFile>
      </div>
    </details>
  );
}
