'use client';

import { wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { type Answered, askInTurn } from './ask-in-turn';

/**
 * What a worker answers to a question that changes while somebody types or drags; the last answer stands until the next is
 * there.
 * @param start starts the worker, which exposes one function of the question; it is started at the first one
 * @param question asked anew whenever it is another object; not asked while it is undefined
 * @param waitMs how long a question must stand before it is asked
 */
export function useAnswer<Q, A>(
  start: () => Worker,
  question: Q | undefined,
  waitMs = 0,
): { answered: Answered<Q, A> | undefined; busy: boolean } {
  const [answered, setAnswered] = useState<Answered<Q, A>>();
  const begun = useRef<{ readonly worker: Worker; readonly put: (question: Q) => Promise<void> }>(undefined);
  useEffect(
    () => () => {
      begun.current?.worker.terminate();
      begun.current = undefined;
    },
    [],
  );
  useEffect(() => {
    if (question === undefined) return;
    const soon = setTimeout(() => {
      if (!begun.current) {
        const worker = start();
        const ask = wrap<(question: Q) => A>(worker) as unknown as (question: Q) => Promise<A>;
        begun.current = { worker, put: askInTurn(ask, setAnswered) };
      }
      void begun.current.put(question);
    }, waitMs);
    return () => clearTimeout(soon);
  }, [start, question, waitMs]);
  return { answered, busy: question !== undefined && answered?.question !== question };
}
