import { useEffect, useState } from 'react';
import type { PlanList, PlanSummary } from '@/core/plan/plan';

/** The lines last worked on, asked for when they are wanted; undefined until there is an answer, none where there is none. */
export function useLines(wanted: boolean): readonly PlanSummary[] | undefined {
  const [lines, setLines] = useState<readonly PlanSummary[]>();
  useEffect(() => {
    if (!wanted) return;
    const away = new AbortController();
    fetch('/api/plans', { signal: away.signal })
      .then(async (answer) => setLines(answer.ok ? ((await answer.json()) as PlanList).lines : []))
      .catch(() => away.signal.aborted || setLines([]));
    return () => away.abort();
  }, [wanted]);
  return lines;
}
