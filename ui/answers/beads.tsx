'use client';

import { type ReactNode, useState } from 'react';
import { chargeDutyAt } from '@/core/answers/charge-duty-at';
import { MEDIA } from '@/core/desiccant/isotherm';
import { type CartridgeDuty, type CartridgeSize, sizeCartridge } from '@/core/desiccant/size-cartridge';
import { walk } from '@/core/line/walk';
import { beadPlaces } from '@/core/maintenance/charge-lives';
import type { Plan } from '@/core/plan/plan';
import { standing } from '@/core/plan/runs';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { spell } from '@/core/quantity/spell';
import { BOUNDS, dutyOf, queryOf, STATE } from '@/ui/beads/query';
import { addressOf } from '@/ui/forms/address-of';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { AnswerFrame, NotThere, Verdict } from './answer-frame';
import { StageChoice } from './stage-choice';
import { AnswerTable } from './table';
import { useNumbers } from './use-numbers';

export function BeadsAnswer({ plan, from }: { plan: Plan; from: string | undefined }) {
  const places = beadPlaces(standing(plan));
  const [chosen, choose] = useState(places[0]?.id);
  const place = places.find((p) => p.id === chosen);
  const duty = place && chargeDutyAt(plan, walk(plan), place);
  if (!duty) return <NotThere>No air comes to beads in this line.</NotThere>;
  return (
    <ForDuty key={place.id} duty={duty} atmosphericPa={surveyAtmosphericPa(plan.survey)} from={from}>
      <StageChoice id="place" label="Beads" stages={places} chosen={place.id} onChoose={choose} />
    </ForDuty>
  );
}

const WORTH = { good: 'yes', dear: 'close', hopeless: 'no' } as const;

function ForDuty({
  duty,
  atmosphericPa,
  from,
  children,
}: {
  duty: CartridgeDuty;
  atmosphericPa: number;
  from: string | undefined;
  children: ReactNode;
}) {
  const units = useUnits();
  const { medium, ...numbers } = queryOf(duty, atmosphericPa);
  const { kg, flow, day, c, pa, rh, atm } = numbers;
  const { q, ask } = useNumbers({ kg, flow, day, c, pa, rh, atm }, BOUNDS);
  const size = sizeCartridge(dutyOf({ ...defaults(), ...q, medium }));
  const more = new URLSearchParams({
    ...(from !== undefined && { from }),
    medium,
    ...addressOf(q),
  });
  return (
    <AnswerFrame
      fields={
        <>
          {children}
          {ask('kg', `Dry beads, ${MEDIA[medium].toLowerCase()}`, 'mass')}
          {ask('flow', 'Air flow through it', 'volumeFlow')}
          {ask('day', 'Flow hours in a working day', 'time')}
          {ask('c', 'Inlet air temperature', 'temperature')}
          {ask('rh', 'Humidity in the line', 'share')}
        </>
      }
    >
      <Verdict is={WORTH[size.worth]} then={size.because}>
        {lasts(size, units.number)}
      </Verdict>
      {size.upstream.length > 0 && (
        <AnswerTable
          label="What makes the charge last"
          heads={['The same charge, if upstream', 'Hours of air', 'Working days']}
          rows={size.upstream.map((u) => ({
            id: u.says,
            name: <InUnits text={u.says} />,
            values: [units.number(u.hours, undefined, 2), units.number(u.hours / (q.day / 3600), undefined, 2)],
          }))}
        />
      )}
      <p className="max-w-[65ch] text-[0.85rem] text-quiet">
        For the air as it is here; half to double is common. Weigh the charge, or look at its colour, and the log
        learns.{' '}
        <Link
          href={from === undefined ? `/beads?${more}` : `/lines/${from}/charges`}
          className="text-water underline underline-offset-4"
        >
          {from === undefined ? 'Housing, contact time, how to dry a charge' : 'What the log says of this charge'}
        </Link>
      </p>
      <Cautions ids={['C07', 'C21', 'C24']} />
    </AnswerFrame>
  );
}

/** The question of the desiccant page with its own numbers. */
const defaults = () =>
  Object.fromEntries(Object.entries(STATE).map(([key, { defaultValue }]) => [key, defaultValue])) as Parameters<
    typeof dutyOf
  >[0];

function lasts({ hours, days }: CartridgeSize, number: (value: number, decimals?: number, figures?: number) => string) {
  if (!Number.isFinite(hours)) return 'Never: the air is as dry as the beads leave it.';
  const air = hours < 1 ? spell(hours * 3600) : `${number(hours, undefined, 2)} h`;
  if (days < 1) return `After ${air} of air: within a working day.`;
  if (days > 500) return `After ${air} of air: years of work.`;
  const whole = Math.floor(days);
  return `After ${air} of air: ${whole} working ${whole === 1 ? 'day' : 'days'}.`;
}
