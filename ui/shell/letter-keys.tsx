'use client';

import { useSyncExternalStore } from 'react';
import { readStored, store } from '@/ui/browser-store';

const KEY = 'cool-dram.letter-keys';
const listeners = new Set<() => void>();
const subscribe = (listen: () => void): (() => void) => {
  listeners.add(listen);
  return () => listeners.delete(listen);
};

/** Whether single letters and signs do something: whoever speaks to the machine, or hits keys unmeant, switches them off. */
export const letterKeysOn = (): boolean => readStored(KEY) !== 'off';

/** The choice of it, kept on this device. */
export function LetterKeysChoice() {
  const on = useSyncExternalStore(subscribe, letterKeysOn, () => true);
  return (
    <label className="flex min-h-8 items-center gap-2">
      <input
        type="checkbox"
        className="size-5 shrink-0"
        checked={on}
        onChange={(e) => {
          store(KEY, e.target.checked ? undefined : 'off');
          for (const listen of listeners) listen();
        }}
      />
      Single letters and signs are shortcuts
    </label>
  );
}
