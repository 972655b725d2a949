'use client';

import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { billOf } from '@/core/fitting/bill';
import { AISLES } from '@/core/fitting/bill-rows';
import { usePlan } from '@/ui/plan/plan-provider';
import { InUnits } from '@/ui/units/in-units';

/** The bill below a printed drawing. It is counted as the page is printed: on screen it has a page of its own. */
export function PrintedBill() {
  const { plan, section } = usePlan();
  const [prints, setPrints] = useState(false);
  useEffect(() => {
    const set = (to: boolean) => () => flushSync(() => setPrints(to));
    const [before, after] = [set(true), set(false)];
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  if (!prints) return null;
  const { items } = billOf(plan, section);
  return (
    <section aria-label="Bill" className="hidden print:block">
      {Object.entries(AISLES).map(([aisle, name]) => {
        const rows = items.filter((i) => i.aisle === aisle);
        return rows.length === 0 ? null : (
          <div key={aisle} className="mb-2">
            <h2>{name}</h2>
            <ul className="columns-2 gap-x-6 text-[0.85rem]">
              {rows.map((i) => (
                <li key={i.key} className="break-inside-avoid">
                  {i.count} × <InUnits text={i.label} />
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </section>
  );
}
