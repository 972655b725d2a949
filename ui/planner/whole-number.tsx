'use client';

import { useEffect, useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { useReportUnread } from '@/ui/forms/unread';

const read = (typed: string): number => (typed.trim() === '' ? Number.NaN : Number(typed.trim()));

/** A number without a unit: taken at every keystroke that makes sense; else it says at the field what is wrong. */
export function WholeNumber({
  id,
  label,
  value,
  least = 0,
  most,
  onValue,
}: {
  id: string;
  label: string;
  value: number;
  least?: number;
  most: number;
  onValue: (value: number) => void;
}) {
  const [text, setText] = useState(String(value));
  useEffect(() => setText((t) => (read(t) === value ? t : String(value))), [value]);
  const isFine = (n: number): boolean => Number.isInteger(n) && n >= least && n <= most;
  const error = isFine(read(text)) ? undefined : `A whole number from ${least} to ${most.toLocaleString('en')}.`;
  useReportUnread(id, label, error !== undefined);
  return (
    <Field id={id} label={label} error={error}>
      <input
        {...tied(id, error)}
        data-unread={error ? '' : undefined}
        className="control"
        inputMode="numeric"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          const n = read(e.target.value);
          if (isFine(n)) onValue(n);
        }}
      />
    </Field>
  );
}
