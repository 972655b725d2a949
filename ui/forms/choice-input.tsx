'use client';

import { sayText } from '@/core/quantity/say-text';
import { useUnits } from '@/ui/units/units';
import { Field, tied } from './field';
import { useTypedBefore } from './use-typed-before';

/** One of a few named options. */
export function ChoiceInput({
  id,
  label,
  value,
  options,
  onCommit,
  help,
  error,
}: {
  id: string;
  label: string;
  value: string;
  options: Readonly<Record<string, string>>;
  onCommit: (value: string) => void;
  help?: string | undefined;
  error?: string | undefined;
}) {
  const { say } = useUnits();
  const field = useTypedBefore<HTMLSelectElement>(value, (chosen) => value in options && onCommit(chosen));
  return (
    <Field id={id} label={label} help={help} error={error}>
      <select
        ref={field}
        {...tied(id, error, help)}
        className="control"
        value={value}
        onChange={(e) => onCommit(e.target.value)}
      >
        {Object.entries(options).map(([option, text]) => (
          <option key={option} value={option}>
            {sayText(text, say)}
          </option>
        ))}
      </select>
    </Field>
  );
}
