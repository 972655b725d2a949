'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { JOBS } from '@/core/plan/jobs';
import type { Climate } from '@/core/plan/survey';
import { METRIC, US_CUSTOMARY } from '@/core/quantity/units';
import { Field, tied } from '@/ui/forms/field';
import { Fields } from '@/ui/forms/fields';
import { QuantityField, TextField } from '@/ui/forms/registered-fields';
import { useUnits } from '@/ui/units/units';
import { withUnits } from '@/ui/units/units-form';
import { create, nearestYear, type Refused } from './create-line';
import { inClimate } from './in-climate';
import { Refusals } from './refusals';
import {
  COMPRESSOR_TYPES,
  inOtherUnits,
  QUANTITY_FIELDS,
  type QuantityField as QuantityName,
  type StartAnswers,
  type StartForm,
  startSchema,
  typicalStart,
} from './start-form-schema';

/** A line of one's own from a few answers: every field has a typical number that may stay. */
export function OwnLine({ siteId, climate }: { siteId: string | undefined; climate: Climate | null }) {
  const router = useRouter();
  const [refused, setRefused] = useState<Refused>();
  const { choice } = useUnits();
  const form = useForm<StartForm, unknown, StartAnswers>({
    resolver: zodResolver(startSchema(choice)) as never, // its input is what the form holds, its output a PlanStart
    defaultValues: typicalStart(choice),
    mode: 'onChange',
  });
  const { errors, isSubmitting } = form.formState;
  useTextsInUnits(form);
  const submit = form.handleSubmit(async ({ weather, ...start }) => {
    setRefused(undefined);
    const year = weather ? await nearestYear(start) : undefined;
    if (year && 'message' in year) return setRefused(year);
    const { startPlan } = await import('@/core/plan/start-plan'); // with every kind of stage: not before it is built
    const plan = startPlan({ ...start, yearId: year?.id }, () => crypto.randomUUID());
    const answer = await create(year ? plan : inClimate(plan, climate), siteId);
    if ('id' in answer) router.push(`/lines/${answer.id}/line`);
    else setRefused(answer);
  });
  const number = (name: QuantityName, label: string, help?: string, deps?: QuantityName) => (
    <QuantityField
      id={name}
      label={label}
      quantity={QUANTITY_FIELDS[name].quantity}
      error={errors[name]?.message}
      {...(help && { help })}
      registered={form.register(name, { deps: deps ?? [] })}
    />
  );
  const text = (name: 'shop' | 'lineName', label: string) => (
    <TextField id={name} label={label} error={errors[name]?.message} registered={form.register(name)} />
  );
  const has = (name: 'aftercooler' | 'refrigeratedDryer' | 'weather', label: string) => (
    <label className="flex min-h-9 items-center gap-2">
      <input type="checkbox" className="size-4 accent-(--water)" {...form.register(name)} /> {label}
    </label>
  );
  return (
    <form className="rounded-md border border-hairline bg-card p-4" aria-label="New line" onSubmit={submit} noValidate>
      <Fields className="grid gap-4">
        <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
          <div>
            <h2>New line</h2>
            <p className="text-quiet">
              Change what you know, leave the rest: every number here is a typical one and can be changed later.
            </p>
          </div>
          <UnitSets />
        </div>
        <div className="grid items-start gap-x-4 gap-y-3 sm:grid-cols-2">
          {text('shop', 'Shop')}
          {text('lineName', 'Line')}
          {number('intakeTemperatureC', 'Air at the intake', 'On a warm day: that is when water comes.')}
          {number('intakeRelativeHumidity', 'its relative humidity')}
          <Field id="type" label="Compressor">
            <select {...tied('type', undefined)} className="control" {...form.register('type')}>
              {Object.entries(COMPRESSOR_TYPES).map(([id, label]) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </select>
          </Field>
          {number(
            'freeAirDeliveryM3PerS',
            'Free air delivery',
            'From the plate: what it delivers, not its displacement.',
          )}
          {number('cutInPa', 'Cuts in at', undefined, 'cutOutPa')}
          {number('cutOutPa', 'Cuts out at', undefined, 'cutInPa')}
          {number('receiverVolumeM3', 'Receiver')}
          <Field id="job" label="The air is for">
            <select {...tied('job', undefined)} className="control" {...form.register('job')}>
              <option value="general">tools in general</option>
              {Object.entries(JOBS).map(([id, { label }]) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </select>
          </Field>
          {number('distanceM', 'Pipe from the receiver to it', '0: it is connected to the receiver.')}
        </div>
        <div className="flex flex-wrap gap-x-6 gap-y-1">
          {has('aftercooler', 'has an aftercooler and separator')}
          {has('refrigeratedDryer', 'has a refrigerated dryer')}
          {has('weather', 'with the stored year of weather nearest to this air')}
        </div>
        {refused && <Refusals of={refused} />}
        <div className="flex flex-wrap items-center gap-4">
          <button type="submit" className="button button-strong min-h-11 px-5" disabled={isSubmitting}>
            {isSubmitting ? 'Building…' : 'Build my line'}
          </button>
          <span className="text-[0.82rem] text-quiet">
            Estimates only. Nameplate, manual and local law take precedence. Not for breathing air.
          </span>
        </div>
      </Fields>
    </form>
  );
}

/** What was typed goes along when the units change; what is still typical stays round. */
function useTextsInUnits(form: ReturnType<typeof useForm<StartForm, unknown, StartAnswers>>): void {
  const { choice } = useUnits();
  const before = useRef(choice);
  useEffect(() => {
    if (before.current === choice) return;
    const [was, is] = [typicalStart(before.current), typicalStart(choice)];
    for (const name of Object.keys(QUANTITY_FIELDS) as QuantityName[]) {
      const text = form.getValues(name);
      form.setValue(name, text === was[name] ? is[name] : inOtherUnits(text, name, before.current, choice));
    }
    before.current = choice;
    // Marks of what was wrong are in the old units.
    if (Object.keys(form.formState.errors).length > 0) void form.trigger();
  }, [choice, form]);
}

/** The two usual sets of units, beside the first field; each unit by itself is in the menu above. */
function UnitSets() {
  const { choice, setChoice } = useUnits();
  const isUs = choice.temperature === 'F';
  return (
    <fieldset className="flex gap-3">
      <legend className="sr-only">Units</legend>
      {(
        [
          ['metric', '°C, bar, L', METRIC, !isUs],
          ['us', '°F, psi, gal', US_CUSTOMARY, isUs],
        ] as const
      ).map(([id, label, units, checked]) => (
        <label key={id} className="flex min-h-9 items-center gap-1.5">
          <input
            type="radio"
            name="units"
            className="size-4 accent-(--water)"
            checked={checked}
            onChange={() => setChoice(withUnits(choice, units))}
          />
          {label}
        </label>
      ))}
    </fieldset>
  );
}
