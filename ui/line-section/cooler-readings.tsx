'use client';

import { useState } from 'react';
import { effectivenessFromReadings } from '@/core/equipment/cooling/aftercooler';
import { Refusal } from '@/core/equipment/shared/kind';
import { setParameter } from '@/core/plan/edit';
import type { Stage } from '@/core/plan/plan';
import { runOfStage } from '@/core/plan/runs';
import { placeOf } from '@/core/plan/survey';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { useUnread } from '@/ui/forms/unread';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

/** Which effectiveness do three readings mean? Refuses readings that cannot be true, with their usual causes. */
export function CoolerReadings({ stage }: { stage: Extract<Stage, { kind: 'aftercooler' }> }) {
  const { plan, section, edit } = usePlan();
  const { say } = useUnits();
  const run = runOfStage(plan, stage.id)?.stages ?? [];
  const before = section.at(run[run.findIndex((s) => s.id === stage.id) - 1]?.id);
  const [inletC, setInlet] = useState(Math.round((before?.temperatureC ?? 110) * 10) / 10);
  const [outletC, setOutlet] = useState(40);
  const [coolingC, setCooling] = useState(placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC);
  const unread = useUnread().filter((u) => u.id.startsWith(`${stage.id}-reading-`));
  let effectiveness: number | undefined;
  let refusal: string | undefined;
  if (unread.length > 0) refusal = `Not worked out: ${unread.map((u) => u.label.toLowerCase()).join(', ')} not read.`;
  else
    try {
      effectiveness = effectivenessFromReadings(inletC, outletC, coolingC);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refusal = error.message;
    }
  const field = (id: string, label: string, value: number, set: (v: number) => void) => (
    <QuantityInput
      id={`${stage.id}-${id}`}
      label={label}
      quantity="temperature"
      value={value}
      min={-40}
      max={200}
      onCommit={(v) => {
        set(v);
        return undefined;
      }}
    />
  );
  return (
    <details className="rounded-md border border-hairline bg-card px-3 py-2">
      <summary className="cursor-pointer font-medium">Effectiveness from three readings</summary>
      <div className="mt-3 grid gap-3 sm:grid-cols-3">
        {field('reading-in', 'Air in', inletC, setInlet)}
        {field('reading-out', 'Air out', outletC, setOutlet)}
        {field('reading-cool', 'Cooling air at the fins', coolingC, setCooling)}
      </div>
      {refusal ? (
        <p role="alert" className="mt-3 text-brick">
          {refusal}
        </p>
      ) : (
        <p className="mt-3 flex flex-wrap items-center gap-3">
          <span>
            Effectiveness <strong>{say(effectiveness ?? 0, 'share')}</strong>, approach{' '}
            {say(outletC - coolingC, 'temperatureDifference')}
          </span>
          <button
            type="button"
            className="button"
            onClick={() =>
              edit((p) =>
                setParameter(
                  setParameter(p, stage.id, 'method', 'effectiveness'),
                  stage.id,
                  'effectiveness',
                  effectiveness ?? 0,
                ),
              )
            }
          >
            Use it
          </button>
        </p>
      )}
    </details>
  );
}
