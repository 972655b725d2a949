'use client';

import { Field, tied } from '@/ui/forms/field';

/** Who does it; this browser remembers. */
export function WhoField({
  id,
  who,
  onWho,
  error,
}: {
  id: string;
  who: string;
  onWho: (who: string) => void;
  error: string | undefined;
}) {
  return (
    <Field id={id} label="Who" error={error}>
      <input
        {...tied(id, error)}
        className="control"
        autoComplete="name"
        maxLength={60}
        value={who}
        onChange={(e) => onWho(e.target.value)}
      />
    </Field>
  );
}
