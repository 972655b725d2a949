'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { send } from '@/ui/forms/send';

/** A new site by its name; the rest is said on its page. */
export function NewSite() {
  const router = useRouter();
  const [error, setError] = useState<string>();
  const add = async (form: HTMLFormElement): Promise<void> => {
    const name = String(new FormData(form).get('name'));
    const answer = await send<{ id: string }>('POST', '/api/sites', { id: crypto.randomUUID(), name });
    if ('refused' in answer) setError(answer.refused.issues[0]?.message ?? answer.refused.message);
    else router.push(`/sites/${answer.body.id}`);
  };
  return (
    <form
      className="flex max-w-md items-start gap-2"
      aria-label="New site"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void add(e.currentTarget);
      }}
    >
      <div className="flex-1">
        <Field id="site-name" label="New site" error={error} help="For example the name of the customer and the hall.">
          <input {...tied('site-name', error, true)} name="name" className="control" maxLength={80} />
        </Field>
      </div>
      <button type="submit" className="button button-strong mt-[1.65rem]">
        Add
      </button>
    </form>
  );
}
