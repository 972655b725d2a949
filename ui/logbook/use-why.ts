import { useEffect, useState } from 'react';
import type { Derivation } from '@/core/quantity/derivation';
import { usePlan } from '@/ui/plan/plan-provider';

/** “Why?” of what was expected of a drain on its day: it is long, and asked for one entry at a time. */
export function useWhy(entryId: string): Derivation | undefined {
  const { planId } = usePlan();
  const [answer, setAnswer] = useState<{ entryId: string; why: Derivation | null }>();
  useEffect(() => {
    const stop = new AbortController();
    fetch(`/api/plans/${planId}/drains/${entryId}`, { signal: stop.signal })
      .then((r) => (r.ok ? r.json() : undefined))
      .then((body) => body && setAnswer({ entryId, why: body.why }))
      .catch(() => {}); // without an answer the figure stands without its “why?”
    return () => stop.abort();
  }, [planId, entryId]);
  return answer?.entryId === entryId ? (answer.why ?? undefined) : undefined;
}
