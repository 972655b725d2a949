'use client';

import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { kindOf } from '@/core/equipment/index';
import type { StationFigure } from '@/core/line/explain';
import { readFigure, shownBy } from '@/core/line/explain';
import type { Verdicts } from '@/core/line/judge-outlet';
import { firstFree, moveStage, removeStage, renameStage } from '@/core/plan/edit';
import type { Stage } from '@/core/plan/plan';
import { type Run, runOfStage, stageById } from '@/core/plan/runs';
import type { QuantityName } from '@/core/quantity/units';
import { AdviceOfStage } from '@/ui/advice/advice-beside';
import { BeadsLink } from '@/ui/beads/beads-link';
import { DryersLink } from '@/ui/dryers/dryers-link';
import { JobChoice } from '@/ui/forms/job-choice';
import { StageForm } from '@/ui/forms/stage-form';
import { TextInput } from '@/ui/forms/text-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { InUnits } from '@/ui/units/in-units';
import { Amount, Plain } from '@/ui/units/units';
import { Why } from '@/ui/why/why';
import { CoolerReadings } from './cooler-readings';
import { GaugeStretches } from './gauge-stretches';
import { PressureFall } from './pressure-fall';
import { PumpUpTest } from './pump-up-test';
import { StagePlace } from './stage-place';

const FIGURES: readonly (readonly [StationFigure, string, QuantityName])[] = [
  ['temperature', 'Air leaves at', 'temperature'],
  ['dewPoint', 'Pressure dew point', 'temperature'],
  ['margin', 'Dew point margin', 'temperatureDifference'],
  ['pressure', 'Pressure', 'pressure'],
  ['humidity', 'Humidity in the line', 'share'],
  ['humidityExpanded', '… expanded into the room', 'share'],
  ['vapour', 'Vapour', 'waterFlow'],
  ['liquid', 'Drops carried on', 'waterFlow'],
  ['caught', 'Condensed and separated here', 'waterFlow'],
];

/** The selected stage: what it is, its numbers, what it does to the air, and the cautions of working on it. */
export const StageEditor = memo(function StageEditor({
  stageId,
  verdicts,
  onSelect,
}: {
  stageId: string;
  verdicts: Verdicts;
  onSelect: (id: string | undefined) => void;
}) {
  const { plan, section, edit } = usePlan();
  const stage = stageById(plan, stageId);
  return (
    stage && <Editor stage={stage} plan={plan} section={section} verdicts={verdicts} edit={edit} onSelect={onSelect} />
  );
});

function Editor({
  stage,
  plan,
  section,
  verdicts,
  edit,
  onSelect,
}: Pick<ReturnType<typeof usePlan>, 'plan' | 'section' | 'edit'> & {
  stage: Stage;
  verdicts: Verdicts;
  onSelect: (id: string | undefined) => void;
}) {
  const kind = kindOf(stage.kind);
  const run = runOfStage(plan, stage.id) as Run;
  const position = run.stages.findIndex((s) => s.id === stage.id);
  const fixed = position < firstFree(run);
  const problem = section.problems.find((p) => p.stageId === stage.id)?.message;
  return (
    <section aria-label={`${stage.name}, ${kind.label}`} className="grid gap-x-6 gap-y-4 p-4 md:grid-cols-[1fr_14rem]">
      <div className="isolate grid content-start gap-3">
        <div className="flex flex-wrap items-end gap-3">
          <div className="min-w-40 flex-1">
            <TextInput
              id={`${stage.id}-name`}
              label={`${kind.label}: name`}
              value={stage.name}
              most={60}
              onCommit={(name) => edit((p) => renameStage(p, stage.id, name), `${stage.id}.name`)}
            />
          </div>
          {!fixed && <StageActions stage={stage} run={run} position={position} onSelect={onSelect} />}
        </div>
        {problem && (
          <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
            <InUnits text={problem} />
          </p>
        )}
        <AdviceOfStage stageId={stage.id} verdicts={verdicts} />
        {stage.kind === 'outlet' && <JobChoice stageId={stage.id} />}
        <StageForm key={stage.id} stage={stage} />
        {stage.kind === 'outlet' && <PressureFall stage={stage} onSelect={onSelect} />}
        {stage.kind === 'outlet' && <GaugeStretches outletId={stage.id} />}
        <StagePlace stage={stage} fixed={fixed} onSelect={onSelect} />
        <p className="text-[0.88rem] text-quiet">
          <InUnits text={kind.does} />
        </p>
        {kind.needs && (
          <p className="text-[0.88rem] text-quiet">
            <strong>Upstream:</strong> <InUnits text={kind.needs.before} />. <strong>Downstream:</strong>{' '}
            <InUnits text={kind.needs.after} />.
          </p>
        )}
        {stage.kind === 'compressor' && <PumpUpTest key={`${stage.id}-pump-up`} stage={stage} />}
        <BeadsLink stage={stage} />
        <DryersLink stage={stage} />
        {stage.kind === 'aftercooler' && <CoolerReadings key={`${stage.id}-readings`} stage={stage} />}
      </div>
      <StageFigures stage={stage} plan={plan} section={section} />
      <div className="isolate md:col-span-2">
        <Cautions ids={[...(kind.moreCautions?.(stage.parameters) ?? []), ...kind.cautions]} />
      </div>
    </section>
  );
}

/** Moves it along its run, or takes it out. */
function StageActions({
  stage,
  run,
  position,
  onSelect,
}: {
  stage: Stage;
  run: Run;
  position: number;
  onSelect: (id: string | undefined) => void;
}) {
  const { edit } = usePlan();
  return (
    <div className="flex gap-1">
      <button
        type="button"
        className="button px-2"
        disabled={position <= firstFree(run)}
        onClick={() => edit((p) => moveStage(p, stage.id, position - 1))}
        aria-label="Move upstream"
        title="Move upstream ( [ )"
      >
        <ArrowLeft size={16} aria-hidden />
      </button>
      <button
        type="button"
        className="button px-2"
        disabled={position >= run.stages.length - 1}
        onClick={() => edit((p) => moveStage(p, stage.id, position + 1))}
        aria-label="Move downstream"
        title="Move downstream ( ] )"
      >
        <ArrowRight size={16} aria-hidden />
      </button>
      <button
        type="button"
        className="button"
        onClick={() => {
          edit((p) => removeStage(p, stage.id));
          onSelect(run.stages[position - 1]?.id ?? run.from ?? undefined);
        }}
      >
        <Trash2 size={15} aria-hidden /> Remove
      </button>
    </div>
  );
}

/** The air downstream of a stage, and what the stage itself tells. */
function StageFigures({
  stage,
  plan,
  section,
}: Pick<ReturnType<typeof usePlan>, 'plan' | 'section'> & { stage: Stage }) {
  return (
    <div className="isolate">
      <h2 className="mb-1 text-[0.9rem]">Air {stage.kind === 'outlet' ? 'at the inlet' : 'at the outlet'}</h2>
      {stage.planned && <p className="text-quiet">Not installed yet: left out of the calculation.</p>}
      <dl>
        {FIGURES.map(([name, label, quantity]) => {
          const value = readFigure(plan, section, stage.id, name);
          return value === undefined ? null : (
            <div key={name} className="flex justify-between gap-3 border-t border-hairline py-1">
              <dt className="text-quiet">{label}</dt>
              <dd className="font-semibold">
                <Why figure={{ stageId: stage.id, name }}>
                  <Amount si={value} quantity={quantity} />
                </Why>
              </dd>
            </div>
          );
        })}
        {shownBy(plan, section, stage).map(({ label, value, quantity, text, warns }) => (
          <div key={label} className="flex justify-between gap-3 border-t border-hairline py-1">
            <dt className={warns ? 'text-amber' : 'text-quiet'}>
              {warns && '◆ '}
              {label}
            </dt>
            <dd className="text-right font-semibold">
              {value !== undefined &&
                (quantity === 'number' || quantity === undefined ? (
                  <Plain value={value} />
                ) : (
                  <Amount si={value} quantity={quantity} />
                ))}{' '}
              {text && <span className={warns ? 'text-amber' : ''}>{text}</span>}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
