'use client';

import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { changes } from '@/core/plan/changes';
import type { PlanSummary, RevisionSummary } from '@/core/plan/plan';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { Table } from './compare-table';
import { MoneyForm } from './money-form';
import { type ProposalList, Proposals } from './proposals';
import { Revisions } from './revisions';
import type { Titled } from './side';

/** Two or three plans side by side, and what changed between them, in words. */
export function CompareView({
  revisions,
  lines,
  others,
  proposals,
  decides,
}: {
  revisions: readonly RevisionSummary[];
  lines: readonly PlanSummary[];
  others: readonly Titled[];
  proposals: ProposalList;
  /** Whether one may change the line, and so decide them. */
  decides: boolean;
}) {
  const { plan, planId } = usePlan();
  const router = useRouter();
  const sides = useMemo<readonly Titled[]>(
    () => [{ key: 'now', title: 'As it is now', plan }, ...others],
    [plan, others],
  );
  const choose = (keys: readonly string[]): void => {
    const chosen = keys.filter(Boolean);
    router.replace(`/lines/${planId}/compare${chosen.length > 0 ? `?with=${chosen.join(',')}` : ''}`);
  };
  const keyAt = (i: number): string => others[i]?.key ?? '';
  return (
    <div className="mx-auto grid max-w-[1240px] gap-5 p-4">
      <h1>Compare</h1>
      <div className="grid items-start gap-x-8 gap-y-4 lg:grid-cols-[1fr_21rem]">
        <section aria-label="Plans to compare" className="grid gap-3 sm:grid-cols-2">
          {[0, 1].map((i) => (
            <label key={i} className="grid min-w-0 gap-1">
              <span>{i === 0 ? 'Compare with' : 'And with'}</span>
              <select
                className="control"
                value={keyAt(i)}
                disabled={i === 1 && others.length === 0}
                onChange={(e) => choose(i === 0 ? [e.target.value, keyAt(1)] : [keyAt(0), e.target.value])}
              >
                <option value="">–</option>
                {revisions.length > 0 && (
                  <optgroup label="Revisions of this line">
                    {revisions.map((r) => (
                      <option key={r.id} value={`revision:${r.id}`}>
                        {r.name}
                      </option>
                    ))}
                  </optgroup>
                )}
                <optgroup label="Other lines and copies">
                  {lines.map((l) => (
                    <option key={l.id} value={`line:${l.id}`}>
                      {l.shop} · {l.name}
                    </option>
                  ))}
                </optgroup>
              </select>
            </label>
          ))}
        </section>
        <Revisions revisions={revisions} />
      </div>
      {proposals.list.length > 0 && <Proposals planId={planId} proposals={proposals} decides={decides} />}
      {others.length === 0 ? (
        <p className="max-w-prose text-quiet">
          Choose a revision of this line, or another line, to see them side by side: section, jobs, water, pressure,
          purity, advice, tasks and money. To try something without touching this line, make a copy of it.
        </p>
      ) : (
        <Changed sides={sides} />
      )}
      <Table sides={sides} />
      <MoneyForm />
    </div>
  );
}

function Changed({ sides }: { sides: readonly Titled[] }) {
  const { say } = useUnits();
  const [now, ...others] = sides;
  const [one, other] = others;
  const pairs = [
    ...others.flatMap((o) => (now ? [[o, now] as const] : [])),
    ...(one && other ? [[one, other] as const] : []),
  ];
  return (
    <section aria-label="What changed" className="grid gap-3 border-t border-hairline pt-3">
      <h2>What changed</h2>
      <div className={`grid gap-x-8 gap-y-3 ${pairs.length > 1 ? 'lg:grid-cols-3' : ''}`}>
        {pairs.map(([from, to]) => {
          const list = changes(from.plan, to.plan);
          return (
            <div key={`${from.key} ${to.key}`}>
              <h3 className="text-quiet">
                From “{from.title}” to {to === now ? 'as it is now' : `“${to.title}”`}
              </h3>
              {list.length === 0 ? (
                <p>Nothing: they are the same.</p>
              ) : (
                <ul className="mt-1 max-h-64 list-disc overflow-auto pl-5">
                  {list.map((c) => {
                    const text = c.says(say);
                    return <li key={text}>{text}</li>;
                  })}
                </ul>
              )}
            </div>
          );
        })}
      </div>
    </section>
  );
}
