'use client';

import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { parseQuantity } from '@/core/quantity/parse';
import type { UnitChoice } from '@/core/quantity/units';
import { Field, tied } from '@/ui/forms/field';
import { useUnits } from '@/ui/units/units';

const MOST_M3 = 0.2; // 200 L: more than any one drain gives
const HOW = { mL: 'mL', floz: 'fl oz', cup: 'cups' } as const;
type How = keyof typeof HOW;

/** How much came out: in millilitres, fluid ounces, or by the size of the cup at hand. */
export function AmountInput({
  error,
  onChange,
}: {
  error: string | undefined;
  onChange: (m3: number | undefined) => void;
}) {
  const { choice } = useUnits();
  const [how, setHow] = useState<How>(choice.drained === 'floz' ? 'floz' : 'mL');
  const [text, setText] = useState('');
  const [cupText, setCup] = useState('250 mL');
  const [problem, setProblem] = useState<string>();
  const take = (typed: string, unit: How, cup: string): void => {
    setText(typed);
    setHow(unit);
    setCup(cup);
    const size = parseQuantity(cup, 'drained', { choice, min: 5e-6, max: 5e-3 });
    if (unit === 'cup' && !size.ok) {
      setProblem(`Cup size: ${size.message}`);
      onChange(undefined);
      return;
    }
    if (typed.trim() === '') {
      setProblem(undefined);
      onChange(undefined);
      return;
    }
    const plainNumber = /^[\d.,\s]+$/.test(typed.trim());
    const parsed =
      unit === 'cup' && plainNumber && size.ok
        ? cups(typed, size.value, choice)
        : parseQuantity(typed, 'drained', {
            choice: { ...choice, drained: unit === 'cup' ? 'mL' : unit },
            min: 0,
            max: MOST_M3,
          });
    setProblem(parsed.ok ? undefined : parsed.message);
    onChange(parsed.ok ? parsed.value : undefined);
  };
  const shown = problem ?? error;
  return (
    <div className="grid gap-2">
      <Field id="amount" label="How much came out" error={shown}>
        <div className="flex items-stretch gap-2">
          <input
            {...tied('amount', shown)}
            className="control min-w-0 flex-1 text-[1.8rem] leading-none font-semibold"
            inputMode="decimal"
            autoComplete="off"
            value={text}
            onChange={(e) => take(e.target.value, how, cupText)}
          />
          <ToggleGroup.Root
            type="single"
            aria-label="Unit of the amount"
            value={how}
            onValueChange={(v) => v && take(text, v as How, cupText)}
            className="flex gap-1"
          >
            {Object.entries(HOW).map(([id, label]) => (
              <ToggleGroup.Item
                key={id}
                value={id}
                className="button min-h-12 min-w-12 data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper"
              >
                {label}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
        </div>
      </Field>
      {how === 'cup' && (
        <label className="grid grid-cols-[auto_1fr] items-center gap-2 text-[0.9rem]">
          One cup holds
          <input className="control" value={cupText} onChange={(e) => take(text, how, e.target.value)} />
        </label>
      )}
    </div>
  );
}

/** A count of cups as a volume; a half is typed 0.5. */
function cups(typed: string, cupM3: number, choice: UnitChoice): ReturnType<typeof parseQuantity> {
  const count = parseQuantity(typed, 'mass', { choice: { ...choice, mass: 'kg' } }); // a bare number, read as everywhere
  if (!count.ok) return { ok: false, message: `“${typed}” is not a number of cups.` };
  const value = count.value * cupM3;
  return value <= MOST_M3
    ? { ok: true, value, understood: `${count.value} cups` }
    : { ok: false, message: 'More than 200 L: check the number of cups.' };
}
