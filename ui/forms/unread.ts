'use client';

import { useEffect, useSyncExternalStore } from 'react';

/** A field whose text is no value. */
export interface Unread {
  readonly id: string;
  readonly label: string;
}

const NONE: readonly Unread[] = [];
let unread = NONE;
const listeners = new Set<() => void>();
const change = (to: readonly Unread[]): void => {
  unread = to;
  for (const listen of listeners) listen();
};
const subscribe = (listen: () => void): (() => void) => {
  listeners.add(listen);
  return () => listeners.delete(listen);
};

/** Says of a field whether its text is no value, as long as it is on the page: what the page shows is of before then. */
export function useReportUnread(id: string, label: string, isUnread: boolean): void {
  useEffect(() => {
    if (!isUnread) return;
    change([...unread, { id, label }]);
    return () => change(unread.filter((u) => u.id !== id));
  }, [id, label, isUnread]);
}

/** The fields of the page whose text is no value. */
export const useUnread = (): readonly Unread[] =>
  useSyncExternalStore(
    subscribe,
    () => unread,
    () => NONE,
  );
