'use client';

import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useSyncExternalStore } from 'react';
import { toast } from 'sonner';
import { type Sent, send } from '@/ui/forms/send';
import { keepsPasskeys, makePasskey } from '@/ui/people/passkey';
import { deviceOf } from './device-of';

export interface Passkey {
  readonly id: string;
  readonly userAgent: string | null;
  readonly host: string;
  readonly at: string;
  readonly usedAt: string | null;
}

/** Keys of one’s own browsers and phones, to sign in without a password. */
export function PasskeysPart({ passkeys }: { passkeys: readonly Passkey[] }) {
  const router = useRouter();
  const can = useSyncExternalStore(
    () => () => undefined,
    keepsPasskeys,
    () => true,
  );
  const told = async (work: Promise<Sent<unknown>>, done: string): Promise<void> => {
    const answer = await work;
    toast('refused' in answer ? answer.refused.message : done);
    router.refresh();
  };
  return (
    <section className="mt-3 grid gap-2" aria-label="Passkeys">
      <h3 className="font-semibold">Passkeys</h3>
      <p className="max-w-[60ch] text-quiet">
        {can
          ? 'Sign in with the fingerprint, face or PIN of your phone or computer instead of the password.'
          : 'Browsers keep passkeys for a server that is opened by its name over HTTPS, not by a number such as 192.168.1.20.'}
      </p>
      {passkeys.length > 0 && (
        <ul className="border-t border-hairline">
          {passkeys.map((k) => (
            <li key={k.id} className="flex min-h-11 items-center gap-3 border-b border-hairline py-1">
              <span className="min-w-0 flex-1" suppressHydrationWarning>
                {deviceOf(k.userAgent)}
                <span className="text-quiet">
                  {` · for ${k.host} · ${k.usedAt ? `last used ${format(new Date(k.usedAt), 'd MMM yyyy')}` : `made ${format(new Date(k.at), 'd MMM yyyy')}`}`}
                </span>
              </span>
              <button
                type="button"
                className="button"
                onClick={() =>
                  void told(send('DELETE', `/api/passkeys/${k.id}`), 'This passkey signs nobody in any more.')
                }
              >
                Remove passkey
              </button>
            </li>
          ))}
        </ul>
      )}
      {can && (
        <div>
          <button
            type="button"
            className="button"
            onClick={() => void told(makePasskey(), 'You can sign in with this passkey now.')}
          >
            Add a passkey
          </button>
        </div>
      )}
    </section>
  );
}
