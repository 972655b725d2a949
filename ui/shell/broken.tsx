'use client';

import { useEffect, useState } from 'react';
import type { Plan, RevisionSummary } from '@/core/plan/plan';
import { Link } from '@/ui/primitives/link';

/** In place of a page that could not be shown: what is safe, and the ways out. */
export function Broken({ planId, reset }: { planId?: string | undefined; reset: () => void }) {
  const [revisions, setRevisions] = useState<readonly RevisionSummary[]>([]);
  const [told, tell] = useState<string>();
  useEffect(() => {
    if (!planId) return;
    void fetch(`/api/plans/${planId}/revisions`)
      .then((answer) => (answer.ok ? answer.json() : []))
      .then(setRevisions, () => undefined);
  }, [planId]);
  const open = async (revision: RevisionSummary): Promise<void> => {
    const id = crypto.randomUUID();
    const read = await fetch(`/api/plans/${planId}/revisions/${revision.id}`).catch(() => undefined);
    const { plan } = (read?.ok ? await read.json() : {}) as { plan?: Plan };
    const made =
      plan &&
      (await fetch('/api/plans', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, plan }),
      }).catch(() => undefined));
    if (made?.ok) location.assign(`/lines/${id}/line`);
    else tell(`“${revision.name}” cannot be opened either.`);
  };
  return (
    <div role="alert" className="mx-auto grid max-w-lg gap-3 p-8">
      <h1>This page cannot be shown</h1>
      <p>
        {planId
          ? 'Something in this line is not as it should be. Nothing was changed or lost, and the other lines are not touched by it.'
          : 'Something went wrong here. Nothing was changed or lost.'}
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" onClick={reset}>
          Try again
        </button>
        {planId && (
          <a className="button" href={`/api/plans/${planId}/file?stored`} download>
            Download the line
          </a>
        )}
        <Link className="button" href="/">
          To the start page
        </Link>
      </div>
      {revisions.length > 0 && (
        <section aria-label="Named revisions">
          <h2>Named revisions</h2>
          <ul>
            {revisions.map((r) => (
              <li key={r.id} className="flex items-baseline gap-3 border-t border-hairline py-1">
                <span className="min-w-0 flex-1 break-words">{r.name}</span>
                <button
                  type="button"
                  className="min-h-target text-water underline underline-offset-4"
                  onClick={() => void open(r)}
                >
                  Open it as a line of its own
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {told && <p className="text-brick">{told}</p>}
    </div>
  );
}
