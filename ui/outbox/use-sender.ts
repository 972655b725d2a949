'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { readStored, store } from '@/ui/browser-store';
import { type Outgoing, onlyInThisPage, putOut, takeOut, waiting, withoutPhoto } from './outbox';

/** What became of it when the program refused it: words, and the fields. */
export interface Refused {
  readonly outgoing: Outgoing;
  readonly message: string;
}

const RETRY_MS = 2500;
async function send(planId: string, { to, body }: Outgoing): Promise<Response | undefined> {
  const isPhoto = to.startsWith('photos/');
  const data = isPhoto ? await (await fetch(body as string)).blob() : JSON.stringify(body);
  return fetch(`/api/plans/${planId}/${to}`, {
    method: isPhoto ? 'PUT' : 'POST',
    headers: { 'content-type': isPhoto ? 'image/jpeg' : 'application/json' },
    body: data,
    signal: AbortSignal.timeout(10_000),
  }).catch(() => undefined);
}

/**
 * Sends what is logged, one after another, and keeps in this browser what is not acknowledged yet: a reload, a dead database
 * or a basement without signal loses nothing and doubles nothing.
 * @param onSent is told of each that was written
 */
export function useSender(planId: string, onSent?: (outgoing: Outgoing) => void) {
  const [left, setLeft] = useState(0);
  const [refused, setRefused] = useState<Refused>();
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const sent = useRef(onSent);
  sent.current = onSent;
  const work = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    for (;;) {
      const [next] = waiting(planId);
      setLeft(waiting(planId).length);
      if (!next) break;
      const answer = await send(planId, next);
      if (!answer || answer.status >= 500) {
        timer.current = setTimeout(() => void work(), RETRY_MS);
        break;
      }
      if (!answer.ok && next.to.startsWith('photos/')) withoutPhoto(planId, next.to.slice('photos/'.length));
      takeOut(planId, next);
      if (answer.ok) sent.current?.(next);
      else {
        const body = (await answer.json().catch(() => undefined)) as { error?: { message?: string } } | undefined;
        setRefused({ outgoing: next, message: body?.error?.message ?? 'It was refused.' });
      }
    }
    busy.current = false;
  }, [planId]);
  useEffect(() => {
    void work();
    return () => clearTimeout(timer.current);
  }, [work]);
  const put = useCallback(
    (...outgoing: readonly Outgoing[]): void => {
      setRefused(undefined);
      putOut(planId, ...outgoing);
      setLeft(waiting(planId).length);
      clearTimeout(timer.current);
      void work();
    },
    [planId, work],
  );
  return { put, left, refused, unstored: left > 0 && onlyInThisPage(planId) };
}

/** Who is at work, as this browser remembers it. */
export const rememberedWho = (): string => readStored('cool-dram.who') ?? '';
export const rememberWho = (who: string): void => void store('cool-dram.who', who);
