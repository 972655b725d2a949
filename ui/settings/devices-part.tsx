'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { send } from '@/ui/forms/send';
import { forgetKeptPages } from '@/ui/offline/kept-pages';
import { Listed } from './listed';

export interface Device {
  readonly id: string;
  readonly name: string;
  readonly seenAt: string | null;
}

/** Phones and terminals that several people of a site use, each with a PIN. */
export function DevicesPart({
  base,
  devices,
  told,
}: {
  base: string;
  devices: readonly Device[];
  told: (work: ReturnType<typeof send>, done: string) => Promise<void>;
}) {
  const [error, setError] = useState<string>();
  const make = async (form: HTMLFormElement): Promise<void> => {
    const name = String(new FormData(form).get('name'));
    const made = await send('POST', `${base}/devices`, { name });
    if ('refused' in made) {
      setError(made.refused.issues[0]?.message ?? made.refused.message);
      return form.querySelector('input')?.focus();
    }
    await send('POST', '/api/sign-out');
    await forgetKeptPages();
    location.assign('/');
  };
  return (
    <section className="mt-3 grid gap-2" aria-label="Shared devices">
      <h3 className="font-semibold">Shared devices</h3>
      <p className="max-w-[60ch] text-quiet">
        A phone or terminal in the compressor room: it stays signed in to this site, and each person says with a PIN
        that they are at work. Without a PIN it only shows.
      </p>
      {devices.length > 0 && (
        <ul className="border-t border-hairline">
          {devices.map((d) => (
            <Listed
              key={d.id}
              name={d.name}
              says={d.seenAt ? `last used ${format(new Date(d.seenAt), 'd MMM yyyy HH:mm')}` : 'not used yet'}
              ends="Remove"
              onEnd={() =>
                void told(send('DELETE', `${base}/devices/${d.id}`), `${d.name} is no shared device any more.`)
              }
            />
          ))}
        </ul>
      )}
      <form
        className="flex flex-wrap items-end gap-2"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          void make(e.currentTarget);
        }}
      >
        <div className="min-w-0 basis-56">
          <Field id={`${base}-device`} label="Name of this device" error={error}>
            <input {...tied(`${base}-device`, error)} name="name" className="control" autoComplete="off" />
          </Field>
        </div>
        <button type="submit" className="button">
          Share this device
        </button>
        <span className="text-quiet">You are signed out on it.</span>
      </form>
    </section>
  );
}
