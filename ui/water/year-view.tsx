'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { parseAsInteger, parseAsString, useQueryState } from 'nuqs';
import { useMemo } from 'react';
import { collectingStages } from '@/core/drain/duty';
import { setParameter } from '@/core/line/edit';
import { allStages, standing } from '@/core/line/runs';
import { fromSi, unitOf } from '@/core/quantity/units';
import { hourAt, MONTHS, sayDay } from '@/core/season/calendar';
import { mediaUse } from '@/core/season/media-use';
import { outletExcess, type Series, type SeriesId, seriesIds, seriesOf } from '@/core/season/series';
import {
  dailyKg,
  designHour,
  durationCurve,
  hoursWhen,
  monthlyKg,
  monthlyMean,
  peak,
  totalKg,
  worstWeek,
} from '@/core/season/sums';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Drag } from '@/ui/forms/drag';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { TableOf } from './data-table';
import { DayMap, sayHour } from './day-map';
import type { RanPlan } from './use-weather-run';
import { useWater } from './water-provider';

const blank = () => <div className="h-48" />;
const DurationCurve = dynamic(() => import('./duration-curve').then((m) => m.DurationCurve), {
  ssr: false,
  loading: blank,
});
const MonthBars = dynamic(() => import('./month-bars').then((m) => m.MonthBars), { ssr: false, loading: blank });

/** Hours of the worked year by which a design may be exceeded. */
const DESIGNS = {
  '0': 'never',
  '18': '18 h a year (0.2 %)',
  '35': '35 h a year (0.4 %)',
  '88': '88 h a year (1 %)',
  '175': '175 h a year (2 %)',
};
const keyOf = (id: SeriesId): string => ('stageId' in id ? `${id.of}:${id.stageId}` : id.of);

/** A year of the line, hour by hour. */
export function YearView() {
  const { ran, weather, climate, busy } = useWater();
  const { planId } = usePlan();
  if (climate.from === 'none' || (!weather && !busy))
    return (
      <p className="max-w-prose">
        A year needs weather: an EPW or CSV file, the means of the months, or one of the made-up years that come with
        the program.{' '}
        <Link href={`/lines/${planId}/water/weather`} className="text-water underline underline-offset-4">
          Choose a year
        </Link>
      </p>
    );
  return ran ? <Shown ran={ran} /> : <p className="text-quiet">Walking the line through 8760 hours…</p>;
}

function Shown({ ran }: { ran: RanPlan }) {
  const { planId } = usePlan();
  const { today } = useWater();
  const { say } = useUnits();
  const router = useRouter();
  const [chosen, choose] = useQueryState('of', parseAsString.withDefault('all-drains'));
  const [designHours, setDesignHours] = useQueryState('beyond', parseAsInteger.withDefault(35));
  const { plan, run } = ran;
  const ids = useMemo(() => seriesIds(plan, run), [plan, run]);
  const id = ids.find((i) => keyOf(i) === chosen) ?? (ids[0] as SeriesId);
  const series = useMemo(() => seriesOf(plan, run, id), [plan, run, id]);
  const names = useMemo(
    () =>
      Object.fromEntries(
        ids.flatMap((i) => {
          const s = seriesOf(plan, run, i);
          return s ? [[keyOf(i), s.name]] : [];
        }),
      ),
    [plan, run, ids],
  );
  if (!series) return null;
  const design = designHour(series.values, run.load, designHours);
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <div className="w-72 max-w-full">
          <ChoiceInput id="year-of" label="Shown" value={keyOf(id)} options={names} onCommit={(v) => void choose(v)} />
        </div>
        <div className="w-52">
          <ChoiceInput
            id="year-beyond"
            label="Designed to be exceeded"
            value={String(designHours)}
            options={DESIGNS}
            onCommit={(v) => void setDesignHours(Number(v))}
          />
        </div>
        <Approach />
        {run.stopped.hours > 0 && (
          <p role="alert" className="text-brick">
            ▲ In {run.stopped.hours} hours the walk was stopped: {run.stopped.message}
          </p>
        )}
      </div>
      <Headline series={series} ran={ran} />
      <section aria-label="Hour by hour">
        <DayMap
          series={series}
          load={run.load}
          todayHour={today.hour}
          onChoose={(hour) => router.push(`/lines/${planId}/line?hour=${hour}`)}
        />
        <TableOf table={() => hourTable(series, ran)} />
      </section>
      <div className="grid gap-x-8 gap-y-6 border-t border-hairline pt-3 lg:grid-cols-2 xl:grid-cols-3">
        <section aria-label="By month">
          <h2 className="mb-1">By month</h2>
          {series.isWater ? <Months ran={ran} of={id} series={series} /> : <MonthMeansList series={series} ran={ran} />}
        </section>
        <section aria-label="Duration">
          <h2 className="mb-1">For how many hours</h2>
          <DurationCurve series={series} load={run.load} designHours={designHours} />
          {design && (
            <p className="text-[0.85rem] text-quiet">
              Its design hour is {sayHour(design.hour)}: intake {say(run.intakeC[design.hour] as number, 'temperature')}
              , {say(run.intakeRh[design.hour] as number, 'share')}.
            </p>
          )}
          <TableOf table={() => durationTable(series, ran)} />
        </section>
        <section aria-label="Worst week">
          <h2 className="mb-1">Worst week</h2>
          <WorstWeek series={series} ran={ran} />
        </section>
      </div>
      <Outlets ran={ran} />
      <Media ran={ran} />
    </>
  );
}

/** The one number that most plans turn on, at hand: what the cooler leaves. The year follows while it is dragged. */
function Approach() {
  const { plan, edit } = usePlan();
  const { say } = useUnits();
  const cooler = allStages(plan).find((s) => s.kind === 'aftercooler' && s.parameters.method === 'approach');
  if (cooler?.kind !== 'aftercooler') return null;
  return (
    <div className="w-64">
      <p className="text-[0.9rem] font-medium">
        {cooler.name}: approach {say(cooler.parameters.approachK, 'temperatureDifference')}
      </p>
      <Drag
        label={`Approach of ${cooler.name}`}
        value={cooler.parameters.approachK}
        min={1}
        max={30}
        step={0.5}
        onChange={(v) => edit((p) => setParameter(p, cooler.id, 'approachK', v), 'approach')}
      />
    </div>
  );
}

function Headline({ series, ran: { run } }: { series: Series; ran: RanPlan }) {
  const { say } = useUnits();
  const top = peak(series.values, run.load);
  if (!top) return <p>Nobody works in this year.</p>;
  const days = dailyKg(series.values, run.load);
  const wettest = days.reduce((best, kg, d) => (kg > (days[best] as number) ? d : best), 0);
  return (
    <p>
      {series.isWater ? (
        <>
          <strong>{say(totalKg(series.values, run.load) / 1000, 'volume')} a year</strong> · most on {sayDay(wettest)},{' '}
          {say((days[wettest] as number) / 1000, 'volume')} ·{' '}
        </>
      ) : null}
      <span className={series.isWater ? 'text-quiet' : ''}>
        highest while somebody works {Number.isFinite(top.value) ? say(top.value, series.quantity) : 'drops'} (
        {sayHour(top.hour)})
      </span>
    </p>
  );
}

function Months({ ran, of, series }: { ran: RanPlan; of: SeriesId; series: Series }) {
  const { choice } = useUnits();
  const { plan, run } = ran;
  const rows =
    of.of === 'all-drains'
      ? collectingStages(plan)
          .map((s) => ({
            name: s.name,
            months: monthlyKg(seriesOf(plan, run, { of: 'caught', stageId: s.id })?.values ?? [], run.load),
          }))
          .filter((r) => r.months.some((kg) => kg > 1e-6))
      : [{ name: series.name, months: monthlyKg(series.values, run.load) }];
  const u = unitOf('volume', choice.volume);
  const cell = (kg: number): number => Number(fromSi(kg / 1000, u, 0).toPrecision(4));
  return (
    <>
      <MonthBars rows={rows} />
      <TableOf
        table={() => ({
          name: `${series.name} by month`,
          columns: ['Month', ...rows.map((r) => `${r.name}, ${u.symbol}`)],
          rows: MONTHS.map((m, i) => [m, ...rows.map((r) => cell(r.months[i] as number))]),
        })}
      />
    </>
  );
}

function MonthMeansList({ series, ran: { run } }: { series: Series; ran: RanPlan }) {
  const { say } = useUnits();
  const means = monthlyMean(series.values, run.load);
  return (
    <>
      <table className="w-full text-[0.9rem]">
        <tbody>
          {means.map((v, m) => (
            <tr key={MONTHS[m]} className="border-t border-hairline">
              <th className="py-0.5 text-left font-medium">{MONTHS[m]}</th>
              <td className="text-right">{Number.isNaN(v) ? '–' : say(v, series.quantity)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <TableOf
        table={() => ({
          name: `${series.name} by month`,
          columns: ['Month', `mean, ${SI_WORDS[series.quantity] ?? series.quantity}`],
          rows: means.map((v, m) => [MONTHS[m] as string, Number.isNaN(v) ? '' : Number(v.toPrecision(4))]),
        })}
      />
    </>
  );
}

function WorstWeek({ series, ran: { run } }: { series: Series; ran: RanPlan }) {
  const { say } = useUnits();
  const daily = series.isWater
    ? dailyKg(series.values, run.load)
    : Float64Array.from({ length: Math.ceil(run.hours / 24) }, (_, d) => {
        let sum = 0;
        for (let h = 0; h < 24; h++) {
          const v = series.values[d * 24 + h] as number;
          sum += Number.isFinite(v) ? v / 24 : 0;
        }
        return sum;
      });
  const { firstDay, sum } = worstWeek(daily);
  const days = Array.from({ length: 7 }, (_, i) => (firstDay + i) % daily.length);
  const most = Math.max(...days.map((d) => Math.abs(daily[d] as number)), 1e-12);
  const word = (v: number): string => (series.isWater ? say(v / 1000, 'volume') : say(v, series.quantity));
  return (
    <>
      <p className="mb-2">
        <strong>
          {sayDay(firstDay)} to {sayDay(firstDay + 6)}
        </strong>
        : {series.isWater ? word(sum) : `${word(sum / 7)} on average`}
      </p>
      <ul className="grid gap-1 text-[0.88rem]">
        {days.map((d) => (
          <li key={d} className="grid grid-cols-[3.6rem_1fr_5rem] items-center gap-2">
            <span>{sayDay(d)}</span>
            <span className="h-2.5 bg-sunk" aria-hidden>
              <span
                className="block h-full bg-drops"
                style={{ width: `${(100 * Math.abs(daily[d] as number)) / most}%` }}
              />
            </span>
            <span className="text-right">{word(daily[d] as number)}</span>
          </li>
        ))}
      </ul>
      <TableOf
        table={() => ({
          name: `${series.name} by day`,
          columns: ['Day', series.isWater ? 'kg' : series.quantity],
          rows: Array.from(daily, (v, d) => [sayDay(d), Number(v.toPrecision(5))]),
        })}
      />
    </>
  );
}

/** Of each outlet, the worked hours in which it does not get what it needs, and when. */
function Outlets({ ran: { plan, run } }: { ran: RanPlan }) {
  const rows = useMemo(
    () =>
      allStages(standing(plan)).flatMap((s) => {
        if (s.kind !== 'outlet') return [];
        const excess = outletExcess(plan, run, s);
        return [{ stage: s, out: hoursWhen(run.load, run.hours, (h) => (excess[h] as number) > 1e-9) }];
      }),
    [plan, run],
  );
  const worked = run.load.reduce((n, l) => n + (l > 0 ? 1 : 0), 0);
  if (rows.length === 0) return null;
  return (
    <section className="border-t border-hairline pt-3" aria-label="Outlets through the year">
      <h2 className="mb-1">
        What the jobs get <span className="font-normal text-quiet">· of {worked} worked hours</span>
      </h2>
      <ul className="grid gap-x-8 sm:grid-cols-2 xl:grid-cols-3">
        {rows.map(({ stage, out }) => (
          <li key={stage.id} className="flex justify-between gap-3 border-t border-hairline py-1">
            <span>{stage.name}</span>
            {out.hours === 0 ? (
              <span className="text-water">● always as it needs</span>
            ) : (
              <span className="text-brick">
                ▲ {out.hours} h out
                <span className="text-quiet">
                  , {sayDay(Math.floor((out.first ?? 0) / 24))} to {sayDay(Math.floor((out.last ?? 0) / 24))}
                </span>
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Beads and pellets that the year uses. */
function Media({ ran: { plan, run } }: { ran: RanPlan }) {
  const { say } = useUnits();
  const uses = useMemo(() => mediaUse(plan, run), [plan, run]);
  if (uses.length === 0) return null;
  return (
    <section className="border-t border-hairline pt-3" aria-label="Media">
      <h2 className="mb-1">Beads and pellets</h2>
      <ul>
        {uses.map((u) => (
          <li key={u.stageId}>
            <strong>{u.name}</strong> takes up {say(u.waterKg, 'mass')} of water a year:{' '}
            {u.charges !== undefined
              ? `${u.charges < 10 ? u.charges.toFixed(1) : Math.round(u.charges)} charges`
              : `some ${say(u.pelletsKg ?? 0, 'mass')} of pellets`}
          </li>
        ))}
      </ul>
    </section>
  );
}

function hourTable(series: Series, { run }: RanPlan) {
  return {
    name: series.name,
    columns: [
      'Month',
      'Day',
      'Hour',
      SI_WORDS[series.quantity] ?? series.quantity,
      'share of the hour loaded',
      'intake °C',
      'intake humidity',
    ],
    rows: Array.from(series.values, (v, h) => {
      const { month, day, hour } = hourAt(h);
      const own = series.isWater ? v * 3.6e6 : v;
      return [
        MONTHS[month] as string,
        day,
        hour,
        Number.isFinite(own) ? Number(own.toPrecision(5)) : '',
        Number((run.load[h] as number).toFixed(3)),
        Number((run.intakeC[h] as number).toFixed(1)),
        Number((run.intakeRh[h] as number).toFixed(3)),
      ];
    }),
  };
}

/** Tables are in one unit, said in their head, so that whoever reads them on need not ask. */
const SI_WORDS: Readonly<Record<string, string>> = {
  waterFlow: 'g/h while loaded',
  temperature: '°C',
  temperatureDifference: 'K',
  share: 'share',
};

function durationTable(series: Series, { run }: RanPlan) {
  const curve = durationCurve(series.values, run.load);
  const factor = series.isWater ? 3.6e6 : 1;
  return {
    name: `${series.name} duration`,
    columns: ['Hours exceeded', SI_WORDS[series.quantity] ?? series.quantity],
    rows: Array.from(curve, (v, i) => [i, Number.isFinite(v) ? Number((v * factor).toPrecision(5)) : '']),
  };
}
