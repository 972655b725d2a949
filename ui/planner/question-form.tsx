'use client';

import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { FieldMeta } from '@/core/equipment/shared/kind';
import { JOBS, type JobId } from '@/core/plan/jobs';
import {
  MOST_JOBS,
  OWNABLE,
  type Ownable,
  type Question,
  type QuestionJob,
  questionJob,
  questionJobSchema,
  questionSchema,
} from '@/core/planner/question';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { WholeNumber } from './whole-number';

type Set = (change: Partial<Question>) => void;
type Shape = Readonly<Record<string, { meta(): unknown }>>;
const SHAPE = questionSchema.shape as unknown as Shape;
const JOB_SHAPE = questionJobSchema.shape as unknown as Shape;
const COMPRESSOR_SHAPE = (questionSchema.shape.compressor as unknown as { shape: Shape }).shape;

/** A number of the question, asked as its schema has it. */
function Ask({
  shape,
  field,
  id,
  value,
  onValue,
}: {
  shape: Shape;
  field: string;
  id: string;
  value: number;
  onValue: (value: number) => void;
}) {
  const meta = shape[field]?.meta() as FieldMeta & { quantity: NonNullable<FieldMeta['quantity']> };
  return (
    <QuantityInput
      id={id}
      label={meta.label}
      quantity={meta.quantity}
      value={value}
      min={meta.least}
      max={meta.most}
      onCommit={(si) => {
        onValue(si);
        return undefined;
      }}
    />
  );
}

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

const PAIR = 'grid grid-cols-2 items-end gap-x-3 gap-y-2';

/** The question in four steps; every field has a number that may stay. */
export function QuestionForm({ question: q, set }: { question: Question; set: Set }) {
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
        <div className={PAIR}>
          {ask('intakeC')}
          {ask('intakeHumidity')}
          {ask('roomC')}
          {ask('coldestRoomC')}
          {ask('workroomC')}
          {ask('altitudeM')}
        </div>
      </Step>
      <LimitsStep question={q} set={set} />
    </>
  );
}

function JobRow({
  at,
  job,
  onJob,
  onRemove,
}: {
  at: number;
  job: QuestionJob;
  onJob: (job: QuestionJob) => void;
  onRemove?: () => void;
}) {
  const id = `job-${at + 1}`;
  const ask = (field: keyof QuestionJob & string) => (
    <Ask
      shape={JOB_SHAPE}
      field={field}
      id={`${id}-${field}`}
      value={job[field] as number}
      onValue={(value) => onJob({ ...job, [field]: value })}
    />
  );
  const options = Object.fromEntries(Object.entries(JOBS).map(([key, { label }]) => [key, label]));
  const { distanceM, coldestC, isCold } = job;
  return (
    <li className="grid gap-2 border-t border-hairline pt-3 first:border-0 first:pt-0">
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          <ChoiceInput
            id={id}
            label={`Job ${at + 1}`}
            value={job.job}
            options={options}
            onCommit={(kind) => onJob(questionJob(kind as JobId, { distanceM, coldestC, isCold }))}
          />
        </div>
        {onRemove && (
          <button type="button" className="button" aria-label={`Remove job ${at + 1}`} onClick={onRemove}>
            <X size={16} aria-hidden />
          </button>
        )}
      </div>
      <details>
        <summary className="min-h-9 cursor-pointer py-1 text-[0.9rem] text-quiet">Flow, pressure, place</summary>
        <div className={`${PAIR} pt-1`}>
          {ask('flowM3PerS')}
          {ask('leastGaugePa')}
          {ask('usedShare')}
          {ask('distanceM')}
          {ask('coldestC')}
          <ChoiceInput
            id={`${id}-isCold`}
            label="It is that cold"
            value={isCold}
            options={{ winter: 'in winter', always: 'all the year' }}
            onCommit={(when) => onJob({ ...job, isCold: when as QuestionJob['isCold'] })}
          />
        </div>
      </details>
    </li>
  );
}

function CompressorStep({ question: q, set }: { question: Question; set: Set }) {
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
  const { options = {} } = (COMPRESSOR_SHAPE.type?.meta() ?? {}) as FieldMeta;
  const swapped = compressor.cutInGaugePa >= compressor.cutOutGaugePa;
  return (
    <Step number={2} title="Compressor and tank">
      <ChoiceInput
        id="type"
        label="Compressor"
        value={compressor.type}
        options={options}
        onCommit={(type) => to({ type: type as Question['compressor']['type'] })}
      />
      <div className={PAIR}>
        {ask('freeAirDeliveryM3PerS')}
        <Ask
          shape={SHAPE}
          field="receiverM3"
          id="receiverM3"
          value={q.receiverM3}
          onValue={(receiverM3) => set({ receiverM3 })}
        />
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

function LimitsStep({ question: q, set }: { question: Question; set: Set }) {
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
  const { currency } = q.money;
  return (
    <Step number={4} title="What there is, and what it may take">
      <div className={PAIR}>
        <WholeNumber
          id="budget"
          label={`Budget, ${currency}`}
          value={q.budget}
          most={1e9}
          onValue={(budget) => set({ budget })}
        />
        <WholeNumber
          id="minutesPerWeek"
          label="Minutes a week for tasks"
          value={q.minutesPerWeek}
          most={3000}
          onValue={(minutesPerWeek) => set({ minutesPerWeek })}
        />
        <ChoiceInput
          id="hasPower"
          label="Mains power at the line"
          value={q.hasPower}
          options={{ yes: 'yes', no: 'no' }}
          onCommit={(hasPower) => set({ hasPower: hasPower as Question['hasPower'] })}
        />
        <ChoiceInput
          id="breathed"
          label="Used for breathing?"
          value={q.breathed}
          options={{ no: 'nobody', yes: 'yes: hood, mask, diving' }}
          onCommit={(breathed) => set({ breathed: breathed as Question['breathed'] })}
        />
        <Ask
          shape={SHAPE}
          field="hoursPerDay"
          id="hoursPerDay"
          value={q.hoursPerDay}
          onValue={(hoursPerDay) => set({ hoursPerDay })}
        />
        <WholeNumber
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
        Prices are placeholders in an invented money: they tell small from large. On Compare of a line they are replaced
        by your own.
      </p>
    </Step>
  );
}
