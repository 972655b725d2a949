'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { BedAnswer, BedQuestion } from '@/workers/bed.worker';

const REST_MS = 250; // while somebody types
type Asked = BedQuestion extends infer Q ? (Q extends unknown ? Omit<Q, 'number'> : never) : never;
export type BedRan = Extract<BedAnswer, { kind: 'film' }>;

/** The inside of a bed, worked out beside the page: with its progress, stopped on demand, anew with each change. */
export function useBed(asked: Asked): {
  ran: BedRan | undefined;
  problem: string | undefined;
  progress: number | undefined;
  stop: () => void;
  start: () => void;
} {
  const [ran, setRan] = useState<BedRan>();
  const [problem, setProblem] = useState<string>();
  const [progress, setProgress] = useState<number>();
  const worker = useRef<Worker>(undefined);
  const number = useRef(0);
  const stop = useCallback((): void => {
    worker.current?.terminate();
    worker.current = undefined;
    setProgress(undefined);
  }, []);
  const key = JSON.stringify(asked);
  const start = useCallback((): void => {
    const own = new Worker(new URL('../../workers/bed.worker.ts', import.meta.url), { type: 'module' });
    worker.current?.terminate();
    worker.current = own;
    const mine = ++number.current;
    setProgress(0);
    setProblem(undefined);
    own.onmessage = ({ data }: MessageEvent<BedAnswer>) => {
      if (data.number !== mine) return;
      if (data.kind === 'progress') setProgress(data.share);
      else {
        setProgress(undefined);
        if (data.kind === 'film') setRan(data);
        else setProblem(data.message);
      }
    };
    own.postMessage({ number: mine, ...(JSON.parse(key) as Asked) });
  }, [key]);
  useEffect(() => {
    const soon = setTimeout(start, REST_MS);
    return () => clearTimeout(soon);
  }, [start]);
  useEffect(() => () => worker.current?.terminate(), []);
  return { ran, problem, progress, stop, start };
}
