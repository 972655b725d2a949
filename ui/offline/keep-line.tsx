'use client';

import { useEffect } from 'react';
import { onSent } from '@/ui/outbox/outbox-state';
import { usePlanState } from '@/ui/plan/plan-provider';
import { rememberLine } from './kept-lines';
import { keepPages } from './kept-pages';

const AFTER_MS = 3000; // once the page itself is there; a choice of ours

/** Keeps the pages of the line that is open on this device, and keeps them anew when something of it was sent. */
export function KeepLine({ planId }: { planId: string }) {
  const name = usePlanState((s) => s.plan.name);
  useEffect(() => rememberLine(planId, name), [planId, name]);
  useEffect(() => {
    let anew = false;
    const keep = (): void => void keepPages(planId, anew).catch(() => undefined);
    let timer = setTimeout(keep, AFTER_MS);
    const stop = onSent(({ one }) => {
      if (one.planId !== planId) return;
      anew = true;
      clearTimeout(timer);
      timer = setTimeout(keep, AFTER_MS);
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [planId]);
  return null;
}
