'use client';

import { Field, tied } from '@/ui/forms/field';
import { WhoInput } from '@/ui/people/who-input';

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
      <WhoInput {...tied(id, error)} value={who} onChange={(e) => onWho(e.target.value)} />
    </Field>
  );
}
