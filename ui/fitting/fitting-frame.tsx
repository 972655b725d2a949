'use client';

import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';

const VIEWS = [
  ['', 'Run'],
  ['/joints', 'Joints'],
  ['/parts', 'Parts'],
  ['/assembly', 'Assembly'],
  ['/leak-test', 'Leak test'],
  ['/things', 'Installed'],
] as const;

/** What all pages of the fitting have: their parts. */
export function FittingFrame({ children }: { children: ReactNode }) {
  const { planId } = usePlan();
  const path = usePathname();
  const base = `/lines/${planId}/fitting`;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 p-4 print:block print:p-0">
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>Fitting</h1>
        <nav aria-label="Fitting" className="flex max-w-full gap-1.5 overflow-x-auto">
          {VIEWS.map(([at, name]) => {
            const here = path === base + at;
            return (
              <Link
                key={at}
                href={base + at}
                aria-current={here ? 'page' : undefined}
                className={`button ${here ? 'border-ink bg-ink text-paper' : ''}`}
              >
                {name}
              </Link>
            );
          })}
        </nav>
      </div>
      {children}
    </div>
  );
}
