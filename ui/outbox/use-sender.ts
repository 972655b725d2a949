'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { useSignedIn } from '@/ui/people/signed-in';
import { whyUnsaved } from '@/ui/plan/why-unsaved';
import { isOf, isPostponed, type Outgoing, onlyInThisPage, putOut, takeOut, waiting, withoutPhoto } from './outbox';

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
  const own = useSignedIn();
  const sent = useRef(onSent);
  sent.current = onSent;
  const work = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    for (;;) {
      const queue = await waiting(planId);
      setLeft(queue.length);
      const next = queue.find((o) => isOf(o, own?.id));
      if (!next) {
        const [other] = queue;
        if (other) setDelayed(`${other.by?.name} has to sign in, who wrote it`);
        break;
      }
      const answer = await send(planId, next);
      const told = answer?.ok ? undefined : ((await answer?.json().catch(() => undefined)) as Told | undefined);
      if (!answer || isPostponed(answer.status)) {
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
  }, [planId, own?.id]);
  useEffect(() => {
    void work();
    return () => clearTimeout(timer.current);
  }, [work]);
  const put = useCallback(
    async (...outgoing: readonly Outgoing[]): Promise<void> => {
      setRefused(undefined);
      await putOut(planId, ...outgoing.map((o) => (own ? { ...o, by: own } : o)));
      setLeft((await waiting(planId)).length);
      clearTimeout(timer.current);
      void work();
    },
    [planId, work, own],
  );
  return { put, left, refused, delayed, unstored: left > 0 && onlyInThisPage(planId) };
}
