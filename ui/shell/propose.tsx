'use client';

import { useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { send } from '@/ui/forms/send';
import { usePlan, usePlanState } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';

/** Sends what was tried out on a line to whoever may change it. */
export function Propose() {
  const { plan, planId, store } = usePlan();
  const base = usePlanState((s) => s.saving.phase === 'trying' && s.saving.base);
  const [note, setNote] = useState('');
  const [error, setError] = useState<string>();
  const [sent, setSent] = useState<typeof plan>();
  if (!base) return null;
  if (sent === plan)
    return (
      <span role="status">
        Proposed.{' '}
        <Link href={`/lines/${planId}/compare#proposals`} className="underline underline-offset-4">
          See it
        </Link>
      </span>
    );
  const propose = async (): Promise<void> => {
    const { plan: now } = store.getState();
    const body = { id: crypto.randomUUID(), base, plan: now, note };
    const answer = await send('POST', `/api/plans/${planId}/proposals`, body);
    if ('refused' in answer) return setError(answer.refused.issues[0]?.message ?? answer.refused.message);
    setError(undefined);
    setNote('');
    setSent(now);
  };
  return (
    <form
      className="flex w-full max-w-[36rem] items-end gap-2 text-ink"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void propose();
      }}
    >
      <div className="min-w-0 flex-1">
        <Field id="proposal-note" label="Why the line should be changed like this" error={error}>
          <input
            {...tied('proposal-note', error)}
            className="control"
            autoComplete="off"
            value={note}
            onChange={(e) => setNote(e.target.value)}
          />
        </Field>
      </div>
      <button type="submit" className="button button-strong">
        Propose it
      </button>
    </form>
  );
}

/** Says to whoever may decide that changes were proposed. */
export function ProposedNotice({ planId, count }: { planId: string; count: number }) {
  return (
    <p className="no-print border-b border-hairline bg-water-wash px-4 py-1.5">
      {count === 1 ? 'A change of this line is proposed.' : `${count} changes of this line are proposed.`}{' '}
      <Link href={`/lines/${planId}/compare#proposals`} className="text-water underline underline-offset-4">
        Decide
      </Link>
    </p>
  );
}
