'use client';

import { useMemo } from 'react';
import { stretchesTo } from '@/core/line/gauge-readings';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

const WORD = {
  agrees: { mark: '●', tone: 'text-water', says: 'as calculated' },
  more: { mark: '▲', tone: 'text-brick', says: 'measured loss above calculated' },
  less: { mark: '◆', tone: 'text-amber', says: 'measured loss below calculated' },
} as const;

/** Gauges on the way to an outlet, at rest against in flow: where the measured loss parts from the computed one. */
export function GaugeStretches({ outletId }: { outletId: string }) {
  const { plan } = usePlan();
  const { say } = useUnits();
  const stretches = useMemo(() => stretchesTo(plan, outletId), [plan, outletId]);
  if (stretches.length === 0) return null;
  return (
    <section aria-label="Gauges at rest and in flow" className="grid gap-2 border-t border-hairline pt-3">
      <h2 className="text-[0.95rem]">Gauges at rest and in flow</h2>
      <ul className="grid gap-2">
        {stretches.map((s) => {
          const { mark, tone, says } = WORD[s.verdict];
          return (
            <li key={s.toId}>
              {s.from} → {s.to}: lost <strong>{say(s.measuredPa, 'pressureDifference')}</strong> ±{' '}
              {say(s.offPa, 'pressureDifference')} by the gauges, {say(s.computedPa, 'pressureDifference')} calculated
              with all in use{' '}
              <strong className={tone}>
                <span aria-hidden>{mark} </span>
                {says}
              </strong>
              {s.verdict === 'more' && s.largest && (
                <span className="text-quiet">
                  . Look between them for a valve half shut, a clogged element, a kink; begin at {s.largest}.
                </span>
              )}
              {s.verdict === 'less' && (
                <span className="text-quiet">. Did all blow that the plan says? Are lengths and bores as entered?</span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
