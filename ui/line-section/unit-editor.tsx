'use client';

import { FoldHorizontal, Trash2, UnfoldHorizontal, Ungroup } from 'lucide-react';
import type { FieldMeta } from '@/core/equipment/shared/kind';
import { settleHours, shareInUse, unitUsedS } from '@/core/log/unit-hours';
import { moveUnit, removeUnit, setUnit, stagesOfUnit, ungroup } from '@/core/plan/machine-units';
import { type MachineUnit, unitSchema } from '@/core/plan/plan';
import { MAIN, runOfStage, runsOf } from '@/core/plan/runs';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { TextInput } from '@/ui/forms/text-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall } from '@/ui/units/when';
import { StageIcon } from './stage-icon';

const metaOf = (field: 'form' | 'is' | 'usedS'): FieldMeta => unitSchema.shape[field].meta() as unknown as FieldMeta;

interface UnitActs {
  unit: MachineUnit;
  open: boolean;
  onToggle: () => void;
  onSelect: (stageId: string) => void;
  onRemoved: () => void;
}

/** The selected unit: what it is made of, whether it can be carried, its hours, and where it stands. */
export function UnitEditor({ unit, open, onToggle, onSelect, onRemoved }: UnitActs) {
  const { plan, edit } = usePlan();
  const { say } = useUnits();
  const stages = stagesOfUnit(plan, unit.id);
  const run = runOfStage(plan, stages[0]?.id ?? '');
  const places = Object.fromEntries(
    runsOf(plan).flatMap((r) => [
      ...(r.from === null ? [] : [[r.id, `the tee of ${r.name}`]]),
      ...r.stages
        .filter((s) => s.unit !== unit.id && s.kind !== 'intake')
        .map((s) => [s.id, r.id === MAIN ? s.name : `${s.name}, ${r.name}`]),
    ]),
  );
  const behind = run?.stages[run.stages.findIndex((s) => s.unit === unit.id) - 1]?.id ?? run?.id ?? '';
  const now = nowOnTheWall();
  const used = unitUsedS(plan, unit, now);
  const carry = (toBehind: string): void =>
    edit((p) => {
      const to = runOfStage(p, toBehind) ?? runsOf(p).find((r) => r.id === toBehind);
      const others = to?.stages.filter((s) => s.unit !== unit.id) ?? [];
      const place = others.findIndex((s) => s.id === toBehind) + 1;
      return to ? moveUnit(settleHours(p, unit.id, now), unit.id, place, to.id) : p;
    });
  return (
    <section aria-label={`${unit.name}, unit`} className="grid max-w-4xl content-start gap-4 p-4">
      <div className="flex flex-wrap items-end gap-3">
        <div className="min-w-40 flex-1">
          <TextInput
            id={`${unit.id}-name`}
            label="Unit: name"
            value={unit.name}
            most={60}
            onCommit={(name) => edit((p) => setUnit(p, unit.id, { name }), `${unit.id}.name`)}
          />
        </div>
        <UnitActions unit={unit} open={open} onToggle={onToggle} onSelect={onSelect} onRemoved={onRemoved} />
      </div>
      <UnitStages unit={unit} onSelect={onSelect} />
      <div className="grid items-start gap-x-4 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
        <ChoiceInput
          id={`${unit.id}-form`}
          label={metaOf('form').label}
          value={unit.form}
          options={metaOf('form').options ?? {}}
          onCommit={(form) =>
            edit((p) =>
              setUnit(settleHours(p, unit.id, now), unit.id, { form: form as MachineUnit['form'], is: 'here' }),
            )
          }
        />
        <ChoiceInput id={`${unit.id}-behind`} label="Downstream of" value={behind} options={places} onCommit={carry} />
        {unit.form === 'portable' && (
          <ChoiceInput
            id={`${unit.id}-is`}
            label={metaOf('is').label}
            value={unit.is}
            options={metaOf('is').options ?? {}}
            onCommit={(is) =>
              edit((p) => setUnit(settleHours(p, unit.id, now), unit.id, { is: is as MachineUnit['is'] }))
            }
          />
        )}
        <QuantityInput
          id={`${unit.id}-used`}
          label={metaOf('usedS').label}
          quantity="time"
          value={Math.round(used / 360) * 360}
          min={metaOf('usedS').least}
          max={metaOf('usedS').most}
          help={metaOf('usedS').help}
          onCommit={(usedS) => {
            edit((p) => setUnit(p, unit.id, { usedS, countedAt: now }), `${unit.id}.used`);
            return undefined;
          }}
        />
      </div>
      <p className="text-[0.88rem] text-quiet">
        {unit.is === 'away'
          ? 'While it is away a jumper hose carries the air past its place: the walk leaves it out, and its hours stand still.'
          : `Air flows through it ${say(shareInUse(plan, unit.id), 'share')} of the working time, by the outlets downstream of it. ${unit.countedAt === null ? 'Enter its hours, and they are counted on from there.' : 'Its hours are counted on by that.'}`}
      </p>
    </section>
  );
}

function UnitActions({ unit, open, onToggle, onSelect, onRemoved }: UnitActs) {
  const { plan, edit } = usePlan();
  return (
    <div className="flex flex-wrap gap-1">
      <button type="button" className="button" aria-expanded={open} onClick={onToggle}>
        {open ? <FoldHorizontal size={15} aria-hidden /> : <UnfoldHorizontal size={15} aria-hidden />}
        {open ? 'Close it to one card' : 'Open its stages'}
      </button>
      <button
        type="button"
        className="button"
        onClick={() => {
          edit((p) => ungroup(p, unit.id));
          onSelect(stagesOfUnit(plan, unit.id)[0]?.id ?? '');
        }}
      >
        <Ungroup size={15} aria-hidden /> Split the unit
      </button>
      <button
        type="button"
        className="button"
        onClick={() => {
          edit((p) => removeUnit(p, unit.id));
          onRemoved();
        }}
      >
        <Trash2 size={15} aria-hidden /> Remove
      </button>
    </div>
  );
}

/** What it is made of, each with the air downstream of it. */
function UnitStages({ unit, onSelect }: { unit: MachineUnit; onSelect: (stageId: string) => void }) {
  const { plan, section } = usePlan();
  const { say } = useUnits();
  return (
    <ol className="flex flex-wrap gap-2" aria-label="Stages of the unit">
      {stagesOfUnit(plan, unit.id).map((s) => {
        const station = section.at(s.id);
        return (
          <li key={s.id}>
            <button
              type="button"
              className="flex min-h-11 items-center gap-2 rounded-md border border-hairline bg-card px-2.5 py-1 text-left hover:border-edge"
              onClick={() => onSelect(s.id)}
            >
              <StageIcon kind={s.kind} size={22} />
              <span>
                <span className="block font-semibold">{s.name}</span>
                <span className="block text-[0.86rem] text-quiet">
                  {station
                    ? `dew point ${say(station.pressureDewPointC, 'temperature')}${station.caughtKgPerS > 0 ? `, catches ${say(station.caughtKgPerS, 'waterFlow')}` : ''}`
                    : 'not in the line'}
                </span>
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}
