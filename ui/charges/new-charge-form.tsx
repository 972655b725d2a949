'use client';

import { type FormEvent, useState } from 'react';
import { MEDIA } from '@/core/desiccant/isotherm';
import { chargeSchema } from '@/core/log/charge';
import { parseQuantity } from '@/core/quantity/parse';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Field, tied } from '@/ui/forms/field';
import type { useSender } from '@/ui/outbox/use-sender';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall } from '@/ui/units/when';

const YES_NO = { no: 'no', yes: 'yes' } as const;

/** A charge comes into the books. */
export function NewChargeForm({ put, onDone }: { put: ReturnType<typeof useSender>['put']; onDone: () => void }) {
  const { choice, atmosphericPa, format } = useUnits();
  const { unit } = format(1, 'mass');
  const [text, setText] = useState({ name: '', massKg: '', batch: '' });
  const [medium, setMedium] = useState('silica');
  const [dyed, setDyed] = useState('yes');
  const [opened, setOpened] = useState('no');
  const [times, setTimes] = useState('0');
  const [errors, setErrors] = useState<Record<string, string>>({});
  const field = (name: keyof typeof text, label: string, help?: string) => (
    <Field id={`new-${name}`} label={label} help={help} error={errors[name]}>
      <input
        {...tied(`new-${name}`, errors[name], help)}
        className="control"
        value={text[name]}
        onChange={(e) => setText({ ...text, [name]: e.target.value })}
      />
    </Field>
  );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const bad: Record<string, string> = {};
    const mass = parseQuantity(text.massKg, 'mass', { choice, atmosphericPa });
    if (!mass.ok) bad.massKg = mass.message;
    const now = nowOnTheWall();
    const checked = chargeSchema.safeParse({
      id: crypto.randomUUID(),
      name: text.name,
      medium,
      dyed: dyed === 'yes' && medium === 'silica',
      massKg: mass.ok ? mass.value : 1,
      batch: text.batch,
      boughtAt: now,
      openedAt: opened === 'yes' ? now : null,
      timesBefore: Number(times),
    });
    for (const issue of checked.error?.issues ?? []) bad[String(issue.path[0])] ??= issue.message;
    setErrors(bad);
    if (!checked.success || Object.keys(bad).length > 0) return;
    put({ to: 'charges', body: checked.data });
    onDone();
  };
  return (
    <form
      className="grid max-w-3xl items-start gap-3 rounded-md border border-hairline bg-card p-4 sm:grid-cols-2 lg:grid-cols-3"
      aria-label="New charge"
      onSubmit={submit}
      noValidate
    >
      {field('name', 'Name, as on its container')}
      <ChoiceInput id="new-medium" label="Beads" value={medium} options={MEDIA} onCommit={setMedium} />
      {medium === 'silica' && (
        <ChoiceInput id="new-dyed" label="Some beads change colour" value={dyed} options={YES_NO} onCommit={setDyed} />
      )}
      {field('massKg', `Dry beads, ${unit}`)}
      {field('batch', 'Batch', 'From the bag; may stay empty.')}
      <ChoiceInput id="new-opened" label="Its bag is open" value={opened} options={YES_NO} onCommit={setOpened} />
      <Field id="new-times" label="Dried before" error={errors.timesBefore}>
        <input
          {...tied('new-times', errors.timesBefore)}
          className="control"
          inputMode="numeric"
          value={times}
          onChange={(e) => setTimes(e.target.value)}
        />
      </Field>
      <button type="submit" className="button button-strong justify-self-start self-end">
        Add charge
      </button>
    </form>
  );
}
