'use client';

import { Ruler } from 'lucide-react';
import { lazy } from 'react';
import { type QuantityName, unitOf } from '@/core/quantity/units';
import { WhenUsed } from '@/ui/primitives/when-used';
import { useUnits } from '@/ui/units/units';

const load = () => import('./units-popover').then((m) => ({ default: m.UnitsPopover }));
const UnitsPopover = lazy(load);

/** The person's units: a set, or each by itself. Any unit may be typed anywhere, whatever stands here. */
export function UnitsMenu() {
  const { choice } = useUnits();
  const own = (q: QuantityName) => unitOf(q, choice[q]);
  const button = (
    <button type="button" aria-haspopup="dialog" className="button max-sm:px-2" title="Units">
      <Ruler size={16} aria-hidden className="sm:hidden" />
      <span className="max-sm:sr-only">
        <span className="sr-only">Units: </span>
        {own('temperature').symbol} · {own('pressure').symbol} · {own('volumeFlow').symbol}
      </span>
    </button>
  );
  return <WhenUsed load={load} button={button} opened={<UnitsPopover button={button} />} />;
}
