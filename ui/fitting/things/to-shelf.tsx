'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { LogPage } from '@/core/log/log-pages';
import type { Stage } from '@/core/plan/plan';
import { type Loose, takenDown } from '@/core/plan/stays';
import { MOST_PAST, type Past } from '@/core/plan/thing-fields';
import { Field, tied } from '@/ui/forms/field';
import { type Refused, SILENT, send } from '@/ui/forms/send';
import { usePlan } from '@/ui/plan/plan-provider';

export const today = (): string => new Date().toISOString().slice(0, 10);

/** What was logged at a stage, the newest first, as much as a thing takes along; nothing where the server does not answer. */
async function logOf(planId: string, stageId: string): Promise<Past[] | undefined> {
  const found: Past[] = [];
  let before: string | undefined = '';
  while (before !== undefined && found.length < MOST_PAST) {
    const asked = new URLSearchParams({ stage: stageId, ...(before && { before }) });
    const answer = await fetch(`/api/plans/${planId}/entries?${asked}`).catch(() => undefined);
    if (!answer?.ok) return undefined;
    const page = (await answer.json()) as LogPage;
    for (const { measuredAt: at, kind, task, result, what, who, readings, stands } of page.entries)
      if (stands)
        found.push({
          ...{ at, kind, task, result, what, who },
          readings: readings.map(({ of, value }) => ({ of, value })),
        });
    before = page.next;
  }
  return found;
}

/**
 * A thing as it leaves this line, with its log there.
 * @returns nothing where the log could not be read
 */
export function useTakenDown(): (from: Pick<Stage, 'id' | 'name' | 'kind' | 'thing'>) => Promise<Loose | undefined> {
  const { plan, planId } = usePlan();
  return async (from) => {
    const log = await logOf(planId, from.id);
    return log && takenDown(from, { planId, name: plan.name }, today(), log);
  };
}

/** Puts a thing on a shelf: of this site, or of another that it is lent to. */
export function ToShelf({
  from,
  sites,
  says,
  onGone,
}: {
  from: Pick<Stage, 'id' | 'name' | 'kind' | 'thing'>;
  sites: readonly { readonly id: string; readonly name: string }[];
  says: string;
  /** Called once it lies there. */
  onGone: () => void;
}) {
  const router = useRouter();
  const takeDown = useTakenDown();
  const [siteId, setSiteId] = useState(sites[0]?.id ?? '');
  const [place, setPlace] = useState('');
  const [refused, setRefused] = useState<Refused>();
  const put = async (): Promise<void> => {
    const loose = await takeDown(from);
    if (!loose) return setRefused(SILENT);
    // On the shelf first: nothing is lost where the second does not follow.
    const item = { name: from.name, count: 1, place, for: '', loose };
    const sent = await send('PUT', `/api/sites/${siteId}/shelf/${crypto.randomUUID()}`, item);
    setRefused('refused' in sent ? sent.refused : undefined);
    if ('refused' in sent) return;
    onGone();
    router.refresh();
  };
  const at = refused?.issues.find((i) => i.field === 'place')?.message;
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      aria-label={`Put ${from.name} on a shelf`}
      onSubmit={(e) => {
        e.preventDefault();
        void put();
      }}
    >
      <Field id={`shelf-${from.id}`} label="Shelf of">
        <select
          {...tied(`shelf-${from.id}`, undefined)}
          className="control"
          value={siteId}
          onChange={(e) => setSiteId(e.target.value)}
        >
          {sites.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
      </Field>
      <Field id={`place-${from.id}`} label="Where it lies" error={at}>
        <input
          {...tied(`place-${from.id}`, at)}
          className="control"
          value={place}
          onChange={(e) => setPlace(e.target.value)}
        />
      </Field>
      <button type="submit" className="button">
        {says}
      </button>
      {refused && !at && (
        <p role="alert" className="basis-full text-brick">
          {refused.message}
        </p>
      )}
    </form>
  );
}
