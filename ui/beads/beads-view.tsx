'use client';

import { useQueryStates } from 'nuqs';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { BatchSheet } from './batch-sheet';
import { CartridgeSheet } from './cartridge-sheet';
import { type Ask, BOUNDS, bounded, type Query, STATE } from './query';
import { TowersSheet } from './towers-sheet';
import { WeighSheet } from './weigh-sheet';

/** How long beads last, whether that is a good idea, and what an oven does for a spent charge. */
export function BeadsView() {
  const [typed, setQ] = useQueryStates(STATE);
  const q = bounded(typed);
  const set = (change: Partial<Query>): void => void setQ(change);
  const ask: Ask = (key, label, quantity, help) => (
    <QuantityInput
      id={key}
      label={label}
      quantity={quantity}
      value={q[key]}
      min={BOUNDS[key][0]}
      max={BOUNDS[key][1]}
      help={help}
      onCommit={(value) => {
        set({ [key]: value });
        return undefined;
      }}
    />
  );
  return (
    <div className="mx-auto grid max-w-[1080px] gap-8 p-4">
      <div>
        <h1>Beads answer</h1>
        <p className="text-quiet">
          “Two pounds of gel at ten cfm: how long, and is it worth it?” What an oven leaves in a spent charge, and what
          two towers would cost.
        </p>
      </div>
      <CartridgeSheet q={q} set={set} ask={ask} />
      <BatchSheet q={q} set={set} ask={ask} />
      <WeighSheet q={q} set={set} ask={ask} />
      <TowersSheet q={q} ask={ask} />
    </div>
  );
}
