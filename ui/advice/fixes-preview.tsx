'use client';

import { useMemo } from 'react';
import { measured } from '@/core/advice/hold-against';
import type { Advice } from '@/core/advice/judge-line';
import { sayIn as said } from '@/core/advice/rule';
import { costOfLine } from '@/core/cost/cost-of-line';
import { changes } from '@/core/plan/changes';
import type { Plan } from '@/core/plan/plan';
import { sayText } from '@/core/quantity/say-text';
import { useUnits } from '@/ui/units/units';

/** What all fixes would change, what they cost in pressure and money, and what they leave: before anything is done. */
export function FixesPreview({
  before,
  after,
  left,
  onDo,
  onLeave,
}: {
  before: Plan;
  after: Plan;
  left: readonly Advice[];
  onDo: () => void;
  onLeave: () => void;
}) {
  const { say } = useUnits();
  const { list, lostPa, first, yearly } = useMemo(() => {
    const [a, b] = [measured(before), measured(after)];
    const [was, is] = [costOfLine(before, before.money), costOfLine(after, before.money)];
    return {
      list: changes(before, after),
      lostPa: a.weakestPa !== undefined && b.weakestPa !== undefined ? a.weakestPa - b.weakestPa : undefined,
      first: is.first - was.first,
      yearly: is.yearly - was.yearly,
    };
  }, [before, after]);
  const money = (m: number): string => `${Math.abs(Math.round(m))} ${before.money.currency} ${m < 0 ? 'less' : 'more'}`;
  return (
    <section aria-label="What would change" className="rounded-md border border-hairline bg-card p-4">
      <h2>{list.length === 0 ? 'No fix here improves this line' : 'What would change'}</h2>
      <ul className="my-2 max-h-64 list-disc overflow-auto pl-5">
        {list.map((c) => {
          const text = c.says(say);
          return <li key={text}>{text}</li>;
        })}
      </ul>
      {list.length > 0 && (
        <p>
          {lostPa !== undefined && (
            <>
              Pressure at the weakest job: <strong>{say(Math.abs(lostPa), 'pressureDifference')}</strong>{' '}
              {lostPa > 0 ? 'less' : 'more'}.{' '}
            </>
          )}
          To buy: <strong>{money(first)}</strong>; each year: <strong>{money(yearly)}</strong>, by the prices on
          Compare.
        </p>
      )}
      {left.length > 0 && (
        <div className="mt-2">
          <p className="font-semibold">No automatic fix</p>
          <ul className="list-disc pl-5">
            {left.map((a) => (
              <li key={a.key}>
                {said(a.finding.what, say)} <span className="text-quiet">{sayText(a.rule.fix, say)}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        {list.length > 0 && (
          <button type="button" className="button button-strong" onClick={onDo}>
            Apply all fixes
          </button>
        )}
        <button type="button" className="button" onClick={onLeave}>
          Cancel
        </button>
      </div>
    </section>
  );
}
