'use client';

import { useCallback, useEffect, useState } from 'react';
import { useRun } from '@/ui/worker/use-run';
import type { BedQuestion, BedRan } from '@/workers/bed.worker';

const REST_MS = 250; // while somebody types
const startWorker = (): Worker =>
  new Worker(new URL('../../workers/bed.worker.ts', import.meta.url), { type: 'module' });

/** The inside of a bed: with its progress, stopped on demand, anew with each change; the last one stands meanwhile. */
export function useBed(asked: BedQuestion): {
  ran: BedRan | undefined;
  problem: string | undefined;
  progress: number | undefined;
  stop: () => void;
  start: () => void;
} {
  const { state, run, stop } = useRun<BedQuestion, BedRan | undefined>(startWorker);
  const [ran, setRan] = useState<BedRan>();
  const done = state.kind === 'done' ? state.answer : undefined;
  if (done && done !== ran) setRan(done);
  const key = JSON.stringify(asked);
  const start = useCallback(() => run(JSON.parse(key) as BedQuestion), [run, key]);
  useEffect(() => {
    const soon = setTimeout(start, REST_MS);
    return () => clearTimeout(soon);
  }, [start]);
  return {
    ran,
    problem: state.kind === 'failed' ? state.message : undefined,
    progress: state.kind === 'progress' ? state.share : undefined,
    stop,
    start,
  };
}
