'use client';

import { Printer } from 'lucide-react';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { useWater } from './water-provider';

const VIEWS = [
  ['', 'Today'],
  ['/year', 'Year'],
  ['/week', 'This week'],
  ['/winter', 'Winter'],
  ['/weather', 'Weather'],
] as const;

/** What all Water pages have: their parts, and which year of weather they go by. */
export function WaterFrame({ children }: { children: ReactNode }) {
  const { planId } = usePlan();
  const { weatherName, problem, busy } = useWater();
  const path = usePathname();
  const base = `/lines/${planId}/water`;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 p-4">
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>Water</h1>
        <nav aria-label="Water" className="flex max-w-full gap-1.5 overflow-x-auto">
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
        <p className="ml-auto text-quiet">
          {weatherName ? (
            <>
              Year: <strong className="font-semibold text-ink">{weatherName}</strong>
              <span className={busy ? '' : 'invisible'}> · calculating…</span>
            </>
          ) : (
            <Link href={`${base}/weather`} className="text-water underline underline-offset-4">
              No year of weather yet: choose one
            </Link>
          )}
        </p>
        <Link href={`${base}/plan`} className="button">
          <Printer size={15} aria-hidden /> Drain plan
        </Link>
      </div>
      {problem && (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          {problem}
        </p>
      )}
      {children}
    </div>
  );
}
