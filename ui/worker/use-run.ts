'use client';

import { proxy, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';

/** What a worker’s function is given besides its question: where it tells how far it is, 0…1 or in its own words. */
export type Tell<P = number> = (progress: P) => void;

/** Where a run stands. */
export type RunState<A, P = number> =
  | { readonly kind: 'idle' }
  | { readonly kind: 'progress'; readonly share: P | 0 }
  | { readonly kind: 'done'; readonly answer: A }
  | { readonly kind: 'failed'; readonly message: string };

/** A long calculation in a worker of its own, with its progress; stopped by ending the worker. */
export function useRun<Q, A, P = number>(
  start: () => Worker,
): {
  state: RunState<A, P>;
  run: (question: Q) => void;
  stop: () => void;
} {
  const [state, setState] = useState<RunState<A, P>>({ kind: 'idle' });
  const worker = useRef<Worker>(undefined);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    setState({ kind: 'idle' });
  }, []);
  useEffect(() => () => worker.current?.terminate(), []);
  const run = useCallback(
    (question: Q) => {
      worker.current?.terminate();
      const own = start();
      worker.current = own;
      const show = (now: RunState<A, P>): void => {
        if (worker.current === own) setState(now);
      };
      show({ kind: 'progress', share: 0 });
      own.onerror = () => show({ kind: 'failed', message: 'The calculation stopped.' });
      const of = wrap<(question: Q, tell: Tell<P>) => A>(own) as unknown as (question: Q, tell: Tell<P>) => Promise<A>;
      of(
        question,
        proxy((share: P) => show({ kind: 'progress', share })),
      ).then(
        (answer) => show({ kind: 'done', answer }),
        (error) => show({ kind: 'failed', message: error instanceof Error ? error.message : 'Not calculated.' }),
      );
    },
    [start],
  );
  return { state, run, stop };
}
