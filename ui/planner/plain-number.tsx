'use client';

import { useEffect, useState } from 'react';
import { parseNumber } from '@/core/quantity/parse';
import { Field, tied } from '@/ui/forms/field';
import { useReportUnread } from '@/ui/forms/unread';
import { useUnits } from '@/ui/units/units';

type Decimal = 'comma' | 'point' | undefined;

function read(typed: string, decimal: Decimal): number {
  const parsed = parseNumber(typed, decimal);
  return parsed.ok ? parsed.value : Number.NaN;
}
const said = (n: number, decimal: Decimal): string => (decimal === 'comma' ? String(n).replace('.', ',') : String(n));

/** A number without a unit: taken at every keystroke that makes sense; else it says at the field what is wrong. */
export function PlainNumber({
  id,
  label,
  value,
  least = 0,
  most,
  whole = true,
  onValue,
}: {
  id: string;
  label: string;
  value: number;
  least?: number;
  most: number;
  whole?: boolean;
  onValue: (value: number) => void;
}) {
  const { decimal } = useUnits().choice;
  const [text, setText] = useState(said(value, decimal));
  useEffect(() => setText((t) => (read(t, decimal) === value ? t : said(value, decimal))), [value, decimal]);
  const isFine = (n: number): boolean => (whole ? Number.isInteger(n) : Number.isFinite(n)) && n >= least && n <= most;
  const error = isFine(read(text, decimal))
    ? undefined
    : `A ${whole ? 'whole ' : ''}number from ${least} to ${most.toLocaleString('en')}.`;
  useReportUnread(id, label, error !== undefined);
  return (
    <Field id={id} label={label} error={error}>
      <input
        {...tied(id, error)}
        data-unread={error ? '' : undefined}
        className="control"
        inputMode={whole ? 'numeric' : 'decimal'}
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          const n = read(e.target.value, decimal);
          if (isFine(n)) onValue(n);
        }}
      />
    </Field>
  );
}
