import type { Thing } from '@/core/plan/thing-fields';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';

const OUTLETS = { '': 'not said', own: 'one of its own', shared: 'shared with something else' } as const;

/** What its plate and its place say about mounting it: told again in the steps of the assembly. */
export function MountingFields({ said, say }: { said: Thing; say: (more: Partial<Thing>) => void }) {
  return (
    <section aria-label="Mounting" className="grid max-w-2xl gap-2">
      <h3 className="font-semibold">Mounting</h3>
      <div className="grid gap-3 sm:grid-cols-3">
        <QuantityInput
          id="thing-clearance"
          label="Free room round it"
          quantity="length"
          value={said.clearanceM ?? 0}
          min={0}
          max={5}
          help="As its plate asks."
          onCommit={(clearanceM) => {
            say({ clearanceM: clearanceM || undefined });
            return undefined;
          }}
        />
        <QuantityInput
          id="thing-cord"
          label="Length of its cord"
          quantity="length"
          value={said.cordM ?? 0}
          min={0}
          max={50}
          onCommit={(cordM) => {
            say({ cordM: cordM || undefined });
            return undefined;
          }}
        />
        <ChoiceInput
          id="thing-outlet"
          label="Its outlet is"
          value={said.outlet ?? ''}
          options={OUTLETS}
          onCommit={(outlet) => say({ outlet: (outlet || undefined) as Thing['outlet'] })}
        />
      </div>
    </section>
  );
}
