'use client';

import type { LoggedDrain } from '@/core/log/judge-log';
import { drainPoints } from '@/core/plan/edit';
import { Field, tied } from '@/ui/forms/field';
import { Fields } from '@/ui/forms/fields';
import { WhoInput } from '@/ui/people/who-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { AmountInput } from './amount-input';
import { AppearanceInput } from './appearance-input';
import { Expected, HoursAndAir } from './drain-form-parts';
import { DrainPointList } from './drain-point-list';
import { useDrain } from './use-drain';

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
  const { plan } = usePlan();
  const points = drainPoints(plan);
  const { form, sender, round, submit } = useDrain(entries, lastDrained, pointId, onLogged);
  const { errors } = form.formState;
  const isSending = sender.left > 0 && !sender.delayed;
  return (
    <form
      onSubmit={submit}
      noValidate
      className="rounded-md border border-hairline bg-card p-4 lg:sticky lg:top-16 lg:max-h-[calc(100dvh-5rem)] lg:overflow-y-auto"
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
          onChange={(m3) => form.setValue('amountM3', m3 as number, { shouldValidate: form.formState.isSubmitted })}
        />
        <Expected entry={form.watch()} />
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
          <WhoInput {...tied('who', errors.who?.message)} {...form.register('who')} />
        </Field>
        <HoursAndAir form={form} />
        {(sender.refused || (sender.left > 0 && sender.delayed)) && (
          <p role="alert" className="rounded-md bg-amber-wash px-3 py-2 text-amber">
            {sender.refused?.message ??
              `Not saved yet: ${sender.delayed}. Your entry is kept ${sender.unstored ? 'by this page only: leave it open' : 'in this browser'}. It is sent again by itself.`}
          </p>
        )}
        <button type="submit" className="button button-strong min-h-12 text-[1.05rem]" disabled={isSending}>
          {isSending ? 'Saving…' : 'Log it'}
        </button>
      </Fields>
    </form>
  );
}
