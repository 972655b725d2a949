'use client';

import { useState } from 'react';
import { itemNumbers } from '@/core/fitting/drawing';
import type { Stage } from '@/core/plan/plan';
import { allStages, stageById, standing, withStage } from '@/core/plan/runs';
import { takenOutOf, withoutTakenOut } from '@/core/plan/stays';
import type { Thing } from '@/core/plan/thing-fields';
import type { Refused } from '@/ui/forms/send';
import { usePlan } from '@/ui/plan/plan-provider';
import type { OnShelf } from '@/ui/shelf/shelf-view';
import { Ports } from './ports';
import { ThingForm } from './thing-form';
import { ToShelf } from './to-shelf';
import { Whereabouts } from './whereabouts';

/** What is installed: the plate, the age, the warranty, how it opens, and its settings as last found. */
export function ThingsView({
  shelf,
  sites,
}: {
  shelf: readonly OnShelf[];
  /** On whose shelves one may put something. */
  sites: readonly { readonly id: string; readonly name: string }[];
}) {
  const { plan, edit } = usePlan();
  const things = allStages(standing(plan)).filter((s) => s.kind !== 'outlet' && s.kind !== 'intake');
  const numbers = itemNumbers(plan);
  const out = takenOutOf(plan);
  const [picked, setPicked] = useState<string>();
  const chosen = stageById(plan, picked) ?? things[0];
  /** How often a thing came or went: the form begins anew with another. */
  const [moves, setMoves] = useState(0);
  /** Why a thing that is installed still lies on its shelf. */
  const [refused, setRefused] = useState<Refused>();
  const save = (id: string, thing: Thing | undefined): void =>
    edit((p) => withStage(p, id, ({ thing: _, ...s }) => ({ ...s, ...(thing && { thing }) }) as Stage));
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[22rem_minmax(0,1fr)]">
      <section aria-label="Things of the line">
        <label className="grid gap-1 lg:hidden">
          <span className="font-medium">Thing</span>
          <select className="control min-h-12" value={chosen?.id} onChange={(e) => setPicked(e.target.value)}>
            {things.map((s) => (
              <option key={s.id} value={s.id}>
                {numbers.get(s.id)} · {s.name}
              </option>
            ))}
          </select>
        </label>
        <ul className="hidden lg:grid">
          {things.map((s) => (
            <li key={s.id}>
              <button
                type="button"
                aria-pressed={s.id === chosen?.id}
                className={`grid min-h-12 w-full grid-cols-[1.75rem_1fr] border-b border-hairline py-1.5 pr-2 text-left ${s.id === chosen?.id ? 'bg-sunk' : ''}`}
                onClick={() => setPicked(s.id)}
              >
                <span className="font-semibold">{numbers.get(s.id)}</span>
                <span className="min-w-0 break-words">
                  {s.name}
                  <span className="block text-[0.82rem] text-quiet">
                    {[s.thing?.maker, s.thing?.model, s.thing?.installedOn && `since ${s.thing.installedOn}`]
                      .filter(Boolean)
                      .join(' · ') || 'nothing written down yet'}
                  </span>
                </span>
              </button>
            </li>
          ))}
        </ul>
        {out.length > 0 && (
          <section aria-label="Taken out of the line" className="mt-4 grid gap-3">
            <h3 className="font-semibold">Taken out of the line</h3>
            {out.map((t) => (
              <div key={t.id} className="grid gap-2 border-b border-hairline pb-3">
                <p>
                  {t.name}
                  <span className="block text-[0.82rem] text-quiet">
                    {[t.thing.maker, t.thing.model, t.thing.serial].filter(Boolean).join(' · ')}
                  </span>
                </p>
                {sites.length > 0 && (
                  <ToShelf
                    from={t}
                    {...{ sites }}
                    says="Put it on the shelf"
                    onGone={() => edit((p) => withoutTakenOut(p, t.id))}
                  />
                )}
                <button
                  type="button"
                  className="button justify-self-start"
                  onClick={() => edit((p) => withoutTakenOut(p, t.id))}
                >
                  Gone for good
                </button>
              </div>
            ))}
          </section>
        )}
      </section>
      {chosen && (
        <div className="grid gap-5" key={`${chosen.id} ${moves}`}>
          {refused && (
            <p role="alert" className="text-brick">
              Still on the shelf: {refused.message}
            </p>
          )}
          <ThingForm stage={chosen} onThing={(thing) => save(chosen.id, thing)} />
          <Ports
            stage={chosen}
            onFit={(fit) => edit((p) => withStage(p, chosen.id, (s) => ({ ...s, fit }) as Stage))}
          />
          <Whereabouts
            stage={chosen}
            {...{ shelf, sites }}
            onRefused={setRefused}
            onThing={(thing) => {
              save(chosen.id, thing);
              setMoves((n) => n + 1);
            }}
          />
        </div>
      )}
    </div>
  );
}
