'use client';

import { RECHARGE, type Recharged } from '@/core/desiccant/recharge';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Cautions } from '@/ui/primitives/cautions';
import { Sheet } from '@/ui/primitives/sheet';
import { InUnits } from '@/ui/units/in-units';
import type { Query } from './query';

const LABELS = Object.fromEntries(Object.entries(RECHARGE).map(([id, r]) => [id, r.label]));
const CAUTIONS: Record<Recharged, readonly string[]> = {
  'bead-cartridge': ['C07', 'C24'],
  'pellet-tower': ['C07', 'C25'],
  'twin-tower': ['C08', 'C07', 'C24', 'C26'],
  'coalescing-filter': ['C07', 'C21'],
  'bowl-filter': ['C07', 'C21'],
  'carbon-filter': ['C07'],
};

/** Opening a thing under pressure, and closing it again so that it holds. */
export function RechargeSheet({ q, set }: { q: Query; set: (change: Partial<Query>) => void }) {
  return (
    <Sheet
      id="recharge"
      label="Installing a charge"
      title="Installing a charge"
      asks="What is recharged"
      fields={
        <ChoiceInput
          id="thing"
          label="What is opened"
          value={q.thing}
          options={LABELS}
          onCommit={(thing) => set({ thing: thing as Recharged })}
        />
      }
    >
      <Cautions ids={CAUTIONS[q.thing]} />
      <ol className="grid max-w-2xl list-decimal gap-1 pl-5">
        {RECHARGE[q.thing].steps.map((s) => (
          <li key={s}>
            <InUnits text={s} />
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
