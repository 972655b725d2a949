'use client';

import { useRouter } from 'next/navigation';
import { parseAsInteger, parseAsString, useQueryState } from 'nuqs';
import { useMemo } from 'react';
import { setParameter } from '@/core/plan/edit';
import { allStages } from '@/core/plan/runs';
import { sayDay, sayHour } from '@/core/year/calendar';
import { type Series, type SeriesId, seriesIds, seriesOf } from '@/core/year/series';
import { dailyKg, designHour, peak, totalKg } from '@/core/year/sums';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Drag } from '@/ui/forms/drag';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { TableOf } from '../data-table';
import { DayMap } from '../day-map';
import type { RanPlan } from '../use-weather-run';
import { useWater } from '../water-provider';
import { Duration } from './duration';
import { MonthMeansList, Months, WorstWeek } from './year-months';
import { durationTable, hourTable } from './year-tables';
import { Media, Outlets } from './year-uses';

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
  return ran ? <Shown ran={ran} /> : <p className="text-quiet">Calculating 8760 hours…</p>;
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
            ▲ In {run.stopped.hours} hours the line could not be calculated:{' '}
            <InUnits text={run.stopped.message ?? ''} />
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
          <h2 className="mb-1">Duration curve</h2>
          <Duration series={series} load={run.load} designHours={designHours} />
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
