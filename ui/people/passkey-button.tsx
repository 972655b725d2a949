'use client';

import { KeyRound } from 'lucide-react';
import { useState, useSyncExternalStore } from 'react';
import { keepsPasskeys, signInWithPasskey } from './passkey';

/** Signing in without typing, where the browser can. */
export function PasskeyButton({ to }: { to: string }) {
  const can = useSyncExternalStore(
    () => () => undefined,
    keepsPasskeys,
    () => false,
  );
  const [message, setMessage] = useState<string>();
  if (!can) return null;
  const go = async (): Promise<void> => {
    const answer = await signInWithPasskey();
    if ('refused' in answer) setMessage(answer.refused.message);
    else location.assign(to); // anew, so that every part of the page is theirs
  };
  return (
    <span className="grid gap-2">
      <button type="button" className="button min-h-11 justify-center gap-2" onClick={() => void go()}>
        <KeyRound size={16} aria-hidden /> Sign in with a passkey
      </button>
      {message && (
        <span role="alert" className="text-brick">
          {message}
        </span>
      )}
    </span>
  );
}
