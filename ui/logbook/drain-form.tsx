'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { collectingSince } from '@/core/log/collecting-since';
import { type DrainEntry, drainEntrySchema } from '@/core/log/drain-entry';
import { expectDrain, explainDrain } from '@/core/log/expect-drain';
import { verdictOf } from '@/core/log/judge-drain';
import type { LoggedDrain } from '@/core/log/judge-log';
import { siteTimeMs } from '@/core/log/site-clock';
import { drainPoints } from '@/core/plan/edit';
import { placeOf } from '@/core/plan/survey';
import { Field, tied } from '@/ui/forms/field';
import { Fields } from '@/ui/forms/fields';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { rememberedWho, rememberWho, useSender } from '@/ui/outbox/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';
import { nowOnTheWall } from '../units/when';
import { AmountInput } from './amount-input';
import { AppearanceInput } from './appearance-input';
import { DrainPointList } from './drain-point-list';
import { Verdict } from './verdict';

/** Logs a drain: what came out, beside what the plan expects for the hours run since the last time. */
export function DrainForm({
  entries,
  lastDrained,
  pointId,
  onPoint,
  onLogged,
}: {
  entries: readonly LoggedDrain[];
  /** When each drain was last opened, on whatever page of the log. */
  lastDrained: readonly { readonly stageId: string; readonly at: string }[];
  pointId: string;
  onPoint: (id: string) => void;
  onLogged: (entryId: string) => void;
}) {
  const { plan, planId } = usePlan();
  const { say } = useUnits();
  const points = drainPoints(plan);
  const place = placeOf(plan.survey, plan.survey.intakePlaceId);
  const [round, setRound] = useState(0); // a fresh form after every entry
  const form = useForm<DrainEntry>({
    // The schema's own output type: defaults make its input looser than what the form holds.
    resolver: zodResolver(drainEntrySchema) as never,
    defaultValues: {
      note: '',
      loadedHours: null,
      who: '',
      intakeTemperatureC: place.temperatureC,
      intakeRelativeHumidity: place.relativeHumidity,
    },
  });
  const { errors } = form.formState;
  const { setValue, reset } = form;
  const sender = useSender(planId, ({ to, body }) => {
    if (to !== 'drains') return;
    onLogged((body as unknown as DrainEntry).id);
    setRound((n) => n + 1);
  });
  useEffect(() => {
    for (const { field, message } of sender.refused?.issues ?? [])
      form.setError(field as keyof DrainEntry, { message });
  }, [sender.refused, form]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new point or a new round starts the form anew; edits of the plan must not
  useEffect(() => {
    const at = nowOnTheWall();
    reset({
      id: crypto.randomUUID(),
      stageId: pointId,
      drainedAt: at,
      sinceAt: collectingSince(
        plan,
        [...lastDrained, ...entries.map((e) => ({ stageId: e.stageId, at: e.drainedAt }))],
        pointId,
        at,
      ),
      amountM3: undefined as never,
      appearance: undefined as never,
      who: rememberedWho(),
      note: '',
      loadedHours: null,
      intakeTemperatureC: place.temperatureC,
      intakeRelativeHumidity: place.relativeHumidity,
    });
  }, [pointId, round, entries.length]);
  const v = form.watch();
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
  const submit = form.handleSubmit((entry) => {
    if (entry.drainedAt > nowOnTheWall())
      return form.setError('drainedAt', { message: 'That lies in the future. Log a drain when it has been done.' });
    rememberWho(entry.who);
    void sender.put({ to: 'drains', body: { ...entry } });
  });
  return (
    <form
      onSubmit={submit}
      noValidate
      className="rounded-md border border-hairline bg-card p-4 lg:sticky lg:top-16"
      aria-label="Log a drain"
    >
      <Fields className="grid gap-3">
        <h2>Log a drain</h2>
        <DrainPointList points={points} entries={entries} pointId={pointId} onPoint={onPoint} />
        {errors.stageId && (
          <p role="alert" className="text-brick">
            {errors.stageId.message}
          </p>
        )}
        <Cautions ids={['C36', 'C20']} />
        <AmountInput
          key={`${pointId}.${round}`}
          error={errors.amountM3 && 'Type how much came out, for example 160.'}
          onChange={(m3) => setValue('amountM3', m3 as number, { shouldValidate: form.formState.isSubmitted })}
        />
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
        <AppearanceInput field={form.register('appearance')} error={errors.appearance?.message} />
        <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-1">
          <Field id="drainedAt" label="Drained at" error={errors.drainedAt?.message}>
            <input
              {...tied('drainedAt', errors.drainedAt?.message)}
              type="datetime-local"
              className="control"
              {...form.register('drainedAt')}
            />
          </Field>
          <Field id="sinceAt" label="The time before" error={errors.sinceAt?.message}>
            <input
              {...tied('sinceAt', errors.sinceAt?.message)}
              type="datetime-local"
              className="control"
              {...form.register('sinceAt')}
            />
          </Field>
        </div>
        <Field id="who" label="Who" error={errors.who?.message}>
          <input
            {...tied('who', errors.who?.message)}
            className="control"
            autoComplete="name"
            {...form.register('who')}
          />
        </Field>
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
                {...tied('loadedHours', errors.loadedHours?.message)}
                className="control"
                inputMode="decimal"
                {...form.register('loadedHours', {
                  setValueAs: (t: string | number | null) =>
                    t === null || String(t).trim() === '' ? null : Number(String(t).replace(',', '.')),
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
              <textarea
                {...tied('note', errors.note?.message)}
                rows={2}
                className="control"
                {...form.register('note')}
              />
            </Field>
          </div>
        </details>
        {(sender.refused || (sender.left > 0 && sender.delayed)) && (
          <p role="alert" className="rounded-md bg-amber-wash px-3 py-2 text-amber">
            {sender.refused?.message ??
              `Not saved yet: ${sender.delayed}. Your entry is kept ${sender.unstored ? 'by this page only: leave it open' : 'in this browser'}. It is sent again by itself.`}
          </p>
        )}
        <button type="submit" className="button button-strong min-h-12 text-[1.05rem]" disabled={sender.left > 0}>
          {sender.left > 0 ? 'Saving…' : 'Log it'}
        </button>
      </Fields>
    </form>
  );
}
