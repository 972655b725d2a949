import { useEffect, useState } from 'react';
import type { PlanList, PlanSummary } from '@/core/line/plan';

/** The other lines, asked for when they are wanted; none while there is no answer. */
export function useLines(wanted: boolean): readonly PlanSummary[] | undefined {
  const [lines, setLines] = useState<readonly PlanSummary[]>();
  useEffect(() => {
    if (!wanted) return;
    const away = new AbortController();
    fetch('/api/plans', { signal: away.signal })
      .then(async (answer) => answer.ok && setLines(((await answer.json()) as PlanList).lines))
      .catch(() => {});
    return () => away.abort();
  }, [wanted]);
  return lines;
}
