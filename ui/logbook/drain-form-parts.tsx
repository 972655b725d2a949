'use client';

import { Controller, type UseFormReturn } from 'react-hook-form';
import type { DrainEntry } from '@/core/log/drain-entry';
import { expectDrain, explainDrain } from '@/core/log/expect-drain';
import { verdictOf } from '@/core/log/judge-drain';
import { siteTimeMs } from '@/core/log/site-clock';
import { parseNumber } from '@/core/quantity/parse';
import { Field, tied } from '@/ui/forms/field';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';
import { Verdict } from './verdict';

/** What the plan expects of the drain that is typed, as far as its times are in order. */
export function Expected({ entry: v }: { entry: DrainEntry }) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const timed =
    Number.isFinite(siteTimeMs(v.drainedAt ?? '')) &&
    Number.isFinite(siteTimeMs(v.sinceAt ?? '')) &&
    v.sinceAt < v.drainedAt;
  const metered = v.loadedHours === null || (Number.isFinite(v.loadedHours) && v.loadedHours >= 0);
  const expected = v.stageId && timed && metered ? expectDrain(plan, v) : undefined;
  const drained = (kg: number): string => say(kg / 1000, 'drained');
  const verdict =
    expected && v.amountM3 !== undefined
      ? verdictOf({ ...expected, stageId: v.stageId, drainedAt: v.drainedAt, amountKg: v.amountM3 * 1000 })
      : undefined;
  return (
    <p className="rounded-md bg-water-wash px-3 py-2" aria-live="polite">
      {expected ? (
        expected.highKg < 0.0005 ? (
          'No water is expected here in that time.'
        ) : (
          <>
            Expected{' '}
            <Why figure={() => explainDrain(plan, v)} className="font-semibold">
              {drained(expected.lowKg)} to {drained(expected.highKg)}
            </Why>{' '}
            in {say(expected.loadedHours * 3600, 'time')} loaded. {verdict && <Verdict of={verdict} />}
          </>
        )
      ) : (
        'What to expect shows here once the times are in order.'
      )}
    </p>
  );
}

/** What is seldom said of a drain: the hour meter, the intake air of the day, a note. */
export function HoursAndAir({ form }: { form: UseFormReturn<DrainEntry> }) {
  const { errors } = form.formState;
  const { choice } = useUnits();
  return (
    <details>
      <summary className="cursor-pointer text-quiet">Hours, intake air, note</summary>
      <div className="mt-2 grid gap-3">
        <Field
          id="loadedHours"
          label="Loaded hours since then, by the meter"
          error={errors.loadedHours?.message}
          help="Left empty, the working pattern of the survey counts."
        >
          <input
            {...tied('loadedHours', errors.loadedHours?.message, true)}
            className="control"
            inputMode="decimal"
            {...form.register('loadedHours', {
              setValueAs: (t: string | number | null) => {
                if (t === null || String(t).trim() === '') return null;
                const read = parseNumber(String(t), choice.decimal);
                return read.ok ? read.value : Number.NaN;
              },
            })}
          />
        </Field>
        <div className="grid grid-cols-2 items-start gap-3">
          <Controller
            control={form.control}
            name="intakeTemperatureC"
            render={({ field }) => (
              <QuantityInput
                id="entry-temperature"
                label="Intake air"
                quantity="temperature"
                value={field.value}
                min={-45}
                max={60}
                onCommit={(x) => void field.onChange(x) as undefined}
              />
            )}
          />
          <Controller
            control={form.control}
            name="intakeRelativeHumidity"
            render={({ field }) => (
              <QuantityInput
                id="entry-humidity"
                label="its humidity"
                quantity="share"
                value={field.value}
                min={0.01}
                max={1}
                onCommit={(x) => void field.onChange(x) as undefined}
              />
            )}
          />
        </div>
        <Field id="note" label="Note" error={errors.note?.message}>
          <textarea {...tied('note', errors.note?.message)} rows={2} className="control" {...form.register('note')} />
        </Field>
      </div>
    </details>
  );
}
