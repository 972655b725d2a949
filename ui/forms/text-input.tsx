'use client';

import { useEffect, useState } from 'react';
import { Field, tied } from './field';
import { useTypedBefore } from './use-typed-before';

/** A required text that is taken at every keystroke that leaves it valid. */
export function TextInput({
  id,
  label,
  value,
  most,
  onCommit,
  help,
}: {
  id: string;
  label: string;
  value: string;
  most: number;
  onCommit: (value: string) => void;
  help?: string;
}) {
  const [text, setText] = useState(value);
  useEffect(() => setText((t) => (t.trim() === value ? t : value)), [value]);
  const problem =
    text.trim() === '' ? 'A name is needed.' : text.trim().length > most ? `At most ${most} characters.` : undefined;
  const take = (typed: string): void => {
    setText(typed);
    const next = typed.trim();
    if (next !== '' && next.length <= most) onCommit(next);
  };
  const field = useTypedBefore<HTMLInputElement>(text, take);
  return (
    <Field id={id} label={label} error={problem} help={help}>
      <input
        ref={field}
        {...tied(id, problem, help)}
        className="control"
        value={text}
        onChange={(e) => take(e.target.value)}
      />
    </Field>
  );
}
