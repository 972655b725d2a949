'use client';

import { type ReactNode, useMemo } from 'react';
import { costOfLine, type LineCost } from '@/core/cost/cost-of-line';
import { type KindName, kindOf } from '@/core/equipment/index';
import { billOf } from '@/core/fitting/bill';
import type { Plan } from '@/core/plan/plan';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

const ROWS = [
  ['first', 'To buy, the equipment of it'],
  ['pressure', 'Power for the pressure lost in treatment'],
  ['purge', 'Purge and sweep'],
  ['airLost', 'Leaks and timed drains'],
  ['refrigeration', 'Refrigeration'],
  ['elements', 'Elements'],
  ['media', 'Media'],
  ['service', 'Service of the rest'],
  ['labour', 'Work'],
  ['yearly', 'All of it in a year'],
  ['worth', 'What dry air is worth in a year'],
] as const satisfies readonly (readonly [keyof LineCost, string])[];

/** What each plan costs, at the tariff and prices of the line at hand. */
export function CostRows({
  plans,
  cells,
}: {
  plans: readonly Plan[];
  cells: (of: (i: number) => ReactNode) => ReactNode;
}) {
  const { plan } = usePlan();
  const { money } = plan;
  const costs = plans.map((p) => costOfLine(p, money));
  const built = useMemo(() => plans.map((p) => billOf(p).total), [plans]);
  const { number } = useUnits();
  const tell = (amount: number): string => `${number(amount, undefined, 2)} ${money.currency}`;
  const placeholders = [...new Set(costs.flatMap((c) => c.placeholders))].map((k) => kindOf(k as KindName).label);
  return (
    <>
      <tr className="border-t border-hairline">
        <th scope="row" className="py-1 pr-3 font-normal">
          To build, with every part
        </th>
        {cells((i) => built[i] !== undefined && tell(built[i]))}
      </tr>
      {ROWS.map(([field, label]) => (
        <tr key={field} className={`border-t border-hairline ${field === 'yearly' ? 'font-semibold' : ''}`}>
          <th scope="row" className="py-1 pr-3 font-normal">
            {label}
          </th>
          {cells((i) => {
            const cost = costs[i];
            if (!cost) return undefined;
            return (
              <>
                {tell(cost[field])}
                {field === 'labour' && <span className="text-quiet"> · {Math.round(cost.minutes)} min</span>}
                {field in cost.kWh && (
                  <span className="text-quiet">
                    {' '}
                    · {number(cost.kWh[field as keyof LineCost['kWh']], undefined, 2)} kWh
                  </span>
                )}
                {field === 'worth' && cost.claimed > 0 && (
                  <span className="text-amber"> · {tell(cost.claimed)} of it claimed, not seen</span>
                )}
              </>
            );
          })}
        </tr>
      ))}
      <tr className="border-t border-edge font-semibold">
        <th scope="row" className="py-1 pr-3">
          Over {money.years} years, less what it is worth
        </th>
        {cells((i) => tell(costs[i]?.whole ?? 0))}
      </tr>
      {placeholders.length > 0 && (
        <tr>
          <td colSpan={plans.length + 1} className="py-2 text-[0.88rem] text-amber">
            ◆ Placeholder prices until you replace them below: {placeholders.slice(0, 6).join(', ')}
            {placeholders.length > 6 ? ` and ${placeholders.length - 6} more` : ''}. They show orders of magnitude only.
          </td>
        </tr>
      )}
    </>
  );
}
