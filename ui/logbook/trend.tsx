'use client';

import dynamic from 'next/dynamic';
import { parseAsString, useQueryState } from 'nuqs';
import type { TrendName, Trend as TrendOfLog } from '@/core/log/log-pages';
import { READINGS } from '@/core/log/readings';
import { stageById } from '@/core/plan/runs';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';

const TrendChart = dynamic(() => import('./trend-chart').then((m) => m.TrendChart), {
  ssr: false,
  loading: () => <div className="h-52" />,
});

/** One quantity of one point through time. */
export function Trend({ trend }: { trend: TrendOfLog }) {
  const { plan } = usePlan();
  const [, choose] = useQueryState('trend', parseAsString.withOptions({ shallow: false }));
  const { chosen, names } = trend;
  if (!chosen) return null;
  const keyOf = ({ stageId, of }: TrendName): string => `${stageId}:${of}`;
  const said = ({ stageId, of }: TrendName): string =>
    `${stageById(plan, stageId)?.name ?? (stageId || plan.name)}: ${READINGS[of].label.toLowerCase()}`;
  return (
    <section aria-label="Trend" className="grid gap-2">
      <div className="w-80 max-w-full">
        <ChoiceInput
          id="trend"
          label="Trend"
          value={keyOf(chosen)}
          options={Object.fromEntries(
            names.toSorted((a, b) => said(a).localeCompare(said(b))).map((n) => [keyOf(n), said(n)]),
          )}
          onCommit={(v) => void choose(v)}
        />
      </div>
      <TrendChart trend={trend} stageId={chosen.stageId} of={chosen.of} />
    </section>
  );
}
