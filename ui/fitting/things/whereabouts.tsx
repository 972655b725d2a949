'use client';

import { useRouter } from 'next/navigation';
import type { Stage } from '@/core/plan/plan';
import { installed, type Loose, takenOutOf, withoutTakenOut } from '@/core/plan/stays';
import type { Thing } from '@/core/plan/thing-fields';
import { type Refused, SILENT, send } from '@/ui/forms/send';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import type { OnShelf } from '@/ui/shelf/shelf-view';
import { PastLog } from './past-log';
import { ToShelf, today, useTakenDown } from './to-shelf';

const plateOf = ({ maker, model, serial }: Thing): string[] => [maker, model, serial];

/** Where a thing was before, and how it leaves: to a shelf; and one from there, or one that was taken out of this line. */
export function Whereabouts({
  stage,
  shelf,
  sites,
  onThing,
  onRefused,
}: {
  stage: Stage;
  shelf: readonly OnShelf[];
  sites: readonly { readonly id: string; readonly name: string }[];
  onThing: (thing: Thing | undefined) => void;
  /** What was not taken off the shelf, said where it outlives the change of the thing. */
  onRefused: (refused: Refused | undefined) => void;
}) {
  const { plan, planId, edit } = usePlan();
  const router = useRouter();
  const takeDown = useTakenDown();
  const { stays = [], past = [] } = stage.thing ?? {};
  const install = async (loose: Loose | undefined, gone: () => Promise<Refused | undefined>): Promise<void> => {
    if (!loose) return onRefused(SILENT);
    onThing(installed(loose, today()));
    onRefused(await gone());
    router.refresh();
  };
  const ready = [
    ...takenOutOf(plan)
      .filter(({ kind }) => kind === stage.kind)
      .map((t) => ({
        ...{ key: t.id, name: t.name, says: [...plateOf(t.thing), 'taken out of this line'] },
        up: async () =>
          install(await takeDown(t), async () => {
            edit((p) => withoutTakenOut(p, t.id));
            return undefined;
          }),
      })),
    ...shelf.flatMap(({ id, siteId, name, loose, place, site }) =>
      loose?.kind !== stage.kind
        ? []
        : {
            ...{ key: id, name, says: [...plateOf(loose.thing), place, site] },
            up: () =>
              install(loose, async () => {
                const sent = await send('DELETE', `/api/sites/${siteId}/shelf/${id}`);
                return 'refused' in sent ? sent.refused : undefined;
              }),
          },
    ),
  ];
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
                the log of that line
              </Link>
            </li>
          ))}
        </ol>
      )}
      {past.length > 0 && <PastLog past={past} />}
      {stage.thing && sites.length > 0 && (
        <ToShelf from={stage} {...{ sites }} says="Taken down: put it on the shelf" onGone={() => onThing(undefined)} />
      )}
      {!stage.thing && sites.length > 0 && ready.length > 0 && (
        <ul aria-label="Ready to install">
          {ready.map(({ key, name, says, up }) => (
            <li key={key} className="flex flex-wrap items-center gap-3 border-b border-hairline py-1.5">
              <span className="min-w-0 flex-1">
                {name}
                <span className="block text-[0.82rem] text-quiet">{says.filter(Boolean).join(' · ')}</span>
              </span>
              <button type="button" className="button" onClick={() => void up()}>
                Install this one
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
