'use client';

import { useMemo } from 'react';
import type { OutletStage } from '@/core/line/outlet-criteria';
import { explainPeak } from '@/core/line/peak-pressure';
import { costOfPressure, type PressureStep, waterfallTo } from '@/core/line/waterfall';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';

const BAR = 1e5;
const LITTLE = 0.02; // of all that is lost: not worth a row
const NOTHING_PA = 500; // less than any gauge shows

/** Pressure losses on the way to an outlet: from the compressor’s cut-in down, largest loss first. */
export function PressureFall({ stage, onSelect }: { stage: OutletStage; onSelect: (id: string) => void }) {
  const { plan } = usePlan();
  const { say, number } = useUnits();
  const fall = useMemo(() => waterfallTo(plan, stage.id), [plan, stage.id]);
  if (!fall) return null;
  const { cutInPa, cutOutPa, arrivesPa, totalLossPa } = fall;
  const steps = fall.steps.filter((s) => s.lossPa + s.setDownPa > LITTLE * (cutInPa - arrivesPa));
  const rest = fall.steps.reduce((sum, s) => sum + s.lossPa, 0) - steps.reduce((sum, s) => sum + s.lossPa, 0);
  const span = Math.max(1, cutInPa - arrivesPa);
  const { yearKWh, kWhPerPa } = costOfPressure(plan);
  let above = 0;
  return (
    <section aria-label="Pressure losses" className="grid gap-2 border-t border-hairline pt-3">
      <h2 className="text-[0.95rem]">Pressure losses</h2>
      <p className="text-[0.88rem] text-quiet">
        At its worst moment: the compressor, which comes up to {say(cutOutPa, 'pressure')}, is about to cut in at{' '}
        <strong className="text-ink">{say(cutInPa, 'pressure')}</strong>, and all blow that can blow at once. Here
        arrive{' '}
        <Why figure={() => explainPeak(plan, stage.id, arrivesPa)} className="font-semibold text-ink">
          {say(arrivesPa, 'pressure')}
        </Why>
        ; lost on the way {say(totalLossPa, 'pressureDifference')}.
      </p>
      <ol className="grid gap-px">
        {steps.map((step) => {
          const from = above;
          above += step.lossPa + step.setDownPa;
          return <Row key={step.stageId} step={step} from={from / span} span={span} onSelect={onSelect} />;
        })}
      </ol>
      {rest > NOTHING_PA && (
        <p className="text-[0.86rem] text-quiet">and {say(rest, 'pressureDifference')} in all the rest.</p>
      )}
      <p className="text-[0.86rem] text-quiet">
        Each {say(BAR, 'pressureDifference')} less that the compressor has to make saves some 7 % of its power: here
        about {number(kWhPerPa * BAR)} of {number(yearKWh)} kWh a year (estimate by type, delivery and hours).
      </p>
    </section>
  );
}

function Row({
  step,
  from,
  span,
  onSelect,
}: {
  step: PressureStep;
  from: number;
  span: number;
  onSelect: (id: string) => void;
}) {
  const { say } = useUnits();
  const { wider } = step;
  const percent = (share: number): string => `${Math.max(0, 100 * share)}%`;
  return (
    <li className="grid grid-cols-[minmax(5rem,10rem)_1fr_5.5rem] items-center gap-x-3 border-t border-hairline py-1.5">
      <button
        type="button"
        className="min-h-target text-left leading-tight font-semibold break-words hover:underline"
        onClick={() => onSelect(step.stageId)}
      >
        {step.name}
      </button>
      <span className="relative h-4 bg-sunk" aria-hidden>
        <span
          className="absolute inset-y-0 bg-copper"
          style={{ left: percent(from), width: `max(2px, ${percent(step.lossPa / span)})` }}
        />
        {step.setDownPa > 0 && (
          <span
            className="absolute inset-y-0 border border-edge border-dashed"
            style={{ left: percent(from + step.lossPa / span), width: percent(step.setDownPa / span) }}
          />
        )}
      </span>
      <span className="text-right font-semibold whitespace-nowrap">−{say(step.lossPa, 'pressureDifference')}</span>
      {(wider || step.setDownPa > 0) && (
        <span className="col-start-2 col-end-4 text-[0.86rem] text-quiet">
          {step.setDownPa > 0 && <>set down by {say(step.setDownPa, 'pressureDifference')} on purpose. </>}
          {wider &&
            (wider.givesBackPa > NOTHING_PA ? (
              <>
                {wider.says} would give back{' '}
                <strong className="text-water">{say(wider.givesBackPa, 'pressureDifference')}</strong>
                {wider.costs && `, at ${wider.costs}`}.
              </>
            ) : (
              <>{wider.says} would give back nothing here.</>
            ))}
        </span>
      )}
    </li>
  );
}
