'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { type Refused, send } from '@/ui/forms/send';
import { Listed } from './listed';

export interface GuestLink {
  readonly id: string;
  readonly name: string;
  readonly expiresAt: string;
  readonly openedAt: string | null;
}
const LASTS = [
  [30, '30 days'],
  [90, '90 days'],
  [366, 'a year'],
] as const;

/** Links with which somebody only reads a site, without an account. */
export function GuestLinksPart({
  base,
  links,
  made,
  told,
}: {
  base: string;
  links: readonly GuestLink[];
  made: (link: { name: string; secret: string }) => void;
  told: (work: ReturnType<typeof send>, done: string) => Promise<void>;
}) {
  const [refused, setRefused] = useState<Refused>();
  const issue = refused?.issues.find((i) => i.field === 'name')?.message ?? refused?.message;
  const make = async (form: HTMLFormElement): Promise<void> => {
    const data = new FormData(form);
    const body = { name: String(data.get('name')), days: Number(data.get('days')) };
    const answer = await send<{ secret: string }>('POST', `${base}/links`, body);
    setRefused('refused' in answer ? answer.refused : undefined);
    if ('refused' in answer) form.querySelector('input')?.focus();
    else {
      made({ name: body.name, secret: answer.body.secret });
      form.reset();
    }
  };
  return (
    <section className="mt-3 grid gap-2" aria-label="Links to read it">
      <h3 className="font-semibold">Links to read it</h3>
      <p className="max-w-[60ch] text-quiet">
        For a customer or an auditor: they see everything of this site and change nothing, without an account.
      </p>
      {links.length > 0 && (
        <ul className="border-t border-hairline">
          {links.map((l) => (
            <Listed
              key={l.id}
              name={l.name}
              says={`until ${format(new Date(l.expiresAt), 'd MMM yyyy')}, ${l.openedAt ? `last opened ${format(new Date(l.openedAt), 'd MMM yyyy')}` : 'not opened yet'}`}
              ends="Revoke"
              onEnd={() =>
                void told(send('DELETE', `${base}/links/${l.id}`), `The link for ${l.name} does not work any more.`)
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
          <Field id={`${base}-guest`} label="Whom it is for" error={issue}>
            <input {...tied(`${base}-guest`, issue)} name="name" className="control" autoComplete="off" />
          </Field>
        </div>
        <select name="days" aria-label="How long it works" className="control w-auto" defaultValue={90}>
          {LASTS.map(([days, text]) => (
            <option key={days} value={days}>
              {text}
            </option>
          ))}
        </select>
        <button type="submit" className="button">
          Make a link
        </button>
      </form>
    </section>
  );
}
