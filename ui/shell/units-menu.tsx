'use client';

import { Ruler } from 'lucide-react';
import { Popover } from 'radix-ui';
import { METRIC, QUANTITIES, type Quantity, type QuantityName, US_CUSTOMARY, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';

const SHOWN: readonly [QuantityName, string][] = [
  ['temperature', 'Temperature'],
  ['temperatureDifference', 'Temperature difference'],
  ['pressure', 'Pressure'],
  ['pressureDifference', 'Pressure loss'],
  ['barometer', 'Barometer'],
  ['volumeFlow', 'Air flow'],
  ['waterFlow', 'Water'],
  ['drained', 'Drained amount'],
  ['volume', 'Receiver volume'],
  ['altitude', 'Altitude'],
];

/** The person's units: a set, or each by itself. Any unit may be typed anywhere, whatever stands here. */
export function UnitsMenu() {
  const { choice, setChoice } = useUnits();
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
          <div className="mb-3 flex gap-2">
            <button type="button" className="button flex-1" onClick={() => setChoice(METRIC)}>
              Metric
            </button>
            <button type="button" className="button flex-1" onClick={() => setChoice(US_CUSTOMARY)}>
              US customary
            </button>
          </div>
          <div className="grid gap-2">
            {SHOWN.map(([quantity, label]) => (
              <label key={quantity} className="grid grid-cols-[1fr_7.5rem] items-center gap-3">
                {label}
                <select
                  className="control"
                  value={own(quantity).id}
                  onChange={(e) => setChoice({ ...choice, [quantity]: e.target.value })}
                >
                  {(QUANTITIES[quantity] as Quantity).units.map((u) => (
                    <option key={u.id} value={u.id}>
                      {u.symbol}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </div>
          <p className="mt-3 text-[0.8rem] text-quiet">
            You may type any unit in any field: 38 cfm, 100F, 7 bar. Pressures are gauge unless you type “bar abs” or
            “psia”.
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
