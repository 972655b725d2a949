'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { lifeBand } from '@/core/desiccant/charge-life';
import { type Charge, chargesNow, stintsOf } from '@/core/log/charge';
import type { LifeEntry } from '@/core/log/log-entry';
import { beadPlaces } from '@/core/maintenance/charge-lives';
import { useNow } from '@/ui/due/use-due';
import { useSender } from '@/ui/outbox/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';
import { useLives } from '../due/use-lives';
import { ElementsPart } from './elements-part';
import { NewChargeForm } from './new-charge-form';
import { PlaceCard } from './place-card';
import { Shelf } from './shelf';

/** The room that a place takes once it is calculated. */
function Expected({ name }: { name: string }) {
  return (
    <div className="min-h-[55.5rem] rounded-md border border-hairline bg-card p-4 text-quiet lg:min-h-[30.7rem]">
      {name}: calculating…
    </div>
  );
}

/** Every charge of beads: where it is, when it is spent, and what its place has taught. */
export function ChargesView({ charges, entries }: { charges: readonly Charge[]; entries: readonly LifeEntry[] }) {
  const { plan } = usePlan();
  const router = useRouter();
  const now = useNow();
  const { put, left, refused } = useSender(() => router.refresh());
  const { lives, problem, busy } = useLives(charges, entries, now);
  const [adding, setAdding] = useState(false);
  const places = useMemo(() => beadPlaces(plan), [plan]);
  const shelf = useMemo(() => {
    const stints = stintsOf(
      places.map((s) => s.id),
      charges,
      entries,
    );
    return chargesNow(charges, entries, stints);
  }, [places, charges, entries]);
  // What each should have held when it came out last, where it was.
  const held = useMemo(
    () =>
      new Map(
        lives?.flatMap((l) =>
          l.past.flatMap((p) =>
            p.stint.charge
              ? [[p.stint.charge.id, p.handbookKg * (p.spent ?? 1) * lifeBand(l.factor).mid] as const]
              : [],
          ),
        ),
      ),
    [lives],
  );
  const free = shelf.filter((c) => c.is === 'dry');
  return (
    <div className="mx-auto grid max-w-[1240px] gap-6 p-4">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1>Desiccant &amp; elements</h1>
        <p className="text-quiet">What is installed, when it is exhausted, and what the log shows about each place.</p>
        {left > 0 && <p className="text-amber">◌ {left} saved on this device, sent when online</p>}
        <p role="status" className="sr-only">
          {busy && places.length > 0 && 'calculating…'}
        </p>
      </div>
      {refused && (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          Not written: {refused.message}
        </p>
      )}
      {problem && (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          {problem}
        </p>
      )}
      {places.length === 0 ? (
        <p className="max-w-prose rounded-md border border-hairline bg-card p-4">
          This line has no desiccant. Add a bead cartridge on the Line; its charges are tracked here.
        </p>
      ) : (
        <div className="grid gap-6">
          {!lives && !problem && places.map(({ id, name }) => <Expected key={id} name={name} />)}
          {lives?.map((life) => (
            <PlaceCard key={life.stageId} life={life} free={free} now={now} put={put} />
          ))}
        </div>
      )}
      <section aria-label="All charges" className="grid gap-3">
        <div className="flex flex-wrap items-baseline gap-4">
          <h2>All charges</h2>
          <button type="button" className="button" aria-expanded={adding} onClick={() => setAdding(!adding)}>
            New charge
          </button>
        </div>
        {adding && <NewChargeForm put={put} onDone={() => setAdding(false)} />}
        <Shelf charges={shelf} places={places} held={held} put={put} />
      </section>
      <ElementsPart entries={entries} now={now} />
    </div>
  );
}
