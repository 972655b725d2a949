'use client';

import dynamic from 'next/dynamic';
import { collectingStages } from '@/core/drains/duty';
import { fromSi, unitOf } from '@/core/quantity/units';
import { MONTHS, sayDay } from '@/core/year/calendar';
import { type Series, type SeriesId, seriesOf } from '@/core/year/series';
import { dailyKg, monthlyKg, monthlyMean, worstWeek } from '@/core/year/sums';
import { useUnits } from '@/ui/units/units';
import { TableOf } from '../data-table';
import type { RanPlan } from '../use-weather-run';
import { SI_WORDS } from './year-tables';

const MonthBars = dynamic(() => import('./month-bars').then((m) => m.MonthBars), {
  ssr: false,
  loading: () => <div className="h-48" />,
});

// Light beside dark, so that neighbours part also without their colour; each is named in the legend and in the table.
const FILLS = [
  'var(--wet-4)',
  'var(--wet-2)',
  'var(--copper)',
  'var(--wet-1)',
  'var(--wet-3)',
  'var(--sand)',
  'var(--amber)',
];

/** Water of each month, by drain. */
export function Months({ ran, of, series }: { ran: RanPlan; of: SeriesId; series: Series }) {
  const { choice } = useUnits();
  const { plan, run } = ran;
  const named =
    of.of === 'all-drains'
      ? collectingStages(plan)
          .map((s) => ({
            name: s.name,
            months: monthlyKg(seriesOf(plan, run, { of: 'caught', stageId: s.id })?.values ?? [], run.load),
          }))
          .filter((r) => r.months.some((kg) => kg > 1e-6))
      : [{ name: series.name, months: monthlyKg(series.values, run.load) }];
  const rows = named.map((r, i) => ({ ...r, fill: FILLS[i % FILLS.length] as string }));
  const u = unitOf('volume', choice.volume);
  const cell = (kg: number): number => Number(fromSi(kg / 1000, u, 0).toPrecision(4));
  return (
    <>
      <figure>
        <MonthBars rows={rows} />
        <figcaption className="flex flex-wrap gap-x-4 gap-y-0.5 text-[0.8rem] text-quiet">
          <span>{u.symbol} a month</span>
          {rows.map((r) => (
            <span key={r.name} className="flex items-center gap-1.5">
              <i className="inline-block size-2.5" style={{ background: r.fill }} aria-hidden />
              {r.name}
            </span>
          ))}
        </figcaption>
      </figure>
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

export function MonthMeansList({ series, ran: { run } }: { series: Series; ran: RanPlan }) {
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

export function WorstWeek({ series, ran: { run } }: { series: Series; ran: RanPlan }) {
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
