'use client';

import type { Convention } from '@/core/air/dew-point';
import type { QuantityName } from '@/core/quantity/units';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { KINDS, type KindId, type Query } from './query';

const CONVENTIONS = { frost: 'frost point, over ice', water: 'dew point over supercooled water' } as const;

/** What the meter says, and where it was read. */
export function Question({ q, set }: { q: Query; set: (change: Partial<Query>) => void }) {
  const input = (
    key: 'rh' | 'dp' | 'adp' | 'gm3' | 'ppm' | 'atC' | 'atPa' | 'air',
    label: string,
    quantity: QuantityName,
    min: number,
    max: number,
  ) => (
    <QuantityInput
      key={key}
      id={key}
      label={label}
      quantity={quantity}
      value={q[key]}
      min={min}
      max={max}
      onCommit={(v) => {
        set({ [key]: v });
        return undefined;
      }}
    />
  );
  const dewKind = q.has === 'pressureDewPoint' || q.has === 'atmosphericDewPoint';
  const lowest = q.below === 'water' ? -50 : -100;
  return (
    <form
      className="grid gap-3 rounded-md border border-hairline bg-card p-4"
      onSubmit={(e) => e.preventDefault()}
      aria-label="Reading"
    >
      <h2>Reading</h2>
      <ChoiceInput
        id="has"
        label="The reading is"
        value={q.has}
        options={KINDS}
        onCommit={(v) => set({ has: v as KindId })}
      />
      {q.has === 'relativeHumidity' && input('rh', 'Relative humidity', 'share', 0.00001, 1)}
      {q.has === 'pressureDewPoint' && input('dp', 'Pressure dew point', 'temperature', lowest, 100)}
      {q.has === 'atmosphericDewPoint' && input('adp', 'Atmospheric dew point', 'temperature', lowest, 99)}
      {q.has === 'density' && input('gm3', 'Water content', 'waterContent', 1e-9, 0.5)}
      {q.has === 'ppm' && input('ppm', 'Water, on dry air', 'fraction', 1e-9, 0.5)}
      {dewKind && (
        <ChoiceInput
          id="below"
          label="Below freezing the meter shows"
          value={q.below}
          options={CONVENTIONS}
          onCommit={(v) => set({ below: v as Convention })}
          help="Most meters report frost point."
        />
      )}
      {q.has !== 'ppm' &&
        q.has !== 'atmosphericDewPoint' &&
        input('atPa', 'Pressure where it was read', 'pressure', 0.5e5, 41e5)}
      {(q.has === 'relativeHumidity' || q.has === 'density') &&
        input('atC', 'Air temperature where it was read', 'temperature', -40, 100)}
      {input('air', 'Barometer', 'barometer', 55000, 108000)}
    </form>
  );
}
