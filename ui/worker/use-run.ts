'use client';

import { proxy, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';

/** What a worker’s function is given besides its question: where it tells how far it is, 0…1. */
export type Tell = (share: number) => void;

/** Where a run stands. */
export type RunState<A> =
  | { readonly kind: 'idle' }
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'done'; readonly answer: A }
  | { readonly kind: 'failed'; readonly message: string };

/** A long calculation in a worker of its own, with its progress; stopped by ending the worker. */
export function useRun<Q, A>(
  start: () => Worker,
): {
  state: RunState<A>;
  run: (question: Q) => void;
  stop: () => void;
} {
  const [state, setState] = useState<RunState<A>>({ kind: 'idle' });
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
      const show = (now: RunState<A>): void => {
        if (worker.current === own) setState(now);
      };
      show({ kind: 'progress', share: 0 });
      own.onerror = () => show({ kind: 'failed', message: 'The calculation stopped.' });
      const of = wrap<(question: Q, tell: Tell) => A>(own) as unknown as (question: Q, tell: Tell) => Promise<A>;
      of(
        question,
        proxy((share) => show({ kind: 'progress', share })),
      ).then(
        (answer) => show({ kind: 'done', answer }),
        (error) => show({ kind: 'failed', message: error instanceof Error ? error.message : 'Not calculated.' }),
      );
    },
    [start],
  );
  return { state, run, stop };
}
