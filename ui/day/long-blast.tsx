'use client';

import { useState } from 'react';
import { longBlast } from '@/core/day/judge-day';
import { allStages, standing } from '@/core/plan/runs';
import { placeOf, surveyAtmosphericPa } from '@/core/plan/survey';
import { input } from '@/core/quantity/derivation';
import { spell } from '@/core/quantity/spell';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';

/** How long the receiver carries one job that does not let go, and how long the compressor takes to recover. */
export function LongBlast() {
  const { plan } = usePlan();
  const { say } = useUnits();
  const stages = allStages(standing(plan));
  const outlets = stages.filter((s) => s.kind === 'outlet');
  const [chosen, choose] = useState<string>();
  const compressor = stages.find((s) => s.kind === 'compressor');
  const tank = stages.find((s) => s.kind === 'receiver');
  const job = outlets.find((o) => o.id === chosen) ?? outlets[0];
  if (!job || !compressor || !tank) return null;
  const { flowM3PerS, leastPressurePa } = job.parameters;
  const { volumeM3 } = tank.parameters;
  const { cutOutPa } = compressor.parameters;
  const atmosphericPa = surveyAtmosphericPa(plan.survey);
  const blast = longBlast(compressor.parameters, volumeM3, flowM3PerS, leastPressurePa, atmosphericPa);
  const why = (title: string, value: number, formula: string) => () => ({
    title,
    quantity: 'duration' as const,
    value,
    formula,
    inputs: [
      input('V', 'volume', volumeM3, tank.name),
      input('cuts out at', 'pressure', cutOutPa, compressor.name),
      input('job needs', 'pressure', leastPressurePa, job.name),
      input('flow in use', 'volumeFlow', flowM3PerS, job.name),
      input('delivery', 'volumeFlow', compressor.parameters.freeAirDeliveryM3PerS, compressor.name),
      input('room', 'temperature', placeOf(plan.survey, plan.survey.roomPlaceId).temperatureC, 'Survey'),
    ],
    source: 'receiver at constant temperature; the compressor helps from cut-in on',
  });
  return (
    <section className="grid content-start gap-2">
      <h2 className="text-[1rem]">Long continuous use</h2>
      <ChoiceInput
        id="blast-job"
        label="Job"
        value={job.id}
        options={Object.fromEntries(outlets.map((o) => [o.id, o.name]))}
        onCommit={choose}
      />
      <p>
        {flowM3PerS === 0 ? (
          'It takes no air.'
        ) : blast.holdsS === Number.POSITIVE_INFINITY ? (
          <>At {say(flowM3PerS, 'volumeFlow')} the compressor keeps up for as long as it may run.</>
        ) : leastPressurePa >= cutOutPa ? (
          <>It needs {say(leastPressurePa, 'pressure')}, more than the receiver ever has.</>
        ) : (
          <>
            From cut-out it can blow{' '}
            <Why
              className="font-semibold"
              figure={why(
                'Long continuous use',
                blast.holdsS,
                't = V·Δp/(barometer·flow), then flow less delivery below cut-in',
              )}
            >
              {spell(blast.holdsS)}
            </Why>{' '}
            before less than {say(leastPressurePa, 'pressure')} is left.
          </>
        )}{' '}
        {leastPressurePa < cutOutPa && flowM3PerS > 0 && (
          <>
            Shut, the compressor needs{' '}
            <Why className="font-semibold" figure={why('Recovery', blast.recoversS, 't = V·Δp/(barometer·delivery)')}>
              {spell(blast.recoversS)}
            </Why>{' '}
            from there to cut-out.
          </>
        )}
      </p>
    </section>
  );
}
