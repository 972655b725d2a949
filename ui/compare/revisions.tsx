'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Plan, type RevisionSummary, revisionNameSchema } from '@/core/plan/plan';
import { Field, tied } from '@/ui/forms/field';
import { usePlan } from '@/ui/plan/plan-provider';
import { copyOf } from '@/ui/primitives/copy-of';
import { Moment } from '@/ui/units/moment';

interface Refusal {
  readonly error?: { readonly message?: string; readonly issues?: readonly { readonly message: string }[] };
}
const NO_ANSWER = 'The server does not answer. Nothing was lost: try again.';

async function send(url: string, body: object): Promise<string | undefined> {
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => undefined);
  if (answer?.ok) return undefined;
  const refusal = (await answer?.json().catch(() => undefined)) as Refusal | undefined;
  return refusal?.error?.issues?.[0]?.message ?? refusal?.error?.message ?? NO_ANSWER;
}

/** Names for the line as it is now, the names that it has had, and copies to try something on. */
export function Revisions({ revisions }: { revisions: readonly RevisionSummary[] }) {
  const { plan, planId, edit } = usePlan();
  const router = useRouter();
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const [told, tell] = useState<string>();
  const keep = async (): Promise<void> => {
    const checked = revisionNameSchema.safeParse(name);
    if (!checked.success) return setError(checked.error.issues[0]?.message);
    const refused = await send(`/api/plans/${planId}/revisions`, { id: crypto.randomUUID(), name, plan });
    setError(refused);
    if (refused) return;
    setName('');
    router.refresh();
  };
  const copy = async (): Promise<void> => {
    const id = crypto.randomUUID();
    const refused = await send('/api/plans', { id, besideId: planId, plan: copyOf(plan) });
    if (refused) setError(refused);
    else router.push(`/lines/${id}/line`);
  };
  const restore = async (revision: RevisionSummary): Promise<void> => {
    const answer = await fetch(`/api/plans/${planId}/revisions/${revision.id}`).catch(() => undefined);
    if (!answer?.ok) return tell(NO_ANSWER);
    const { plan: then } = (await answer.json()) as { plan: Plan };
    edit(() => then);
    tell(`As it was at “${revision.name}”. Undo brings back what you had.`);
  };
  return (
    <section aria-label="Revisions" className="grid gap-3">
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <div className="min-w-0 flex-1">
          <Field id="revision-name" label="Save the line as a named revision" error={error}>
            <input
              {...tied('revision-name', error)}
              className="control"
              placeholder="As found in spring"
              value={name}
              onChange={(e) => setName(e.target.value)}
            />
          </Field>
        </div>
        <button type="submit" className="button">
          Save
        </button>
      </form>
      {told && (
        <p role="status" className="text-water">
          {told}
        </p>
      )}
      {revisions.length > 0 && (
        <ul className="max-h-48 overflow-auto">
          {revisions.map((r) => (
            <li key={r.id} className="flex items-baseline gap-3 border-t border-hairline py-1">
              <span className="min-w-0 flex-1">
                <span className="block break-words">{r.name}</span>
                <Moment at={r.at} className="text-[0.85rem] text-quiet" />
              </span>
              <button
                type="button"
                className="min-h-target text-water underline underline-offset-4"
                onClick={() => void restore(r)}
              >
                Restore
              </button>
            </li>
          ))}
        </ul>
      )}
      <div>
        <button type="button" className="button" onClick={() => void copy()}>
          Copy the line
        </button>
      </div>
    </section>
  );
}
