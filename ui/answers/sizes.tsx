'use client';

import { hottestOf } from '@/core/answers/conditions';
import { sizesInShort } from '@/core/answers/sizes-in-short';
import type { Plan } from '@/core/plan/plan';
import type { QuantityName } from '@/core/quantity/units';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { coolerRow, receiverRow, separatorRow } from '@/ui/sizes/rows';
import { SizesTable } from '@/ui/sizes/sizes-table';
import { useUnits } from '@/ui/units/units';
import { AnswerFrame, NotThere, Verdict } from './answer-frame';
import { useConditions } from './use-conditions';

export function SizesAnswer({ plan, from }: { plan: Plan; from: string | undefined }) {
  const units = useUnits();
  const { say } = units;
  const { conditions, ask } = useConditions(hottestOf(plan));
  const s = sizesInShort(plan, conditions);
  const yours = (si: number | undefined, quantity: QuantityName) =>
    from === undefined ? {} : { yours: si === undefined ? 'none yet' : `yours: ${say(si, quantity)}` };
  return (
    <AnswerFrame
      fields={
        <>
          {ask('c', 'Intake, hottest day', 'temperature')}
          {ask('rh', 'its humidity', 'share')}
          {ask('room', 'Compressor room, hottest', 'temperature')}
        </>
      }
    >
      {!s ? (
        <NotThere>No air comes out of the compressor: look at the Line first.</NotThere>
      ) : (
        <>
          <Verdict
            is={s.cooler.fits && s.receiver.fits ? 'yes' : 'no'}
            then={`The air leaves the compressor at ${say(s.inletC, 'temperature')} then.`}
          >
            Cooler: {say(s.cooler.approachK, 'temperatureDifference')} approach. Separator:{' '}
            {say(s.separator.ratedM3PerS, 'volumeFlow')}. Tank: {say(s.receiver.volumeM3, 'volume')}.
          </Verdict>
          <SizesTable
            rows={[
              { ...coolerRow(s.cooler, units), ...yours(s.has.approachK, 'temperatureDifference') },
              { ...separatorRow(s.separator, units), ...yours(s.has.ratedM3PerS, 'volumeFlow') },
              { ...receiverRow(s.receiver, s.startsPerHour, units), ...yours(s.has.volumeM3, 'volume') },
            ]}
          />
          <p className="text-[0.85rem] text-quiet">
            The tank is sized by the starts an hour; a tool that draws more than the compressor gives needs more. All
            parts, and the burst, stand in{' '}
            <Link
              href={from === undefined ? '/sizes' : `/sizes?from=${from}`}
              className="text-water underline underline-offset-4"
            >
              Sizes
            </Link>
            .
          </p>
          <Cautions ids={['C40', 'C01', 'C04']} />
        </>
      )}
    </AnswerFrame>
  );
}
