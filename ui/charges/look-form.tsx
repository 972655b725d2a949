'use client';

import { type FormEvent, useState } from 'react';
import { NAMED_TASKS } from '@/core/log/named-tasks';
import { entryOf } from '@/ui/outbox/entry-of';
import type { useSender } from '@/ui/outbox/use-sender';
import { rememberedWho, rememberWho } from '@/ui/people/remembered-who';
import { usePlan } from '@/ui/plan/plan-provider';
import { BeadSwatches } from '@/ui/rounds/bead-swatches';
import { WhoField } from './who-field';

/** How far the front has come, by eye. */
export function LookForm({
  stageId,
  estimated,
  put,
  onDone,
}: {
  stageId: string;
  /** How far it is exhausted, as estimated: where the swatches begin. */
  estimated: number;
  put: ReturnType<typeof useSender>['put'];
  onDone: () => void;
}) {
  const { plan } = usePlan();
  const [spent, setSpent] = useState<number>(); // nothing until somebody has moved it: what was not looked at teaches nothing
  const [who, setWho] = useState(rememberedWho);
  const [error, setError] = useState<string>();
  const [unmoved, setUnmoved] = useState(false);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (spent === undefined) {
      setUnmoved(true);
      return;
    }
    if (who.trim() === '') {
      setError('Say who.');
      return;
    }
    rememberWho(who.trim());
    put({
      to: 'entries',
      body: entryOf(plan, {
        kind: 'done',
        task: NAMED_TASKS.lookAtBeads,
        stageId,
        who: who.trim(),
        result: 'ok',
        readings: [{ of: 'spent', value: spent }],
      }),
    });
    onDone();
  };
  return (
    <form className="grid max-w-lg gap-3 rounded-md bg-sunk p-3" aria-label="Inspection" onSubmit={submit} noValidate>
      <BeadSwatches share={spent ?? estimated} onShare={setSpent} />
      {unmoved && spent === undefined && (
        <p role="alert" className="text-brick">
          Drag it to where the colour, or the wet front, has come.
        </p>
      )}
      <WhoField id={`look-who-${stageId}`} who={who} onWho={setWho} error={error} />
      <button type="submit" className="button button-strong justify-self-start">
        Log the inspection
      </button>
    </form>
  );
}
