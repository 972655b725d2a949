'use client';

import { useRouter } from 'next/navigation';
import { parseAsString, useQueryState } from 'nuqs';
import { useState } from 'react';
import { sayIn as said } from '@/core/advice/rule';
import { kgPerDay } from '@/core/drains/duty';
import { oilyWater } from '@/core/drains/oily-water';
import { setParameters } from '@/core/plan/edit';
import { sayDay } from '@/core/year/calendar';
import { seriesOf } from '@/core/year/series';
import { monthlyKg } from '@/core/year/sums';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { Scrolls } from '@/ui/primitives/scrolls';
import { Amount, useUnits } from '@/ui/units/units';
import { DayMap } from '../day-map';
import { DRAIN_MARKS, DrainMarkSign, drainWords } from '../drain-marks';
import { type DrainRow, useDrains } from '../use-drains';
import { useWater } from '../water-provider';
import { OilyWaterPart } from './oily-water-part';
import { PointDetail } from './point-detail';
import { WaysToDrain } from './ways-to-drain';

/** The drains of the line as they are set, today: what comes, whether it goes, and what would be better. */
export function TodayView() {
  const { planId, section } = usePlan();
  const { ran, today } = useWater();
  const { say } = useUnits();
  const router = useRouter();
  const rows = useDrains();
  const [chosen, choose] = useQueryState('point', parseAsString);
  const row =
    rows.find((r) => r.duty.stage.id === chosen) ??
    rows.find((r) => r.judged.mark === 'over') ??
    rows.find((r) => r.duty.stage.kind === 'receiver') ??
    rows[0];
  if (!row)
    return (
      <p className="max-w-prose">
        This line has no drain yet. Put a separator or a receiver on{' '}
        <Link className="text-water underline underline-offset-4" href={`/lines/${planId}/line`}>
          the Line
        </Link>{' '}
        and give it one: here it is then set for today’s water, for the worst day and for each season.
      </p>
    );
  const now = rows.reduce((sum, r) => sum + r.duty.nowKgPerS, 0);
  const day = rows.reduce((sum, r) => sum + kgPerDay(r.duty), 0);
  const series = ran && seriesOf(ran.plan, ran.run, { of: 'caught', stageId: row.duty.stage.id });
  const year = series && ran && monthlyKg(series.values, ran.run.load).reduce((a, b) => a + b, 0);
  const oily = ran && oilyWater(ran.plan, section, ran.run);
  return (
    <>
      <p className="-mt-2 text-quiet">
        <strong className="text-ink">
          <Amount si={now} quantity="waterFlow" />
        </strong>{' '}
        condenses while the compressor is loaded · {say(day / 1000, day >= 1 ? 'volume' : 'drained')} on a working day
        like today
      </p>
      <div className="grid items-start gap-x-6 gap-y-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
        <div className="grid min-w-0 gap-5">
          <div className="grid items-start gap-x-6 gap-y-5 xl:grid-cols-[minmax(0,1fr)_17rem]">
            <div className="min-w-0">
              <DrainTable rows={rows} chosen={row} onChoose={(id) => void choose(id)} />
            </div>
            <PointDetail key={row.duty.stage.id} row={row} />
          </div>
          {series && ran ? (
            <section className="border-t border-hairline pt-3" aria-label={`${series.name} through the year`}>
              <h2 className="mb-2">
                {series.name}, hour by hour{' '}
                <span className="font-normal text-quiet">
                  caught while loaded · {say((year ?? 0) / 1000, 'volume')} a year
                </span>
              </h2>
              <DayMap
                series={series}
                load={ran.run.load}
                todayHour={today.hour}
                marks={
                  row.year?.seasons && row.judged.seasons.length > 1
                    ? [
                        {
                          day: row.year.seasons.humidFrom,
                          label: `${sayDay(row.year.seasons.humidFrom)}: humid setting`,
                        },
                        { day: row.year.seasons.dryFrom, label: `${sayDay(row.year.seasons.dryFrom)}: dry setting` },
                      ]
                    : []
                }
                onChoose={(hour) => router.push(`/lines/${planId}/line?stage=${row.duty.stage.id}&hour=${hour}`)}
              />
            </section>
          ) : (
            <p className="border-t border-hairline pt-3 text-quiet">
              With a year of weather this page also knows the humid month, the winter, and the days on which to change a
              setting.{' '}
              <Link href={`/lines/${planId}/water/weather`} className="text-water underline underline-offset-4">
                Choose a year
              </Link>
            </p>
          )}
          {oily && <OilyWaterPart oily={oily} />}
        </div>
        <WaysToDrain row={row} />
      </div>
      <Cautions ids={['C36', 'C20', ...(oily ? ['C27'] : [])]} />
    </>
  );
}

const FOLDED_FROM = 3; // fewer dry ones are no burden

function DrainTable({
  rows,
  chosen,
  onChoose,
}: {
  rows: readonly DrainRow[];
  chosen: DrainRow;
  onChoose: (id: string) => void;
}) {
  const { edit } = usePlan();
  const { say } = useUnits();
  const [allOpen, openAll] = useState(false);
  const hasYear = rows.some((r) => r.year);
  const dry = rows.filter((r) => r.judged.mark === 'dry' && r !== chosen);
  const folds = dry.length > FOLDED_FROM && !allOpen;
  const shown = folds ? rows.filter((r) => !dry.includes(r)) : rows;
  return (
    <>
      <Scrolls label="Drains today">
        <table className="w-full text-[0.92rem] max-sm:block sm:min-w-[36rem]">
          <thead className="text-left align-bottom text-[0.8rem] text-quiet max-sm:hidden">
            <tr>
              <th className="w-6 py-1">
                <span className="sr-only">Mark</span>
              </th>
              <th className="pr-3 font-medium">Where it collects</th>
              <th className="pr-3 font-medium">Drain</th>
              <th className="pr-3 text-right font-medium">Now</th>
              {hasYear && <th className="pr-3 text-right font-medium">Wettest</th>}
              <th className="pr-3 font-medium">As it is set</th>
              <th className="font-medium">Better</th>
            </tr>
          </thead>
          <tbody className="max-sm:block">
            {shown.map((row) => {
              const { stage } = row.duty;
              const { judged } = row;
              const here = row === chosen;
              return (
                <tr
                  key={stage.id}
                  className={`cursor-pointer border-t border-hairline align-top max-sm:grid max-sm:grid-cols-[1.6rem_1fr_auto] max-sm:items-baseline max-sm:py-1.5 max-sm:[&>*]:py-0.5 ${here ? 'bg-sunk' : 'hover:bg-sunk/50'}`}
                  onClick={() => onChoose(stage.id)}
                >
                  <td className={`border-l-4 py-2 pl-1 ${here ? 'border-copper' : 'border-transparent'}`}>
                    <DrainMarkSign mark={judged.mark} />
                  </td>
                  <th className="py-2 pr-3 text-left font-semibold sm:max-w-40">
                    <button
                      type="button"
                      className="min-h-target text-left"
                      aria-pressed={here}
                      onClick={(e) => {
                        e.stopPropagation();
                        onChoose(stage.id);
                      }}
                    >
                      {stage.name}
                    </button>
                  </th>
                  <td className="py-2 pr-3 text-quiet max-sm:order-1 max-sm:col-start-2 sm:min-w-28">
                    {drainWords(stage.kind, stage.parameters.drain)}
                  </td>
                  <td className="py-2 pr-3 text-right">
                    <Amount si={row.duty.nowKgPerS} quantity="waterFlow" />
                  </td>
                  {hasYear && (
                    <td className="py-2 pr-3 text-right max-sm:order-1">
                      {row.year && <Amount si={row.year.peak.value} quantity="waterFlow" />}
                    </td>
                  )}
                  <td className="py-2 pr-3 max-sm:order-2 max-sm:col-span-2 max-sm:col-start-2">
                    {said(judged.atSetting, say)}
                  </td>
                  <td className="py-2 pr-2 max-sm:order-3 max-sm:col-span-2 max-sm:col-start-2">
                    <span className="font-medium">{judged.better ? said(judged.better, say) : '—'}</span>
                    {judged.parameters && (
                      <button
                        type="button"
                        className="mt-1 block min-h-target text-water underline underline-offset-4"
                        onClick={(e) => {
                          e.stopPropagation();
                          edit((p) => setParameters(p, stage.id, judged.parameters ?? {}));
                        }}
                      >
                        Apply<span className="sr-only">: {stage.name}</span>
                      </button>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scrolls>
      {folds && (
        <button
          type="button"
          className="mt-1 min-h-7 border-t border-hairline text-water underline underline-offset-4"
          onClick={() => openAll(true)}
        >
          ○ {dry.length} more that stay dry
        </button>
      )}
      <p className="mt-2 flex flex-wrap gap-x-4 text-[0.82rem] text-quiet">
        {Object.entries(DRAIN_MARKS).map(([mark, { sign, tone, says }]) => (
          <span key={mark}>
            <span className={tone}>{sign}</span> {says}
          </span>
        ))}
        {hasYear && <span>wettest: the worst worked hour of the year</span>}
      </p>
    </>
  );
}
