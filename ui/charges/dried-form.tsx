'use client';

import { type FormEvent, useState } from 'react';
import { judgeCharge } from '@/core/desiccant/judge-charge';
import type { ChargeNow } from '@/core/log/charge';
import { type LogEntry, logEntrySchema } from '@/core/log/log-entry';
import { parseQuantity } from '@/core/quantity/parse';
import { Field, tied } from '@/ui/forms/field';
import { entryOf } from '@/ui/outbox/entry-of';
import type { useSender } from '@/ui/outbox/use-sender';
import { rememberedWho, rememberWho } from '@/ui/people/remembered-who';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { useUnits } from '@/ui/units/units';
import { WhoField } from './who-field';

/** A charge was dried, with both weights where they were taken; or discarded, with the reason. */
export function DriedForm({
  of,
  held,
  kind,
  put,
  onDone,
}: {
  of: ChargeNow;
  held: number | undefined;
  kind: 'regeneration' | 'discard';
  put: ReturnType<typeof useSender>['put'];
  onDone: () => void;
}) {
  const { plan } = usePlan();
  const { choice, atmosphericPa, format, say } = useUnits();
  const { unit } = format(1, 'mass');
  const [text, setText] = useState({ wet: '', dry: '', what: '' });
  const [who, setWho] = useState(rememberedWho);
  const [errors, setErrors] = useState<Record<string, string>>({});
  const dries = kind === 'regeneration';
  const weight = (typed: string) => parseQuantity(typed, 'mass', { choice, atmosphericPa });
  const [wet, dry] = [weight(text.wet), weight(text.dry)];
  const judged =
    dries && wet.ok && dry.ok && dry.value > 0
      ? judgeCharge({
          medium: of.charge.medium,
          dyed: of.charge.dyed,
          wetKg: wet.value,
          dryKg: dry.value,
          times: of.times,
          ...(held !== undefined && { shouldHoldKg: held }),
        })
      : undefined;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const bad: Record<string, string> = {};
    const readings: LogEntry['readings'] = [];
    for (const [name, parsed, reading] of [
      ['wet', wet, 'weight-wet'],
      ['dry', dry, 'weight'],
    ] as const) {
      if (!dries || text[name].trim() === '') continue;
      if (parsed.ok) readings.push({ of: reading, value: parsed.value });
      else bad[name] = parsed.message;
    }
    if (typeof judged === 'string') bad.dry = judged;
    if (!dries && text.what.trim() === '') bad.what = 'Say why: spent, oily, dusty.';
    const entry = entryOf(plan, {
      kind,
      stageId: '',
      chargeId: of.charge.id,
      who,
      what: `${of.charge.name}: ${text.what}`,
      readings,
    });
    for (const issue of logEntrySchema.safeParse(entry).error?.issues ?? [])
      bad[issue.path[0] === 'readings' ? 'dry' : String(issue.path[0])] ??= issue.message;
    setErrors(bad);
    if (Object.keys(bad).length > 0) return;
    rememberWho(who.trim());
    put({ to: 'entries', body: { ...entry, who: who.trim() } });
    onDone();
  };
  const field = (name: keyof typeof text, label: string, help?: string) => (
    <Field id={`dried-${name}`} label={label} help={help} error={errors[name]}>
      <input
        {...tied(`dried-${name}`, errors[name], help)}
        className="control"
        value={text[name]}
        onChange={(e) => setText({ ...text, [name]: e.target.value })}
      />
    </Field>
  );
  return (
    <form
      className="mt-2 grid max-w-3xl items-start gap-3 rounded-md bg-sunk p-3 sm:grid-cols-2"
      aria-label={dries ? 'Dried' : 'Discarded'}
      onSubmit={submit}
      noValidate
    >
      {dries && field('wet', `As it came out, ${unit}`, 'May stay empty.')}
      {dries && field('dry', `Dried, cooled closed, ${unit}`, 'May stay empty.')}
      {field('what', dries ? 'Oven, time, how it looked' : 'Why')}
      <WhoField id="dried-who" who={who} onWho={setWho} error={errors.who} />
      {judged && typeof judged !== 'string' && (
        <p className="sm:col-span-2">
          <strong>{say(judged.drivenOffKg, 'mass')} driven off</strong> of {say(judged.shouldHoldKg, 'mass')} that it
          should hold ({say(judged.ofNew, 'share')}): {judged.fate}. {judged.says}
        </p>
      )}
      <div className="flex gap-2 sm:col-span-2">
        <button type="submit" className="button button-strong">
          {dries ? 'Log the drying' : 'Log it as discarded'}
        </button>
        <button type="button" className="button" onClick={onDone}>
          Cancel
        </button>
      </div>
      {dries && (
        <div className="sm:col-span-2">
          <Cautions ids={['C22', 'C24']} />
        </div>
      )}
    </form>
  );
}
