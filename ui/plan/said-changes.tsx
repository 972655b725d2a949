'use client';

import { useEffect, useState } from 'react';
import { useUnits } from '@/ui/units/units';
import type { PlanStore } from './plan-store';

/** After so long without another edit, ms. */
const QUIET_MS = 600;
/** Of many changes at once, so many are said. */
const MOST_SAID = 3;

/** Says to a screen reader what an action changed in the line: advice applied, a stage removed or moved. What is typed is known. */
export function SaidChanges({ store }: { store: PlanStore }) {
  const { say } = useUnits();
  const [said, tell] = useState('');
  useEffect(() => {
    let before = store.getState().plan;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stop = store.subscribe((now, was) => {
      if (now.plan === was.plan) return;
      clearTimeout(timer);
      const at = document.activeElement;
      timer = setTimeout(async () => {
        const { changes } = await import('@/core/plan/changes'); // at the first edit
        const isTyped = at === document.activeElement && at?.matches('input, select, textarea');
        const all = isTyped ? [] : changes(before, now.plan).map((c) => c.says(say));
        const more = all.length - MOST_SAID;
        before = now.plan;
        tell([...all.slice(0, MOST_SAID), ...(more > 0 ? [`And ${more} more.`] : [])].join(' '));
      }, QUIET_MS);
    });
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [store, say]);
  return (
    <p className="sr-only" aria-live="polite" data-said>
      {said}
    </p>
  );
}
