'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { Field, tied } from '@/ui/forms/field';
import { send } from '@/ui/forms/send';

/** The PIN with which one takes over a shared device. */
export function PinPart({ hasPin }: { hasPin: boolean }) {
  const router = useRouter();
  const [error, setError] = useState<string>();
  const change = async (work: ReturnType<typeof send>, done: string): Promise<boolean> => {
    const answer = await work;
    if ('refused' in answer) {
      setError(answer.refused.issues[0]?.message ?? answer.refused.message);
      return false;
    }
    setError(undefined);
    toast(done);
    router.refresh();
    return true;
  };
  return (
    <section className="mt-3 grid gap-2" aria-label="PIN">
      <h3 className="font-semibold">PIN for shared devices</h3>
      <p className="max-w-[60ch] text-quiet">
        On a phone or terminal that several people of the site use, you say with it that you are at work. There you log
        and do rounds, and no more.
      </p>
      <form
        className="flex flex-wrap items-end gap-2"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          const form = e.currentTarget;
          const pin = String(new FormData(form).get('pin'));
          void change(send('PUT', '/api/pin', { pin }), 'Your PIN is set.').then((done) => done && form.reset());
        }}
      >
        <div className="w-52">
          <Field id="pin" label={hasPin ? 'Another PIN' : 'PIN, four to six digits'} error={error}>
            <input
              {...tied('pin', error)}
              name="pin"
              type="password"
              inputMode="numeric"
              autoComplete="off"
              maxLength={6}
              className="control"
            />
          </Field>
        </div>
        <button type="submit" className="button">
          {hasPin ? 'Change it' : 'Set it'}
        </button>
        {hasPin && (
          <button
            type="button"
            className="button"
            onClick={() => void change(send('DELETE', '/api/pin'), 'You have no PIN any more.')}
          >
            Remove it
          </button>
        )}
      </form>
    </section>
  );
}
