'use client';

import dynamic from 'next/dynamic';
import { parseAsString, useQueryState } from 'nuqs';
import { useMemo } from 'react';
import { stageById } from '@/core/line/runs';
import { type LoggedEntry, standingEntries } from '@/core/record/log-entry';
import { READINGS, type ReadingName } from '@/core/routine/task';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';

const TrendChart = dynamic(() => import('./trend-chart').then((m) => m.TrendChart), {
  ssr: false,
  loading: () => <div className="h-52" />,
});

/** One quantity of one point through time. */
export function Trend({ entries }: { entries: readonly LoggedEntry[] }) {
  const { plan } = usePlan();
  const series = useMemo(() => {
    const by = new Map<string, { stageId: string; name: string; of: ReadingName; count: number }>();
    for (const e of standingEntries(entries))
      for (const r of e.readings) {
        const key = `${e.stageId}:${r.of}`;
        const own = by.get(key) ?? {
          stageId: e.stageId,
          name: stageById(plan, e.stageId)?.name ?? e.stageName,
          of: r.of,
          count: 0,
        };
        own.count++;
        by.set(key, own);
      }
    return [...by].filter(([, s]) => s.count > 1).sort(([, a], [, b]) => b.count - a.count);
  }, [entries, plan]);
  const [chosen, choose] = useQueryState('trend', parseAsString);
  const own = series.find(([k]) => k === chosen) ?? series[0];
  if (!own) return null;
  const [key, s] = own;
  return (
    <section aria-label="Trend" className="grid gap-2">
      <div className="w-80 max-w-full">
        <ChoiceInput
          id="trend"
          label="Trend"
          value={key}
          options={Object.fromEntries(
            series.map(([k, x]) => [k, `${x.name}: ${READINGS[x.of].label.toLowerCase()} (${x.count})`]),
          )}
          onCommit={(v) => void choose(v)}
        />
      </div>
      <TrendChart entries={entries} stageId={s.stageId} of={s.of} />
    </section>
  );
}
