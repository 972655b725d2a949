'use client';

import { useEffect, useRef, useState } from 'react';
import type { Plan } from '@/core/line/plan';
import type { DayAnswer, DayQuestion } from '@/workers/pump-day.worker';

/** The day of a line, worked out beside the page; the last one stands until the next is there. */
export function usePumpDay(plan: Plan): { answer: DayAnswer | undefined; busy: boolean } {
  const [answer, setAnswer] = useState<DayAnswer>();
  const [asked, setAsked] = useState(0);
  const worker = useRef<Worker>(undefined);
  const number = useRef(0);
  useEffect(() => {
    const own = new Worker(new URL('../../workers/pump-day.worker.ts', import.meta.url), { type: 'module' });
    own.onmessage = ({ data }: MessageEvent<DayAnswer>) => {
      if (data.number === number.current) setAnswer(data);
    };
    worker.current = own;
    return () => own.terminate();
  }, []);
  useEffect(() => {
    // While somebody drags or types, only what stays for a moment is worked out.
    const soon = setTimeout(() => {
      number.current++;
      setAsked(number.current);
      worker.current?.postMessage({ number: number.current, plan } satisfies DayQuestion);
    }, 120);
    return () => clearTimeout(soon);
  }, [plan]);
  return { answer, busy: answer?.number !== asked };
}
