'use client';

import { dryerDutyAt, dryingPlace } from '@/core/answers/dryer-duty-at';
import { type WhichDryer, whichDryer } from '@/core/answers/which-dryer';
import { walk } from '@/core/line/walk';
import type { Plan } from '@/core/plan/plan';
import { FAMILIES, type FamilyAnswer } from '@/core/sizing/families';
import { BOUNDS, dutyOf, queryOf, STATE } from '@/ui/dryers/query';
import { addressOf } from '@/ui/forms/address-of';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { AnswerFrame, NotThere, Verdict } from './answer-frame';
import { AnswerTable } from './table';
import { useNumbers } from './use-numbers';

/** Numbers of the dryers’ question that this page does not ask for. */
const REST = { oilfree: STATE.oilfree.defaultValue, look: STATE.look.defaultValue, there: STATE.there.defaultValue };

/** How cold it gets where no line says so. */
const WINTER = { cold: STATE.cold.defaultValue, after: STATE.after.defaultValue };

export function WhichDryerAnswer({ plan, from }: { plan: Plan; from: string | undefined }) {
  const place = dryingPlace(plan);
  const duty = place && dryerDutyAt(plan, walk(plan), place);
  if (!duty) return <NotThere>No air comes to where this line would dry it: look at its Line first.</NotThere>;
  const asked = queryOf(duty);
  return (
    <ForDuty ofLine={from === undefined ? { ...asked, ...WINTER } : asked} from={from} money={plan.money.currency} />
  );
}

function ForDuty({
  ofLine,
  from,
  money,
}: {
  ofLine: ReturnType<typeof queryOf>;
  from: string | undefined;
  money: string;
}) {
  const { say, number } = useUnits();
  const { q, ask } = useNumbers({ ...ofLine, cycle: STATE.cycle.defaultValue, bore: STATE.bore.defaultValue }, BOUNDS);
  const answer = whichDryer(dutyOf({ ...q, ...REST }));
  const more = new URLSearchParams({
    ...(from !== undefined && { from }),
    ...addressOf(q),
  });
  const row = (a: FamilyAnswer, isChosen: boolean) => ({
    id: a.family,
    isChosen,
    name: (
      <>
        {FAMILIES[a.family]}
        {a.not[0] && (
          <span className="block text-[0.85rem] font-normal text-brick">
            ▲ <InUnits text={a.not[0]} />
          </span>
        )}
      </>
    ),
    values: [
      say(a.reachesC, 'temperature'),
      a.airLost > 0 ? say(a.airLost, 'share') : '–',
      number(a.perYear, 0),
      `${number(a.minutesPerMonth, 0)} min`,
    ],
  });
  return (
    <AnswerFrame
      fields={
        <>
          {ask('want', 'Pressure dew point wanted', 'temperature')}
          {ask('after', 'Coldest downstream pipe', 'temperature')}
          {ask('cold', 'Room when it is coldest', 'temperature')}
          {ask('flow', 'Peak air flow', 'volumeFlow')}
          {ask('load', 'Average load', 'share')}
          {ask('c', 'Inlet air temperature', 'temperature')}
        </>
      }
    >
      <Said answer={answer} wantedC={q.want} />
      <AnswerTable
        label="The better of each"
        heads={['The better of each', 'Dew point', 'Air lost', `${money} a year`, 'Tasks a month']}
        rows={[
          row(answer.refrigerated, answer.choose === 'refrigerated'),
          row(answer.desiccant, answer.choose === 'desiccant'),
        ]}
      />
      <p className="text-[0.85rem] text-quiet">
        Money is invented, of the right order; ask for prices. Membranes and pellets stand in{' '}
        <Link href={`/dryers?${more}`} className="text-water underline underline-offset-4">
          the comparison of all types
        </Link>
        .
      </p>
      <Cautions ids={['C07', 'C12', 'C13']} />
    </AnswerFrame>
  );
}

function Said({ answer: { choose, refrigerated, desiccant }, wantedC }: { answer: WhichDryer; wantedC: number }) {
  const { say, number } = useUnits();
  if (choose === 'neither')
    return (
      <Verdict is="no" then="Cool the air first, ask for less, or dry only the branch that needs it.">
        Neither, as it stands.
      </Verdict>
    );
  const wanted = say(wantedC, 'temperature');
  const [chosen, other] = choose === 'refrigerated' ? [refrigerated, desiccant] : [desiccant, refrigerated];
  const why =
    other.not[0] !== undefined ? (
      <>
        {FAMILIES[other.family]}: <InUnits text={other.not[0]} />
      </>
    ) : (
      `${FAMILIES[other.family]} would do it too, for ${number(other.perYear - chosen.perYear, 0)} more a year.`
    );
  return (
    <Verdict is="yes" then={why}>
      {choose === 'refrigerated' ? 'Refrigerated' : 'Desiccant'}: it reaches the {wanted} that are wanted.
    </Verdict>
  );
}
