'use client';

import { Trash2 } from 'lucide-react';
import type { FieldMeta } from '@/core/equipment/shared/kind';
import { removeBranch } from '@/core/plan/edit-branches';
import { type Branch, branchSchema } from '@/core/plan/plan';
import { allStages, hangingOn, withBranch } from '@/core/plan/runs';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { TextInput } from '@/ui/forms/text-input';
import { usePlan } from '@/ui/plan/plan-provider';

const SHARE = branchSchema.shape.share.meta() as unknown as FieldMeta;
const SPLIT = branchSchema.shape.split.meta() as unknown as FieldMeta;

/** The selected branch: its name, where it takes its air, where it comes back, and how much goes that way. */
export function BranchEditor({ branch, onRemoved }: { branch: Branch; onRemoved: () => void }) {
  const { plan, edit } = usePlan();
  const own = new Set(branch.stages.map((s) => s.id));
  const others = allStages(plan).filter((s) => !own.has(s.id));
  const stages = Object.fromEntries(others.map((s) => [s.id, s.name]));
  const hanging = hangingOn(plan, branch.id).length;
  return (
    <section aria-label={`${branch.name}, branch`} className="grid max-w-3xl content-start gap-3 p-4">
      <div className="flex flex-wrap items-end gap-3">
        <div className="min-w-40 flex-1">
          <TextInput
            id={`${branch.id}-name`}
            label="Branch: name"
            value={branch.name}
            most={60}
            onCommit={(name) => edit((p) => withBranch(p, branch.id, { name }), `${branch.id}.name`)}
          />
        </div>
        <button
          type="button"
          className="button"
          onClick={() => {
            edit((p) => removeBranch(p, branch.id));
            onRemoved();
          }}
        >
          <Trash2 size={15} aria-hidden /> Remove the branch{hanging > 0 && ` with the ${hanging} on it`}
        </button>
      </div>
      <div className="grid gap-x-4 gap-y-3 sm:grid-cols-3">
        {branch.from !== null && (
          <ChoiceInput
            id={`${branch.id}-from`}
            label="Branches off downstream of"
            value={branch.from}
            options={stages[branch.from] ? stages : { [branch.from]: 'a stage that is gone', ...stages }}
            onCommit={(from) => edit((p) => withBranch(p, branch.id, { from }))}
          />
        )}
        <ChoiceInput
          id={`${branch.id}-into`}
          label="Rejoins upstream of"
          value={branch.into ?? ''}
          options={{ '': 'none: a dead end', ...stages }}
          onCommit={(into) => edit((p) => withBranch(p, branch.id, { into: into || null }))}
        />
        {branch.from !== null && branch.into !== null && (
          <ChoiceInput
            id={`${branch.id}-split`}
            label={SPLIT.label}
            value={branch.split}
            options={SPLIT.options ?? {}}
            onCommit={(split) => edit((p) => withBranch(p, branch.id, { split: split as Branch['split'] }))}
          />
        )}
        {branch.from !== null && branch.into !== null && branch.split === 'entered' && (
          <QuantityInput
            id={`${branch.id}-share`}
            label={SHARE.label}
            quantity="share"
            value={branch.share}
            min={0}
            max={1}
            help={SHARE.help}
            onCommit={(share) => {
              edit((p) => withBranch(p, branch.id, { share }), `${branch.id}.share`);
              return undefined;
            }}
          />
        )}
      </div>
      <p className="text-[0.88rem] text-quiet">
        {branch.into === null
          ? 'It gets the air that its outlets ask for, by flow and time. Without an outlet it is a dead leg.'
          : 'A bypass, an arm of a ring or a second compressor: its air mixes with the air there.'}
      </p>
    </section>
  );
}
