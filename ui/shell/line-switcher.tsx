'use client';

import { ChevronDown } from 'lucide-react';
import { lazy, useState } from 'react';
import { usePlanState } from '@/ui/plan/plan-provider';
import { WhenUsed } from '@/ui/primitives/when-used';
import { useLines } from './use-lines';

const load = () => import('./line-menu').then((m) => ({ default: m.LineMenu }));
const LineMenu = lazy(load);

/** What is open, and the other lines. */
export function LineSwitcher({ planId }: { planId: string }) {
  const [near, setNear] = useState(false); // asked for as somebody comes near, so that the menu does not grow under them
  const lines = useLines(near);
  const shop = usePlanState((s) => s.plan.survey.shop);
  const name = usePlanState((s) => s.plan.name);
  const button = (
    <button type="button" aria-haspopup="menu" className="button min-w-0 shrink">
      <span className="truncate">
        <strong>{shop}</strong>
        <span className="max-md:hidden"> · {name}</span>
      </span>
      <ChevronDown size={14} aria-hidden className="shrink-0" />
    </button>
  );
  const come = (): Promise<unknown> => {
    setNear(true);
    return load();
  };
  return <WhenUsed load={come} button={button} opened={<LineMenu planId={planId} lines={lines} button={button} />} />;
}
