'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Stage } from '@/core/plan/plan';
import { installed, takenDown } from '@/core/plan/stays';
import type { Thing } from '@/core/plan/thing-fields';
import { Field, tied } from '@/ui/forms/field';
import { type Refused, send } from '@/ui/forms/send';
import { usePlan } from '@/ui/plan/plan-provider';
import type { OnShelf } from '@/ui/shelf/shelf-view';

const today = (): string => new Date().toISOString().slice(0, 10);

/** Where a thing was before, and how it leaves: to a shelf, of this site or of another that it is lent to; and one from there. */
export function Whereabouts({
  stage,
  shelf,
  sites,
  onThing,
}: {
  stage: Stage;
  shelf: readonly OnShelf[];
  sites: readonly { readonly id: string; readonly name: string }[];
  onThing: (thing: Thing | undefined) => void;
}) {
  const { plan, planId } = usePlan();
  const router = useRouter();
  const [siteId, setSiteId] = useState(sites[0]?.id ?? '');
  const [place, setPlace] = useState('');
  const [refused, setRefused] = useState<Refused>();
  const stays = stage.thing?.stays ?? [];
  const fitting = shelf.filter(({ loose }) => loose?.kind === stage.kind);
  const down = async (): Promise<void> => {
    const loose = takenDown(stage, { planId, name: plan.name }, today());
    const item = { name: stage.name, count: 1, place, for: '', loose };
    // On the shelf first: nothing is lost where the second does not follow.
    const sent = await send('PUT', `/api/sites/${siteId}/shelf/${crypto.randomUUID()}`, item);
    setRefused('refused' in sent ? sent.refused : undefined);
    if ('refused' in sent) return;
    onThing(undefined);
    router.refresh();
  };
  const up = async ({ id, siteId: from, loose }: OnShelf): Promise<void> => {
    if (!loose) return;
    onThing(installed(loose, today()));
    const sent = await send('DELETE', `/api/sites/${from}/shelf/${id}`);
    setRefused('refused' in sent ? sent.refused : undefined);
    router.refresh();
  };
  const at = refused?.issues.find((i) => i.field === 'place')?.message;
  return (
    <section aria-label="Where it was" className="grid max-w-2xl gap-3">
      <h3 className="font-semibold">Where it was</h3>
      {stays.length === 0 ? (
        <p className="text-quiet">
          Nowhere else, as far as is written down.{' '}
          <Link
            className="text-ink underline underline-offset-4"
            href={`/lines/${planId}/logbook/all?q=${encodeURIComponent(stage.name)}`}
          >
            Its log here
          </Link>
        </p>
      ) : (
        <ol>
          {stays.map((s) => (
            <li key={`${s.planId} ${s.stageId} ${s.to}`} className="border-b border-hairline py-1.5">
              <span className="text-quiet">
                {s.from ?? 'not known'} to {s.to} ·{' '}
              </span>
              {s.stage}, {s.line} ·{' '}
              <Link
                className="underline underline-offset-4"
                href={`/lines/${s.planId}/logbook/all?q=${encodeURIComponent(s.stage)}`}
              >
                its log there
              </Link>
            </li>
          ))}
        </ol>
      )}
      {stage.thing && sites.length > 0 && (
        <form
          className="flex flex-wrap items-end gap-3"
          aria-label="Put on a shelf"
          onSubmit={(e) => {
            e.preventDefault();
            void down();
          }}
        >
          <label className="grid gap-1">
            <span className="font-medium">Shelf of</span>
            <select className="control" value={siteId} onChange={(e) => setSiteId(e.target.value)}>
              {sites.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </label>
          <Field id="thing-place" label="Where it lies" error={at}>
            <input
              {...tied('thing-place', at)}
              className="control"
              value={place}
              onChange={(e) => setPlace(e.target.value)}
            />
          </Field>
          <button type="submit" className="button">
            Taken down: put it on the shelf
          </button>
        </form>
      )}
      {!stage.thing && sites.length > 0 && fitting.length > 0 && (
        <ul aria-label="On the shelf">
          {fitting.map((item) => (
            <li key={item.id} className="flex flex-wrap items-center gap-3 border-b border-hairline py-1.5">
              <span className="min-w-0 flex-1">
                {item.name}
                <span className="block text-[0.82rem] text-quiet">
                  {[item.loose?.thing.maker, item.loose?.thing.model, item.loose?.thing.serial, item.place, item.site]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </span>
              <button type="button" className="button" onClick={() => void up(item)}>
                Install this one
              </button>
            </li>
          ))}
        </ul>
      )}
      {refused && !at && (
        <p role="alert" className="text-brick">
          {refused.message}
        </p>
      )}
    </section>
  );
}
