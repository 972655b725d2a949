'use client';

import { Boxes, GitBranch, Plus, Shuffle } from 'lucide-react';
import { moveStage, setCheckFilter, setPlace, setProvided } from '@/core/plan/edit';
import { addBranch, addBypass, addCompressor } from '@/core/plan/edit-branches';
import { groupWithNext, unitById } from '@/core/plan/machine-units';
import type { Plan, Stage } from '@/core/plan/plan';
import { MAIN, runOfStage, runsOf } from '@/core/plan/runs';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { TextInput } from '@/ui/forms/text-input';
import { usePlan } from '@/ui/plan/plan-provider';

/** Where a stage stands: its run, whether it is bought, whether it is a check filter, and what may branch off or join there. */
export function StagePlace({
  stage,
  fixed,
  onSelect,
}: {
  stage: Stage;
  fixed: boolean;
  onSelect: (id: string) => void;
}) {
  const { plan, section, edit } = usePlan();
  const runs = runsOf(plan);
  const run = runOfStage(plan, stage.id);
  const bypassed = addBypass(plan, stage.id, 'tried');
  const grouped = groupWithNext(plan, stage.id, 'tried');
  const caught = section.at(stage.id)?.caughtKgPerS ?? 0;
  const open = (make: (p: Plan, id: string) => Plan): void => {
    const id = crypto.randomUUID();
    edit((p) => make(p, id));
    onSelect(id);
  };
  return (
    <div className="grid gap-3 border-t border-hairline pt-3">
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          onClick={() => open((p, id) => addBranch(p, stage.id, id, crypto.randomUUID()))}
        >
          <GitBranch size={15} aria-hidden /> Add a branch downstream
        </button>
        {bypassed && (
          <button type="button" className="button" onClick={() => open((p, id) => addBypass(p, stage.id, id) ?? p)}>
            <Shuffle size={15} aria-hidden /> Add a bypass around it
          </button>
        )}
        {!fixed && (
          <button
            type="button"
            className="button"
            onClick={() => edit((p) => addCompressor(p, stage.id, () => crypto.randomUUID()))}
          >
            <Plus size={15} aria-hidden /> Second compressor joins upstream
          </button>
        )}
        {stage.unit ? (
          <button type="button" className="button" onClick={() => onSelect(stage.unit as string)}>
            <Boxes size={15} aria-hidden /> Part of {unitById(plan, stage.unit)?.name}
          </button>
        ) : (
          grouped !== plan && (
            <button
              type="button"
              className="button"
              onClick={() => open((p, id) => groupWithNext(p, stage.id, id))}
              title="A wall unit or a portable unit: bought, served and carried as one thing"
            >
              <Boxes size={15} aria-hidden /> Make a unit with the next stage
            </button>
          )
        )}
      </div>
      {!fixed && (
        <div className="grid items-start gap-x-4 gap-y-2 sm:grid-cols-2">
          {runs.length > 1 && (
            <ChoiceInput
              id={`${stage.id}-run`}
              label="Located in"
              value={run?.id ?? MAIN}
              options={Object.fromEntries(runs.map((r) => [r.id, r.id === MAIN ? 'the main run' : r.name]))}
              onCommit={(to) => edit((p) => moveStage(p, stage.id, 99, to))}
            />
          )}
          {plan.survey.places.length > 1 && stage.kind !== 'outlet' && (
            <ChoiceInput
              id={`${stage.id}-place`}
              label="Room it stands in or crosses"
              value={stage.place ?? plan.survey.roomPlaceId}
              options={Object.fromEntries(plan.survey.places.map((p) => [p.id, p.name]))}
              onCommit={(id) => edit((p) => setPlace(p, stage.id, id === p.survey.roomPlaceId ? undefined : id))}
            />
          )}
          <div className="grid gap-1.5">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={stage.planned !== undefined}
                onChange={(e) => edit((p) => setProvided(p, stage.id, e.target.checked ? 'when needed' : undefined))}
              />
              Planned: not installed yet
            </label>
            {stage.planned && (
              <TextInput
                id={`${stage.id}-trigger`}
                label="Reading that triggers its purchase"
                value={stage.planned.trigger}
                most={200}
                onCommit={(trigger) => edit((p) => setProvided(p, stage.id, trigger), `${stage.id}.trigger`)}
              />
            )}
            {'drain' in stage.parameters && (
              <label className="flex items-center gap-2">
                <input
                  type="checkbox"
                  checked={stage.checkFilter === true}
                  onChange={(e) => edit((p) => setCheckFilter(p, stage.id, e.target.checked))}
                />
                A check filter: it should stay dry
              </label>
            )}
            {stage.checkFilter && caught > 0 && (
              <p className="text-amber">◆ By the numbers it would not: something before it lets water through.</p>
            )}
          </div>
        </div>
      )}
    </div>
  );
}
