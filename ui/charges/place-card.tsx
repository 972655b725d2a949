'use client';

import { addDays, format } from 'date-fns';
import { useState } from 'react';
import { lifeBand } from '@/core/desiccant/charge-life';
import { MEDIA } from '@/core/desiccant/isotherm';
import type { ChargeNow } from '@/core/log/charge';
import type { LifeState, PlaceLife } from '@/core/maintenance/charge-lives';
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
import { Learned } from './learned';
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
  const { state, stay, capacity, loadKg } = life;
  const s = STATES[state];
  const spent = capacity && loadKg !== undefined ? Math.min(1, loadKg / lifeBand(capacity).mid) : 0;
  const stage = stageById(plan, life.stageId);
  const onLine = stage && 'spentShare' in stage.parameters ? stage.parameters.spentShare : spent;
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
        <Installed life={life} spent={spent} now={now} />
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
      <Learned life={life}>{(state === 'overdue' || doing === 'change') && <Cautions ids={['C07', 'C24']} />}</Learned>
    </section>
  );
}

/** The charge that is in, when it is exhausted, and how far it is. */
function Installed({ life, spent, now }: { life: PlaceLife; spent: number; now: string }) {
  const { say } = useUnits();
  const { state, stay, change, capacity, loadKg } = life;
  const on = (days: number): string =>
    days >= FAR || !Number.isFinite(days) ? 'more than a year off' : format(addDays(new Date(now), days), 'd MMM');
  return (
    <>
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
    </>
  );
}
