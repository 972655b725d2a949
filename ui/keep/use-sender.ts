'use client';

import { useCallback, useEffect, useRef, useState } from 'react';

/** Something to be written into the log: where it goes, and what. Its id is in it, so that sent twice it is one. */
export interface Outgoing {
  readonly to: 'entries' | 'drains' | 'charges' | `photos/${string}`;
  readonly body: Readonly<Record<string, unknown>> | string;
}

/** What became of it when the program refused it: words, and the fields. */
export interface Refused {
  readonly outgoing: Outgoing;
  readonly message: string;
}

const RETRY_MS = 2500;
const key = (planId: string): string => `cool-dram.outgoing.${planId}`;

function waiting(planId: string): Outgoing[] {
  try {
    return JSON.parse(localStorage.getItem(key(planId)) ?? '[]');
  } catch {
    return [];
  }
}

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
      // By its content, for another page of this browser may have put something before it meanwhile.
      const text = JSON.stringify(next);
      const rest = waiting(planId);
      const at = rest.findIndex((o) => JSON.stringify(o) === text);
      localStorage.setItem(key(planId), JSON.stringify(at < 0 ? rest : rest.toSpliced(at, 1)));
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
      localStorage.setItem(key(planId), JSON.stringify([...waiting(planId), ...outgoing]));
      setLeft(waiting(planId).length);
      clearTimeout(timer.current);
      void work();
    },
    [planId, work],
  );
  return { put, left, refused };
}

/** Who is at work, as this browser remembers it. */
export const rememberedWho = (): string =>
  typeof localStorage === 'undefined' ? '' : (localStorage.getItem('cool-dram.who') ?? '');
export const rememberWho = (who: string): void => localStorage.setItem('cool-dram.who', who);
