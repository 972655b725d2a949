'use client';

import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react';
import { editableNumber } from '@/core/quantity/format';
import { parseQuantity } from '@/core/quantity/parse';
import { type QuantityName, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { Field, tied } from './field';
import { useReportUnread } from './unread';
import { useTypedBefore } from './use-typed-before';

interface Props {
  readonly id: string;
  readonly label: string;
  readonly quantity: QuantityName;
  /** SI. */
  readonly value: number;
  readonly min?: number | undefined;
  readonly max?: number | undefined;
  readonly help?: string | undefined;
  readonly tag?: ReactNode;
  /** Takes the new SI value, or refuses it with a message for the field. */
  readonly onCommit: (value: number) => string | undefined;
  readonly large?: boolean;
}

/**
 * A number in any unit. Every keystroke that makes sense is taken at once; one that does not leaves the value as it was,
 * keeps what was typed and says at the field what is wrong. Arrow up and down step by a sensible amount.
 */
export function QuantityInput({ id, label, quantity, value, min, max, help, tag, onCommit, large }: Props) {
  const { choice, atmosphericPa } = useUnits();
  const shown = editableNumber(value, quantity, choice, atmosphericPa);
  const [text, setText] = useState(shown);
  const [error, setError] = useState<string>();
  useReportUnread(id, label, error !== undefined);
  const own = useRef(value); // the value that this field last gave; another one came from elsewhere (undo, a slider)
  const lastShown = useRef(shown);
  useEffect(() => {
    if (value !== own.current || (shown !== lastShown.current && !error)) {
      setText(shown);
      setError(undefined);
    }
    own.current = value;
    lastShown.current = shown;
  }, [value, shown, error]);

  const take = (typed: string): void => {
    setText(typed);
    const parsed = parseQuantity(typed, quantity, {
      choice,
      atmosphericPa,
      ...(min !== undefined && { min }),
      ...(max !== undefined && { max }),
    });
    if (!parsed.ok) {
      setError(parsed.message);
      return;
    }
    const before = own.current;
    own.current = parsed.value;
    const refusal = parsed.value === value ? undefined : onCommit(parsed.value);
    if (refusal) own.current = before;
    else lastShown.current = editableNumber(parsed.value, quantity, choice, atmosphericPa);
    setError(refusal);
  };
  const input = useTypedBefore<HTMLInputElement>(text, take);
  const step = (event: KeyboardEvent): void => {
    const sign = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (sign === 0) return;
    event.preventDefault();
    const number = Number(shown);
    const size = 10 ** Math.floor(Math.log10(Math.max(Math.abs(number), 1e-3)) - 1);
    take(String(Number((number + sign * size * (event.shiftKey ? 10 : 1)).toPrecision(6))));
  };
  return (
    <Field id={id} label={label} help={help} error={error} tag={tag}>
      <div className="relative">
        <input
          {...tied(id, error, help)}
          data-unread={error ? '' : undefined}
          ref={input}
          className={`control pr-16 ${large ? 'text-[1.6rem] font-semibold' : ''}`}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          onChange={(e) => take(e.target.value)}
          onKeyDown={step}
          onBlur={() => {
            if (!error) setText(editableNumber(own.current, quantity, choice, atmosphericPa));
          }}
        />
        <span className="unit pointer-events-none absolute inset-y-0 right-2 flex items-center">
          {unitOf(quantity, choice[quantity]).symbol}
        </span>
      </div>
    </Field>
  );
}
