'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { collectingSince } from '@/core/log/collecting-since';
import { type DrainEntry, drainEntrySchema } from '@/core/log/drain-entry';
import type { LoggedDrain } from '@/core/log/judge-log';
import { placeOf } from '@/core/plan/survey';
import { useSender } from '@/ui/outbox/use-sender';
import { rememberedWho, rememberWho } from '@/ui/people/remembered-who';
import { usePlan } from '@/ui/plan/plan-provider';
import { nowOnTheWall } from '@/ui/units/when';

/** What is typed of a drain at a point, fresh after every entry, and its way into the log. */
export function useDrain(
  entries: readonly LoggedDrain[],
  lastDrained: readonly { readonly stageId: string; readonly at: string }[],
  pointId: string,
  onLogged: (entryId: string) => void,
) {
  const { plan } = usePlan();
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
  const { reset } = form;
  const sender = useSender(({ to, body }) => {
    if (to !== 'drains') return;
    onLogged((body as unknown as DrainEntry).id);
    setRound((n) => n + 1);
  });
  // What waits for a network is kept: the next drain can be logged meanwhile.
  const { delayed, left } = sender;
  useEffect(() => {
    if (delayed && left > 0) setRound((n) => n + 1);
  }, [delayed, left]);
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
  const submit = form.handleSubmit((entry) => {
    if (entry.drainedAt > nowOnTheWall())
      return form.setError('drainedAt', { message: 'That lies in the future. Log a drain when it has been done.' });
    rememberWho(entry.who);
    void sender.put({ to: 'drains', body: { ...entry } });
  });
  return { form, sender, round, submit };
}
