'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { MEDIA } from '@/core/desiccant/isotherm';
import { disposalOf, leftAfter } from '@/core/desiccant/judge-charge';
import type { ChargeNow, Whereabouts } from '@/core/log/charge';
import type { BeadPlace } from '@/core/maintenance/charge-lives';
import { DAY_MS } from '@/core/quantity/constants';
import type { useSender } from '@/ui/outbox/use-sender';
import { useUnits } from '@/ui/units/units';
import { DriedForm } from './dried-form';

const IS: Record<Whereabouts, { mark: string; word: string; look: string }> = {
  'in place': { mark: '●', word: 'in', look: 'text-water' },
  dry: { mark: '○', word: 'dry, on the shelf', look: '' },
  spent: { mark: '◆', word: 'exhausted, to be dried', look: 'text-amber' },
  discarded: { mark: '×', word: 'discarded', look: 'text-quiet' },
};
const CARD_DAYS = 365; // a sealed bag: its card is looked at after twelve months (trade handbook)

/** Every charge and where it is; those that came out are dried or discarded from here. */
export function Shelf({
  charges,
  places,
  held,
  put,
}: {
  charges: readonly ChargeNow[];
  places: readonly BeadPlace[];
  /** What each should have held when it came out last, kg. */
  held: ReadonlyMap<string, number>;
  put: ReturnType<typeof useSender>['put'];
}) {
  const { say } = useUnits();
  const [doing, setDoing] = useState<{ id: string; what: 'regeneration' | 'discard' }>();
  if (charges.length === 0)
    return (
      <p className="text-quiet">
        No charge is recorded. Name each container once; its dryings and use are then recorded with it.
      </p>
    );
  const dry = charges.filter((c) => c.is === 'dry').length;
  const order: Whereabouts[] = ['in place', 'dry', 'spent', 'discarded'];
  const rows = charges.toSorted((a, b) => order.indexOf(a.is) - order.indexOf(b.is));
  return (
    <>
      {dry === 0 && places.length > 0 && (
        <p className="text-amber">◆ No dry charge in stock: work will stop for drying when one is exhausted.</p>
      )}
      <ul className="border-t border-hairline">
        {rows.map((c) => {
          const { charge } = c;
          const old =
            c.is === 'dry' && c.times === 0 && Date.now() - new Date(charge.boughtAt).getTime() > CARD_DAYS * DAY_MS;
          return (
            <li key={charge.id} className="border-b border-hairline py-2">
              <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
                <strong className="min-w-28">{charge.name}</strong>
                <span className={IS[c.is].look}>
                  {IS[c.is].mark} {IS[c.is].word}
                  {c.is === 'in place' && ` ${places.find((p) => p.id === c.stageId)?.name ?? 'a place that is gone'}`}{' '}
                  <span className="text-quiet">since {format(new Date(c.since), 'd MMM')}</span>
                </span>
                <span>
                  {say(charge.massKg, 'mass')} {MEDIA[charge.medium]}
                  {charge.dyed && ', dyed'}
                  {charge.batch && <span className="text-quiet"> · {charge.batch}</span>}
                </span>
                <span className="text-quiet">
                  dried {c.times} {c.times === 1 ? 'time' : 'times'}, takes up about{' '}
                  {say(leftAfter(charge.medium, c.times), 'share')} of new
                  {c.drivenOffKg !== undefined && `; ${say(c.drivenOffKg, 'mass')} driven off last`}
                </span>
                <span className="ml-auto flex gap-2">
                  {c.is === 'spent' && (
                    <button
                      type="button"
                      className="button"
                      onClick={() => setDoing({ id: charge.id, what: 'regeneration' })}
                    >
                      It was dried
                    </button>
                  )}
                  {c.is !== 'discarded' && c.is !== 'in place' && (
                    <button
                      type="button"
                      className="button"
                      onClick={() => setDoing({ id: charge.id, what: 'discard' })}
                    >
                      Discard
                    </button>
                  )}
                </span>
              </div>
              {c.is === 'dry' && charge.openedAt && c.times === 0 && (
                <p className="text-amber">
                  ◆ Its bag is open since {format(new Date(charge.openedAt), 'd MMM')}: weigh it, dry it, weigh it again
                  before you rely on it.
                </p>
              )}
              {old && <p className="text-amber">◆ In its bag for over a year: look at its humidity card.</p>}
              {doing?.id === charge.id && (
                <>
                  {doing.what === 'discard' && (
                    <p>{disposalOf({ dyed: charge.dyed, oily: false })} Oily beads: oily waste, closed and labelled.</p>
                  )}
                  <DriedForm
                    of={c}
                    held={held.get(charge.id)}
                    kind={doing.what}
                    put={put}
                    onDone={() => setDoing(undefined)}
                  />
                </>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
