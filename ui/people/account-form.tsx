'use client';

import { type ReactNode, useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { type Refused, send } from '@/ui/forms/send';

interface Asked {
  readonly name: string;
  readonly label: string;
  readonly type: 'text' | 'email' | 'password';
  readonly autoComplete: string;
  readonly help?: string;
  readonly first?: string;
}

/** A few fields about somebody, sent as they are; what is wrong with one is said below it. */
export function AccountForm({
  title,
  says,
  asked,
  also,
  does,
  address,
  to,
  below,
}: {
  title: string;
  says?: ReactNode;
  asked: readonly Asked[];
  /** What is sent besides. */
  also?: Readonly<Record<string, string>>;
  does: string;
  address: string;
  /** Where it leads when it is done. */
  to: string;
  below?: ReactNode;
}) {
  const [refused, setRefused] = useState<Refused>();
  const [waits, setWaits] = useState(false);
  const issueOf = (name: string) => refused?.issues.find((i) => i.field === name)?.message;
  const elsewhere = refused && !refused.issues.some((i) => asked.some((a) => a.name === i.field));
  const submit = async (form: HTMLFormElement): Promise<void> => {
    setWaits(true);
    const answer = await send('POST', address, { ...also, ...Object.fromEntries(new FormData(form)) });
    if (!('refused' in answer)) return location.assign(to); // anew, so that every part of the page is theirs
    setRefused(answer.refused);
    setWaits(false);
    const wrong = answer.refused.issues[0]?.field;
    form.querySelector<HTMLInputElement>(`[name="${wrong}"]`)?.focus();
  };
  return (
    <form
      className="mx-auto mt-[8vh] grid w-full max-w-[24rem] gap-4 rounded-md border border-hairline bg-card p-5 max-sm:mt-4 max-sm:border-0"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void submit(e.currentTarget);
      }}
    >
      <div>
        <h1>{title}</h1>
        {says && <p className="mt-1 text-quiet">{says}</p>}
      </div>
      {asked.map(({ name, label, help, first, ...input }) => (
        <Field key={name} id={name} label={label} help={help} error={issueOf(name)}>
          <input
            {...tied(name, issueOf(name), help)}
            {...input}
            name={name}
            defaultValue={first}
            autoCapitalize="none"
            className="control min-h-11"
          />
        </Field>
      ))}
      {elsewhere && (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          {refused.message}
        </p>
      )}
      <button type="submit" className="button button-strong min-h-11" disabled={waits}>
        {does}
      </button>
      {below && <div className="text-[0.9rem] text-quiet">{below}</div>}
    </form>
  );
}
