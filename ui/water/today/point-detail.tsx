'use client';

import { useState } from 'react';
import { bowlMarkM3, handDraining } from '@/core/drains/by-hand';
import { gathersPerStopM3, kgPerDay, stopsPerDay } from '@/core/drains/duty';
import { panFullS } from '@/core/drains/judge-setting';
import { CAPACITY_MARGIN, standingWaterKg } from '@/core/drains/restart';
import { sayHeight, sayWater, spellWork } from '@/core/drains/words';
import { receiverHeelM } from '@/core/equipment/supply/receiver';
import { setParameter } from '@/core/plan/edit';
import { MONTHS } from '@/core/year/calendar';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Drag } from '@/ui/forms/drag';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import type { DrainRow } from '../use-drains';
import { SumpDrawing } from './sump-drawing';

/** One place that collects: what stands in it after so many hours, and how soon it is full, today and in other months. */
export function PointDetail({ row }: { row: DrainRow }) {
  const { duty, year } = row;
  const { plan, section, edit } = usePlan();
  const { say } = useUnits();
  const { stage } = duty;
  const { sumpM3 } = stage.parameters;
  const [hours, setHours] = useState(Math.max(1, Math.round(duty.workedHoursPerDay)));
  const tank = stage.kind === 'receiver' ? stage.parameters : undefined;
  const waterM3 = (duty.nowKgPerS * hours * duty.loadedShare * 3600) / 1000;
  const heel = (m3: number): number => (tank ? receiverHeelM(tank.volumeM3, m3, tank.stands) : m3 / sumpM3);
  // The drawing of a receiver shows its lowest part, so that a few centimetres can be seen.
  const scale = tank ? Math.max(3 * heel(sumpM3), 1.2 * heel(waterM3)) : 1.4;
  const fills = (kgPerS: number): string =>
    spellWork(handDraining(kgPerS, sumpM3, duty.loadedShare, duty.workedHoursPerDay).workedS, duty.workedHoursPerDay);
  const monthFill = (kg: number): string =>
    spellWork((sumpM3 * 1000 * duty.workedHoursPerDay * 3600) / kg, duty.workedHoursPerDay);
  const humid = year ? year.wettestDays.indexOf(Math.max(...year.wettestDays)) : -1;
  const dry = year ? year.wettestDays.indexOf(Math.min(...year.wettestDays)) : -1;
  const pan = panFullS(duty);
  const slug = standingWaterKg(plan, section);
  return (
    <section aria-label={`${stage.name} today`} className="grid content-start gap-2">
      <h2>{stage.name}, today</h2>
      <div className="grid grid-cols-[7rem_1fr] items-center gap-3">
        <SumpDrawing
          shape={tank ? tank.stands : 'bowl'}
          level={heel(waterM3) / scale}
          mark={heel(sumpM3) / scale}
          says={`After ${hours} h ${say(waterM3, 'drained')} of ${say(sumpM3, 'drained')} up to its mark`}
        />
        <div className="text-[0.92rem]">
          <p>
            after <strong>{hours} h</strong> of work
          </p>
          <p className="text-[1.15rem] font-semibold">
            {tank && `${sayHeight(say, heel(waterM3))} · `}
            {sayWater(say, waterM3)}
          </p>
          <p className={waterM3 > sumpM3 ? 'text-brick' : 'text-quiet'}>
            mark {tank && `${say(heel(sumpM3), 'size')} · `}
            {sayWater(say, sumpM3)}
          </p>
        </div>
      </div>
      <Drag label="Hours of work since it was drained" value={hours} min={1} max={72} step={1} onChange={setHours} />
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-[0.9rem]">
        <dt className="text-quiet">Full to the mark in</dt>
        <dd>
          <strong>{fills(duty.nowKgPerS)}</strong>, today
        </dd>
        {year && humid >= 0 && year.wettestDay.kg > 0 && (
          <>
            <dt className="text-quiet">{MONTHS[humid]}, worst day</dt>
            <dd>{monthFill(year.wettestDays[humid] as number)}</dd>
            <dt className="text-quiet">{MONTHS[dry]}, worst day</dt>
            <dd>{monthFill(year.wettestDays[dry] as number)}</dd>
            <dt className="text-quiet">Designed for</dt>
            <dd>
              {say(year.design.value, 'waterFlow')}, exceeded in {year.design.exceededHours} h a year; capacity{' '}
              {CAPACITY_MARGIN} × that
            </dd>
          </>
        )}
        <dt className="text-quiet">A day like today</dt>
        <dd>{sayWater(say, kgPerDay(duty) / 1000)}</dd>
        {duty.cycle && (
          <>
            <dt className="text-quiet">Between two stops</dt>
            <dd>
              {say(gathersPerStopM3(duty, duty.nowKgPerS), 'drained')} · {Math.round(stopsPerDay(duty))} stops a day
            </dd>
          </>
        )}
        {pan !== undefined && (
          <>
            <dt className="text-quiet">Catch pan full in</dt>
            <dd>{spellWork(pan, duty.workedHoursPerDay)}</dd>
          </>
        )}
      </dl>
      <p className="text-[0.82rem] text-quiet">
        {CAPACITY_MARGIN} × the peak: a start sends the water of the first minutes in one push
        {slug > 1e-3 &&
          `, and after a weekend the ${say(slug / 1000, 'drained')} that condensed in the receivers as they cooled`}
        .
      </p>
      {tank && (
        <ChoiceInput
          id="receiver-stands"
          label="It stands"
          value={tank.stands}
          options={{ upright: 'upright', lying: 'lying' }}
          onCommit={(v) => edit((p) => setParameter(p, stage.id, 'stands', v))}
        />
      )}
      {!tank && <BowlMark onSet={(m3) => edit((p) => setParameter(p, stage.id, 'sumpM3', m3))} />}
    </section>
  );
}

/** What a mark on a bowl means: its width and height measured, the water under it told. */
function BowlMark({ onSet }: { onSet: (m3: number) => void }) {
  const { say } = useUnits();
  const [bore, setBore] = useState(0.04);
  const [mark, setMark] = useState(0.04);
  const m3 = bowlMarkM3(bore, mark);
  return (
    <details className="text-[0.9rem]">
      <summary className="cursor-pointer text-water underline underline-offset-4">What does its mark mean?</summary>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <QuantityInput
          id="bowl-bore"
          label="Bowl is wide"
          quantity="size"
          value={bore}
          min={0.01}
          max={0.4}
          onCommit={(v) => void setBore(v)}
        />
        <QuantityInput
          id="bowl-mark"
          label="Mark stands high"
          quantity="size"
          value={mark}
          min={0.002}
          max={1}
          onCommit={(v) => void setMark(v)}
        />
      </div>
      <button type="button" className="button mt-2" onClick={() => onSet(m3)}>
        Its mark is at {say(m3, 'drained')}
      </button>
    </details>
  );
}
