'use client';

import { useState } from 'react';
import { deliveryFromPumpUp, PUMP_UP_REL, type PumpUpTest as Test } from '@/core/day/cycle';
import { setParameter } from '@/core/plan/edit';
import type { Stage } from '@/core/plan/plan';
import { allStages } from '@/core/plan/runs';
import { placeOf } from '@/core/plan/survey';
import { COVERAGE, input } from '@/core/quantity/derivation';
import type { QuantityName } from '@/core/quantity/units';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { useUnread } from '@/ui/forms/unread';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';

/** What does the compressor really deliver? From the time that it takes to fill its receiver, shut off behind. */
export function PumpUpTest({ stage }: { stage: Extract<Stage, { kind: 'compressor' }> }) {
  const { plan, edit } = usePlan();
  const { say, atmosphericPa } = useUnits();
  const tank = allStages(plan).find((s) => s.kind === 'receiver');
  const intakeC = placeOf(plan.survey, plan.survey.intakePlaceId).temperatureC;
  const [test, setTest] = useState<Test>(() => ({
    volumeM3: tank?.parameters.volumeM3 ?? 0.2271,
    fromPa: atmosphericPa + 6.2e5, // 90 psig: the middle of the gauge, not from empty
    toPa: atmosphericPa + 8.3e5,
    seconds: 75,
    intakeC,
    receiverC: intakeC + 10,
  }));
  const unread = useUnread().filter((u) => u.id.startsWith(`${stage.id}-pump-up-`));
  let delivery: number | undefined;
  let refusal: string | undefined;
  if (unread.length > 0) refusal = `Not worked out: ${unread.map((u) => u.label.toLowerCase()).join(', ')} not read.`;
  else
    try {
      delivery = deliveryFromPumpUp(test, atmosphericPa);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      refusal = error.message;
    }
  const reading = (key: keyof Test, label: string, quantity: QuantityName, min: number, max: number) => (
    <QuantityInput
      id={`${stage.id}-pump-up-${key}`}
      label={label}
      quantity={quantity}
      value={test[key]}
      min={min}
      max={max}
      onCommit={(value) => {
        setTest((t) => ({ ...t, [key]: value }));
        return undefined;
      }}
    />
  );
  return (
    <details className="rounded-md border border-hairline bg-card px-3 py-2">
      <summary className="cursor-pointer font-medium">
        What does it really deliver? Time how it fills the receiver
      </summary>
      <p className="mt-2 text-[0.88rem] text-quiet">
        Drain the receiver, shut the valve downstream of it, let the compressor run and take the time between two
        readings in the middle of the gauge. Stand clear of hot pipe and belts; it may start by itself.
      </p>
      <div className="mt-3 grid gap-3 sm:grid-cols-3">
        {reading('volumeM3', 'Receiver and pipe', 'volume', 0.004, 20)}
        {reading('fromPa', 'Pressure at the start', 'pressure', 0.9e5, 41e5)}
        {reading('toPa', 'Pressure at the end', 'pressure', 0.9e5, 41e5)}
        {reading('seconds', 'Time it took', 'duration', 1, 36000)}
        {reading('intakeC', 'Air drawn in', 'temperature', -40, 60)}
        {reading('receiverC', 'Tank at the end', 'temperature', -20, 120)}
      </div>
      {delivery === undefined ? (
        <p role="alert" className="mt-3 text-brick">
          {refusal}
        </p>
      ) : (
        <p className="mt-3 flex flex-wrap items-center gap-3">
          <span>
            It delivers{' '}
            <Why
              className="font-semibold"
              figure={() => ({
                title: 'Free air delivery from the pump-up',
                quantity: 'volumeFlow',
                value: delivery,
                formula: 'V · (p₂ − p₁) / (barometer · t) · T_intake / T_tank',
                inputs: [
                  input('V', 'volume', test.volumeM3, 'reading'),
                  input('p₁', 'pressure', test.fromPa, 'reading'),
                  input('p₂', 'pressure', test.toPa, 'reading'),
                  input('t', 'duration', test.seconds, 'reading'),
                  input('T_intake', 'temperature', test.intakeC, 'reading'),
                  input('T_tank', 'temperature', test.receiverC, 'reading'),
                  input('barometer', 'barometer', atmosphericPa, 'Survey'),
                ],
                band: {
                  value: delivery,
                  low: delivery * (1 - COVERAGE * PUMP_UP_REL),
                  high: delivery * (1 + COVERAGE * PUMP_UP_REL),
                  drivers: [{ label: 'volume, time and temperatures together', effect: delivery * PUMP_UP_REL }],
                },
                source: 'ideal gas; warm tank air corrected for; ±7–10 % typical, common practice',
              })}
            >
              {say(delivery, 'volumeFlow')}
            </Why>{' '}
            of free air, give or take {say(delivery * PUMP_UP_REL, 'volumeFlow')}
          </span>
          <button
            type="button"
            className="button"
            onClick={() =>
              edit((p) =>
                setParameter(
                  setParameter(p, stage.id, 'flowBasis', 'inlet'),
                  stage.id,
                  'freeAirDeliveryM3PerS',
                  delivery,
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
