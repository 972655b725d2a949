'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { readStored, store } from '@/ui/browser-store';
import { whyUnsaved } from '@/ui/plan/why-unsaved';
import { type Outgoing, onlyInThisPage, putOut, takeOut, waiting, withoutPhoto } from './outbox';

/** What became of it when the program refused it: words, and what is wrong with which field. */
export interface Refused {
  readonly outgoing: Outgoing;
  readonly message: string;
  readonly issues: readonly { readonly field: string; readonly message: string }[];
}
interface Told {
  readonly error?: { readonly code?: string; readonly message?: string; readonly issues?: Refused['issues'] };
}

const RETRY_MS = 2500;

/** The picture of a data address. Not by fetch: pages of this server may fetch only from it. */
const pictureOf = (dataUrl: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(dataUrl.slice(dataUrl.indexOf(',') + 1)), (c) => c.charCodeAt(0));

function send(planId: string, { to, body }: Outgoing): Promise<Response | undefined> {
  const isPhoto = typeof body === 'string';
  const data = isPhoto ? pictureOf(body) : JSON.stringify(body);
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
 * @returns how to put something in, how many are left, what was refused last, and why nothing is sent
 */
export function useSender(planId: string, onSent?: (outgoing: Outgoing) => void) {
  const [left, setLeft] = useState(0);
  const [refused, setRefused] = useState<Refused>();
  const [delayed, setDelayed] = useState<string>();
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const sent = useRef(onSent);
  sent.current = onSent;
  const work = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    for (;;) {
      const queue = await waiting(planId);
      setLeft(queue.length);
      const [next] = queue;
      if (!next) break;
      const answer = await send(planId, next);
      const told = answer?.ok ? undefined : ((await answer?.json().catch(() => undefined)) as Told | undefined);
      if (!answer || answer.status >= 500) {
        setDelayed(whyUnsaved(told));
        timer.current = setTimeout(() => void work(), RETRY_MS);
        break;
      }
      setDelayed(undefined);
      if (!answer.ok && next.to.startsWith('photos/')) await withoutPhoto(planId, next.to.slice('photos/'.length));
      await takeOut(planId, next);
      if (answer.ok) sent.current?.(next);
      else {
        const { message = 'It was refused.', issues = [] } = told?.error ?? {};
        setRefused({ outgoing: next, message, issues });
      }
    }
    busy.current = false;
  }, [planId]);
  useEffect(() => {
    void work();
    return () => clearTimeout(timer.current);
  }, [work]);
  const put = useCallback(
    async (...outgoing: readonly Outgoing[]): Promise<void> => {
      setRefused(undefined);
      await putOut(planId, ...outgoing);
      setLeft((await waiting(planId)).length);
      clearTimeout(timer.current);
      void work();
    },
    [planId, work],
  );
  return { put, left, refused, delayed, unstored: left > 0 && onlyInThisPage(planId) };
}

/** Who is at work, as this browser remembers it. */
export const rememberedWho = (): string => readStored('cool-dram.who') ?? '';
export const rememberWho = (who: string): void => void store('cool-dram.who', who);
