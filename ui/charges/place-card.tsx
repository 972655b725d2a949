'use client';

import { addDays, format } from 'date-fns';
import { useState } from 'react';
import { lifeBand } from '@/core/desiccant/charge-life';
import { MEDIA } from '@/core/desiccant/isotherm';
import type { ChargeNow } from '@/core/log/charge';
import { KNOWN_FROM, type LifeState, type PlaceLife } from '@/core/maintenance/charge-lives';
import { setParameter } from '@/core/plan/edit';
import { stageById } from '@/core/plan/runs';
import type { useSender } from '@/ui/outbox/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures, Headline } from '@/ui/primitives/figures';
import { Amount, useUnits } from '@/ui/units/units';
import { sayTime } from '@/ui/units/when';
import { ChangeBand } from './change-band';
import { ChangeForm } from './change-form';
import { LookForm } from './look-form';

const STATES: Record<LifeState, { mark: string; word: string; look: string }> = {
  empty: { mark: '○', word: 'No charge recorded', look: 'text-quiet' },
  overdue: { mark: '▲', word: 'Overdue', look: 'text-brick' },
  soon: { mark: '◆', word: 'Within a week', look: 'text-amber' },
  learning: { mark: '◌', word: 'Learning', look: 'text-quiet' },
  known: { mark: '●', word: 'Known', look: 'text-water' },
};
const FAR = 540;
/** So far apart the line and the estimate are worth a word. */
const APART = 0.05;

/** A place with beads: the charge that is in, when it is spent, and what its charges have taught. */
export function PlaceCard({
  life,
  free,
  now,
  put,
}: {
  life: PlaceLife;
  free: readonly ChargeNow[];
  now: string;
  put: ReturnType<typeof useSender>['put'];
}) {
  const { say } = useUnits();
  const { plan, edit } = usePlan();
  const [doing, setDoing] = useState<'look' | 'change'>();
  const { state, stay, change, capacity, loadKg, factor } = life;
  const s = STATES[state];
  const spent = capacity && loadKg !== undefined ? Math.min(1, loadKg / lifeBand(capacity).mid) : 0;
  const stage = stageById(plan, life.stageId);
  const onLine = stage && 'spentShare' in stage.parameters ? stage.parameters.spentShare : spent;
  const learned = lifeBand(factor);
  const on = (days: number): string =>
    days >= FAR || !Number.isFinite(days) ? 'more than a year off' : format(addDays(new Date(now), days), 'd MMM');
  const toggle = (what: 'look' | 'change') => () => setDoing(doing === what ? undefined : what);
  const done = (): void => setDoing(undefined);
  return (
    <section
      aria-label={life.name}
      className="grid items-start gap-x-8 gap-y-3 rounded-md border border-hairline bg-card p-4 lg:grid-cols-2"
    >
      <div className="grid gap-3">
        <div className="flex flex-wrap items-baseline gap-x-3">
          <h2>{life.name}</h2>
          <p className={`font-semibold ${s.look}`}>
            {s.mark} {s.word}
          </p>
        </div>
        {change && (
          <>
            <Headline
              then={
                state === 'overdue'
                  ? `estimated exhausted about ${format(new Date(life.spentOn ?? now), 'd MMM')}`
                  : `between ${on(change.days[0])} and ${on(change.days[2])} (80 %)`
              }
            >
              {state === 'overdue' ? 'Change it now' : `Change it about ${on(change.days[1])}`}
            </Headline>
            {state !== 'overdue' && <ChangeBand days={change.days} now={now} />}
          </>
        )}
        {stay && capacity && loadKg !== undefined && (
          <Figures
            rows={[
              [
                'Charge',
                stay.charge
                  ? `${stay.charge.name}: ${say(stay.charge.massKg, 'mass')} ${MEDIA[stay.charge.medium]}`
                  : 'a charge without a name',
              ],
              ['Since', sayTime(stay.inAt)],
              ['Dried before', `${stay.times} ${stay.times === 1 ? 'time' : 'times'}`],
              ['Water adsorbed, estimated', <Amount key="l" si={loadKg} quantity="mass" />],
              [
                'Capacity',
                <span key="c">
                  {say(lifeBand(capacity).low, 'mass')} to {say(lifeBand(capacity).high, 'mass')}
                </span>,
              ],
              ['Capacity used', say(spent, 'share')],
              [
                'Last inspection',
                stay.looks.length > 0
                  ? `${say(stay.looks.at(-1)?.spent ?? 0, 'share')}, ${sayTime(stay.looks.at(-1)?.at ?? '')}`
                  : 'not inspected yet',
              ],
            ]}
          />
        )}
        <div className="flex flex-wrap gap-2">
          {stay && (
            <button type="button" className="button" aria-expanded={doing === 'look'} onClick={toggle('look')}>
              Log an inspection
            </button>
          )}
          {stay && Math.abs(onLine - spent) > APART && (
            <button
              type="button"
              className="button"
              onClick={() => edit((p) => setParameter(p, life.stageId, 'spentShare', Math.round(spent * 100) / 100))}
            >
              The line has {say(onLine, 'share')}: set it to {say(spent, 'share')}
            </button>
          )}
          <button
            type="button"
            className={`button ${state === 'overdue' || state === 'empty' ? 'button-strong' : ''}`}
            aria-expanded={doing === 'change'}
            onClick={toggle('change')}
          >
            {stay ? 'Replace the charge' : 'Record the charge'}
          </button>
        </div>
        {doing === 'look' && <LookForm stageId={life.stageId} estimated={spent} put={put} onDone={done} />}
        {doing === 'change' && <ChangeForm life={life} free={free} estimated={spent} put={put} onDone={done} />}
      </div>
      <div className="grid gap-3">
        <div>
          <p className="font-semibold">
            Beads here take up {learned.mid.toFixed(2)} of the published capacity
            <span className="font-normal text-quiet">
              {' '}
              ({learned.low.toFixed(2)} to {learned.high.toFixed(2)}, 80 %)
            </span>
          </p>
          <p className="text-[0.88rem] text-quiet">
            {life.learnedFrom === 0
              ? 'Nothing learned yet: the published capacity applies, from half to twice. At each change, log how far the old charge was exhausted.'
              : `Learned from ${life.learnedFrom} ${life.learnedFrom === 1 ? 'charge' : 'charges'}${life.learnedFrom < KNOWN_FROM ? `; from ${KNOWN_FROM} on it counts as known` : ''}.`}
          </p>
        </div>
        {life.past.length > 0 && (
          <div className="overflow-x-auto">
            <table className="w-full text-[0.9rem]">
              <thead>
                <tr className="eyebrow">
                  <th scope="col" className="pb-1 text-left">
                    In, out
                  </th>
                  <th scope="col" className="px-2 pb-1 text-left">
                    Charge
                  </th>
                  <th scope="col" className="px-2 pb-1 text-right">
                    Water
                  </th>
                  <th scope="col" className="px-2 pb-1 text-right">
                    Used
                  </th>
                  <th scope="col" className="pb-1 pl-2 text-right">
                    Of published
                  </th>
                </tr>
              </thead>
              <tbody>
                {life.past.toReversed().map((p) => (
                  <tr key={p.stint.inAt} className="border-t border-hairline">
                    <td className="py-1 whitespace-nowrap">
                      {format(new Date(p.stint.inAt), 'd MMM')} – {format(new Date(p.stint.outAt as string), 'd MMM')}
                    </td>
                    <td className="px-2">{p.stint.charge?.name ?? '–'}</td>
                    <td className="px-2 text-right whitespace-nowrap">{say(p.loadKg, 'mass')}</td>
                    <td className="px-2 text-right whitespace-nowrap">
                      {p.spent === undefined ? '–' : say(p.spent, 'share')}
                    </td>
                    <td className="pl-2 text-right">
                      {p.spent ? (p.loadKg / p.spent / p.handbookKg).toFixed(2) : '–'}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        {life.neglect.length > 0 && (
          <div>
            <p className="font-semibold">Cost of neglect upstream</p>
            <ul className="text-[0.9rem]">
              {life.neglect.slice(0, 3).map((n) => (
                <li key={n.stageId}>
                  Failed drain of {n.name}: {n.times.toFixed(n.times < 3 ? 1 : 0)} times the water, exhausted that many
                  times sooner
                </li>
              ))}
            </ul>
          </div>
        )}
        <details>
          <summary className="cursor-pointer font-semibold">How it is calculated</summary>
          <p className="mt-1 text-[0.9rem]">
            Water adsorbed ÷ capacity used is the capacity of a charge; over the published capacity of its beads, that
            is one estimate for this place. Estimates are averaged by their uncertainty: the published value at first
            with a factor of two, a charge by how well a front is read by eye (a tenth of its height) and by how charges
            differ (12 %). What is off in flow, humidity and use is learned along with it. The date: 2000 outcomes over
            these and over use and weather to come; the band holds four in five.
          </p>
        </details>
        {(state === 'overdue' || doing === 'change') && <Cautions ids={['C07', 'C24']} />}
      </div>
    </section>
  );
}
