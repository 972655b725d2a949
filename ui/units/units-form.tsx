'use client';

import {
  METRIC,
  QUANTITIES,
  type Quantity,
  type QuantityName,
  type UnitChoice,
  US_CUSTOMARY,
  unitOf,
} from '@/core/quantity/units';
import { useUnits } from './units';

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

/** A usual set of units, with the decimal sign that was chosen before. */
export const withUnits = ({ decimal }: UnitChoice, units: UnitChoice): UnitChoice => ({
  ...units,
  ...(decimal && { decimal }),
});

/** The person's units: a set, or each by itself; and their decimal sign. @param wide in two columns, where there is room */
export function UnitsForm({ wide = false }: { wide?: boolean }) {
  const { choice, setChoice } = useUnits();
  return (
    <>
      <div className="mb-3 flex max-w-80 gap-2">
        <button type="button" className="button flex-1" onClick={() => setChoice(withUnits(choice, METRIC))}>
          Metric
        </button>
        <button type="button" className="button flex-1" onClick={() => setChoice(withUnits(choice, US_CUSTOMARY))}>
          US customary
        </button>
      </div>
      <div className={`grid gap-2 ${wide ? 'gap-x-10 sm:grid-cols-2' : ''}`}>
        {SHOWN.map(([quantity, label]) => (
          <label key={quantity} className="grid grid-cols-[1fr_7.5rem] items-center gap-3">
            {label}
            <select
              className="control"
              value={unitOf(quantity, choice[quantity]).id}
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
        <label className="grid grid-cols-[1fr_7.5rem] items-center gap-3">
          Decimals
          <select
            className="control"
            value={choice.decimal ?? 'point'}
            onChange={(e) => {
              const { decimal: _before, ...units } = choice;
              setChoice(e.target.value === 'comma' ? { ...units, decimal: 'comma' } : units);
            }}
          >
            <option value="point">1.5</option>
            <option value="comma">1,5</option>
          </select>
        </label>
      </div>
      <p className="mt-3 text-[0.8rem] text-quiet">
        You may type any other unit in any field, such as 38 cfm or 100F. Pressures are gauge unless you type “bar abs”
        or “psia”.
      </p>
    </>
  );
}
