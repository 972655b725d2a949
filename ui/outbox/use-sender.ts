'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { allStages } from '@/core/plan/runs';
import { useSignedIn } from '@/ui/people/signed-in';
import { usePlan } from '@/ui/plan/plan-provider';
import { type Outgoing, onlyInThisPage, type Refusal } from './outbox';
import { onSent, put as putIn, useOutbox } from './outbox-state';

/**
 * The way of a line's entries to the server: kept on this device until they are acknowledged, so that a reload, a dead
 * database or a basement without signal loses nothing and doubles nothing.
 * @param onWritten is told of each that was written
 * @returns how to put something in, how many are left, what was refused last, and why nothing is sent
 */
export function useSender(onWritten?: (outgoing: Pick<Outgoing, 'to' | 'body'>) => void) {
  const { planId, store } = usePlan();
  const left = useOutbox(
    (s) => s.items.filter((one) => one.planId === planId && !one.refused).length + (s.entering.get(planId) ?? 0),
  );
  const delayed = useOutbox((s) => s.delayed.get(planId));
  const [refused, setRefused] = useState<Refusal>();
  const own = useSignedIn();
  const written = useRef(onWritten);
  written.current = onWritten;
  useEffect(
    () =>
      onSent(({ one, refused }) => {
        if (one.planId !== planId) return;
        if (refused) setRefused(refused);
        else written.current?.(one);
      }),
    [planId],
  );
  const put = useCallback(
    async (...outgoing: readonly Outgoing[]): Promise<void> => {
      setRefused(undefined);
      const { plan } = store.getState();
      const stageOf = ({ to, body }: Outgoing): string => {
        // A photo is of the stage of its entry.
        const named = outgoing.map((o) => (o.body instanceof Blob ? {} : o.body));
        const of = body instanceof Blob ? named.find(({ photoId }) => to === `photos/${photoId}`) : body;
        return allStages(plan).find((s) => s.id === of?.stageId)?.name ?? 'the whole line';
      };
      const from = (one: Outgoing): Outgoing => ({
        ...one,
        about: { line: plan.name, stage: stageOf(one) },
        // Where nobody said who is at work on a shared device, it is sent by whoever says so next.
        ...(own && !own.isNobody && { by: { id: own.id, name: own.name } }),
      });
      await putIn(planId, ...outgoing.map(from));
    },
    [planId, store, own],
  );
  return { put, left, refused, delayed, unstored: left > 0 && onlyInThisPage(planId) };
}
