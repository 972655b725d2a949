'use client';

import { useEffect, useRef, useState } from 'react';
import type { Plan } from '@/core/plan/plan';
import type { PlanQuestion } from '@/workers/plan-worker';

/**
 * What a worker says of the plan, worked out beside the page; the last answer stands until the next is there.
 * @param make starts the worker; looked at once
 * @param waitMs how long a plan must stand before it is asked about: while somebody drags or types, only what stays is
 */
export function useWorker<A extends { readonly number: number }>(
  make: () => Worker,
  plan: Plan,
  waitMs: number,
): { answer: A | undefined; busy: boolean } {
  const [answer, setAnswer] = useState<A>();
  const [asked, setAsked] = useState(0);
  const worker = useRef<Worker>(undefined);
  const number = useRef(0);
  const start = useRef(make);
  useEffect(() => {
    const own = start.current();
    own.onmessage = ({ data }: MessageEvent<A>) => {
      if (data.number === number.current) setAnswer(data);
    };
    worker.current = own;
    return () => own.terminate();
  }, []);
  useEffect(() => {
    const soon = setTimeout(() => {
      number.current++;
      setAsked(number.current);
      worker.current?.postMessage({ number: number.current, plan } satisfies PlanQuestion);
    }, waitMs);
    return () => clearTimeout(soon);
  }, [plan, waitMs]);
  return { answer, busy: answer?.number !== asked };
}
