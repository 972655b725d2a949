'use client';

import { Ruler } from 'lucide-react';
import { Popover } from 'radix-ui';
import { type QuantityName, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { UnitsForm } from '@/ui/units/units-form';

/** The person's units: a set, or each by itself. Any unit may be typed anywhere, whatever stands here. */
export function UnitsMenu() {
  const { choice } = useUnits();
  const own = (q: QuantityName) => unitOf(q, choice[q]);
  return (
    <Popover.Root>
      <Popover.Trigger className="button max-sm:px-2" title="Units">
        <Ruler size={16} aria-hidden className="sm:hidden" />
        <span className="max-sm:sr-only">
          <span className="sr-only">Units: </span>
          {own('temperature').symbol} · {own('pressure').symbol} · {own('volumeFlow').symbol}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Units"
          className="floating z-50 max-h-[85vh] w-80 overflow-auto p-4"
          align="end"
          sideOffset={6}
        >
          <UnitsForm />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
