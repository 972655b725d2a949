'use client';

import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { MOST_A_KWH, MOST_AN_HOUR } from '@/core/plan/money';
import { MOST_JOBS, OWNABLE, type Ownable, type Question, questionJob } from '@/core/planner/question';
import { Ask, Choose, COMPRESSOR_SHAPE, PAIR, type SetQuestion, SHAPE } from './ask-question';
import { ClimateField } from './climate-field';
import { JobRow } from './job-row';
import { PlainNumber } from './plain-number';

function Step({ number, title, children }: { number: number; title: string; children: ReactNode }) {
  return (
    <fieldset className="grid gap-3 rounded-md border border-hairline bg-card p-4">
      <legend className="sr-only">{title}</legend>
      <h2 className="flex items-baseline gap-2">
        <span className="text-copper">{number}</span> {title}
      </h2>
      {children}
    </fieldset>
  );
}

/** The question in four steps; every field has a number that may stay. */
export function QuestionForm({ question: q, set }: { question: Question; set: SetQuestion }) {
  const ask = (field: keyof Question & string) => (
    <Ask
      shape={SHAPE}
      field={field}
      id={field}
      value={q[field] as number}
      onValue={(value) => set({ [field]: value })}
    />
  );
  return (
    <>
      <Step number={1} title="Jobs">
        <ul className="grid gap-3">
          {q.jobs.map((job, i) => (
            <JobRow
              // biome-ignore lint/suspicious/noArrayIndexKey: they have no other name
              key={i}
              at={i}
              job={job}
              onJob={(next) => set({ jobs: q.jobs.with(i, next) })}
              {...(q.jobs.length > 1 && { onRemove: () => set({ jobs: q.jobs.toSpliced(i, 1) }) })}
            />
          ))}
        </ul>
        {q.jobs.length < MOST_JOBS && (
          <div>
            <button type="button" className="button" onClick={() => set({ jobs: [...q.jobs, questionJob('wrench')] })}>
              <Plus size={15} aria-hidden /> Add a job
            </button>
          </div>
        )}
      </Step>
      <CompressorStep question={q} set={set} />
      <Step number={3} title="Air and rooms">
        <p className="text-[0.85rem] text-quiet">Warm day: one of the 35 warmest, most humid hours of a year.</p>
        <ClimateField question={q} set={set} />
        <div className={PAIR}>
          {ask('intakeC')}
          {ask('intakeHumidity')}
          {ask('roomC')}
          {ask('coldestRoomC')}
          {ask('altitudeM')}
        </div>
      </Step>
      <LimitsStep question={q} set={set} />
    </>
  );
}

function CompressorStep({ question: q, set }: { question: Question; set: SetQuestion }) {
  const { compressor } = q;
  const to = (change: Partial<Question['compressor']>): void => set({ compressor: { ...compressor, ...change } });
  const ask = (field: keyof Question['compressor'] & string) => (
    <Ask
      shape={COMPRESSOR_SHAPE}
      field={field}
      id={field}
      value={compressor[field] as number}
      onValue={(value) => to({ [field]: value })}
    />
  );
  const choose = (field: 'sized' | 'type') => (
    <Choose
      shape={COMPRESSOR_SHAPE}
      field={field}
      id={field}
      value={compressor[field]}
      onValue={(value) => to({ [field]: value })}
    />
  );
  const swapped = compressor.cutInGaugePa >= compressor.cutOutGaugePa;
  const isOpen = compressor.sized === 'open';
  return (
    <Step number={2} title="Compressor and tank">
      {choose('sized')}
      {choose('type')}
      <div className={PAIR}>
        {!isOpen && (
          <>
            {ask('freeAirDeliveryM3PerS')}
            <Ask
              shape={SHAPE}
              field="receiverM3"
              id="receiverM3"
              value={q.receiverM3}
              onValue={(receiverM3) => set({ receiverM3 })}
            />
          </>
        )}
        {ask('cutInGaugePa')}
        {ask('cutOutGaugePa')}
      </div>
      {swapped && (
        <p role="alert" className="text-[0.85rem] text-brick">
          It cuts in below the pressure at which it cuts out. Are the two swapped?
        </p>
      )}
    </Step>
  );
}

function LimitsStep({ question: q, set }: { question: Question; set: SetQuestion }) {
  const toggle = (list: 'owned' | 'refused', kind: Ownable): void => {
    const has = q[list].includes(kind);
    const other = list === 'owned' ? 'refused' : 'owned';
    set({
      [list]: has ? q[list].filter((k) => k !== kind) : [...q[list], kind],
      ...(!has && { [other]: q[other].filter((k) => k !== kind) }),
    });
  };
  const list = (name: 'owned' | 'refused', legend: string) => (
    <details>
      <summary className="min-h-9 cursor-pointer py-1">
        {legend}: {q[name].length === 0 ? 'nothing' : q[name].map((k) => OWNABLE[k]).join(', ')}
      </summary>
      <fieldset className="grid gap-x-3 sm:grid-cols-2">
        <legend className="sr-only">{legend}</legend>
        {(Object.keys(OWNABLE) as Ownable[]).map((kind) => (
          <label key={kind} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-(--water)"
              checked={q[name].includes(kind)}
              onChange={() => toggle(name, kind)}
            />
            {OWNABLE[kind]}
          </label>
        ))}
      </fieldset>
    </details>
  );
  const choose = (field: 'hasPower' | 'noise' | 'condensate' | 'breathed') => (
    <Choose shape={SHAPE} field={field} id={field} value={q[field]} onValue={(value) => set({ [field]: value })} />
  );
  const { currency } = q.money;
  return (
    <Step number={4} title="What there is, and what it may take">
      <div className={PAIR}>
        <PlainNumber
          id="budget"
          label={`Budget, ${currency}`}
          value={q.budget}
          most={1e9}
          onValue={(budget) => set({ budget })}
        />
        <PlainNumber
          id="tariff"
          label={`A kWh, ${currency}`}
          value={q.money.perKWh}
          most={MOST_A_KWH}
          whole={false}
          onValue={(perKWh) => set({ money: { ...q.money, perKWh } })}
        />
        <PlainNumber
          id="hour"
          label={`An hour of work, ${currency}`}
          value={q.money.perHour}
          most={MOST_AN_HOUR}
          whole={false}
          onValue={(perHour) => set({ money: { ...q.money, perHour } })}
        />
        <PlainNumber
          id="minutesPerWeek"
          label="Minutes a week for tasks"
          value={q.minutesPerWeek}
          most={3000}
          onValue={(minutesPerWeek) => set({ minutesPerWeek })}
        />
        {choose('hasPower')}
        {choose('noise')}
        {choose('condensate')}
        {choose('breathed')}
        <Ask
          shape={SHAPE}
          field="hoursPerDay"
          id="hoursPerDay"
          value={q.hoursPerDay}
          onValue={(hoursPerDay) => set({ hoursPerDay })}
        />
        <PlainNumber
          id="daysPerWeek"
          label="Working days a week"
          value={q.daysPerWeek}
          least={1}
          most={7}
          onValue={(daysPerWeek) => set({ daysPerWeek })}
        />
      </div>
      {list('owned', 'Owned already')}
      {list('refused', 'Not wanted')}
      <p className="text-[0.82rem] text-quiet">
        Prices, tariff and hour are placeholders in an invented money: they tell small from large. On Compare of a line
        they are replaced by your own.
      </p>
    </Step>
  );
}
