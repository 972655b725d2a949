'use client';

import { type FormEvent, useState } from 'react';
import type { ChargeNow } from '@/core/log/charge';
import { logEntrySchema } from '@/core/log/log-entry';
import type { PlaceLife } from '@/core/maintenance/charge-lives';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Drag } from '@/ui/forms/drag';
import { Field, tied } from '@/ui/forms/field';
import { entryOf } from '@/ui/outbox/entry-of';
import type { useSender } from '@/ui/outbox/use-sender';
import { rememberedWho, rememberWho } from '@/ui/people/remembered-who';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall } from '@/ui/units/when';
import { WhoField } from './who-field';

const NAMELESS = 'none';
const LOOKED = { unsaid: 'choose', yes: 'yes, so far', no: 'not inspected' } as const;
const STEP = 0.05;

/** One charge comes out and another goes in. How far the old one was spent is what the place learns from. */
export function ChangeForm({
  life,
  free,
  estimated,
  put,
  onDone,
}: {
  life: PlaceLife;
  free: readonly ChargeNow[];
  /** How far the one that is in is exhausted, as estimated. */
  estimated: number;
  put: ReturnType<typeof useSender>['put'];
  onDone: () => void;
}) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const [chargeId, setCharge] = useState(free[0]?.charge.id ?? NAMELESS);
  const [looked, setLooked] = useState<keyof typeof LOOKED>('unsaid');
  // From where the estimate has it; what is looked at moves it.
  const [spent, setSpent] = useState(() => Math.round(estimated / STEP) * STEP);
  const [at, setAt] = useState(nowOnTheWall);
  const [who, setWho] = useState(rememberedWho);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const old = life.stay;
  const id = (field: string): string => `change-${field}-${life.stageId}`;
  const options = Object.fromEntries([
    ...free.map(({ charge, times }) => [
      charge.id,
      `${charge.name}: ${say(charge.massKg, 'mass')}, dried ${times} ${times === 1 ? 'time' : 'times'}`,
    ]),
    [NAMELESS, 'one that has no name here'],
  ]);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const entry = entryOf(plan, {
      kind: 'change',
      stageId: life.stageId,
      who,
      measuredAt: at,
      chargeId: chargeId === NAMELESS ? null : chargeId,
      what: `${free.find((c) => c.charge.id === chargeId)?.charge.name ?? 'A charge without a name'} goes in`,
      readings: old && looked === 'yes' ? [{ of: 'spent', value: spent }] : [],
    });
    const bad: Record<string, string> = {};
    for (const issue of logEntrySchema.safeParse(entry).error?.issues ?? [])
      bad[String(issue.path[0])] ??= issue.message;
    if (old && looked === 'unsaid') bad.looked = 'Say it: how far it was spent is what the place learns from.';
    if (at > nowOnTheWall()) bad.measuredAt = 'That lies in the future. Is the clock right?';
    else if (old && at <= old.inAt) bad.measuredAt = 'That is before the one that is in went in.';
    setErrors(bad);
    if (Object.keys(bad).length > 0) return;
    rememberWho(who.trim());
    put({ to: 'entries', body: { ...entry, who: who.trim() } });
    onDone();
  };
  return (
    <form className="grid max-w-lg gap-3 rounded-md bg-sunk p-3" aria-label="A change" onSubmit={submit} noValidate>
      <ChoiceInput id={id('charge')} label="Charge installed" value={chargeId} options={options} onCommit={setCharge} />
      {old && (
        <ChoiceInput
          id={id('looked')}
          label={`Was ${old.charge?.name ?? 'the old one'} looked at?`}
          value={looked}
          options={LOOKED}
          error={errors.looked}
          onCommit={(v) => setLooked(v as keyof typeof LOOKED)}
        />
      )}
      {old && looked === 'yes' && (
        <div>
          <p>
            It was exhausted to <strong>{Math.round(spent * 100)} %</strong> of its height
          </p>
          <Drag label="Exhausted, of its height" value={spent} min={0} max={1} step={STEP} onChange={setSpent} />
        </div>
      )}
      <Field id={id('at')} label="When" error={errors.measuredAt}>
        <input
          {...tied(id('at'), errors.measuredAt)}
          type="datetime-local"
          className="control"
          value={at}
          onChange={(e) => setAt(e.target.value)}
        />
      </Field>
      <WhoField id={id('who')} who={who} onWho={setWho} error={errors.who} />
      <button type="submit" className="button button-strong justify-self-start">
        Log the change
      </button>
    </form>
  );
}
