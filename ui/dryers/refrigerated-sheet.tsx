'use client';

import type { DryerDuty } from '@/core/sizing/dryer-duty';
import { ISO_7183_A1, PLATE, sizeRefrigerated } from '@/core/sizing/size-refrigerated';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures, Headline } from '@/ui/primitives/figures';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';
import { kW } from './query';

const CYCLING = 'It stops its compressor while little passes. Its dew point swings by some {2.2 K} to {7.2 K}.';
const PLAIN =
  'Under a fifth of its load it can freeze and short-cycle: a cycling one there. A quarter to a half over what is needed is usual.';

/** The plate of a refrigerated dryer to buy for a duty. */
export function RefrigeratedSheet({ duty, cycling }: { duty: DryerDuty; cycling: boolean }) {
  const { say, number } = useUnits();
  const s = sizeRefrigerated(duty);
  return (
    <section aria-label="Refrigerated dryer" className="grid gap-3">
      <h2>{cycling ? 'Refrigerated, cycling' : 'Refrigerated'}</h2>
      <Headline
        then={`on its plate, at ${say(PLATE.inletC, 'temperature')} in, ${say(PLATE.gaugePa, 'pressureDifference')} and a room of ${say(PLATE.roomC, 'temperature')}`}
      >
        Buy {say(s.ratedM3PerS, 'volumeFlow')}
      </Headline>
      {s.notHere.map((why) => (
        <p key={why} className="text-brick">
          ▲ <InUnits text={why} />
        </p>
      ))}
      <Figures
        rows={[
          [
            `Plate by ISO 7183 A1 (${say(ISO_7183_A1.inletC, 'temperature')} in, ${say(7e5, 'pressureDifference')}, room ${say(ISO_7183_A1.roomC, 'temperature')})`,
            <Amount key="i" si={s.ratedIsoM3PerS} quantity="volumeFlow" />,
          ],
          ['Does of its plate, as a rule', say(s.today, 'share')],
          ['Does of its plate, hottest day', say(s.hottest, 'share')],
          ['Dew point it keeps', <Amount key="d" si={s.dewPointC} quantity="temperature" />],
          [
            'Hottest day, if bought for the usual one',
            <Amount key="h" si={s.hottestDewPointC} quantity="temperature" />,
          ],
          ['Heat to take out: of the air', kW(s.sensibleW, number)],
          ['Heat to take out: of the water', kW(s.latentW, number)],
          ['Left for the refrigerant, with reheat', kW(s.refrigerantW, number)],
          ['Electric power', kW(s.powerW, number)],
          ['Water that falls, at full flow', <Amount key="w" si={s.condensedKgPerS} quantity="waterFlow" />],
        ]}
      />
      <p className="text-[0.85rem] text-quiet">
        <InUnits text={cycling ? CYCLING : PLAIN} /> Correction factors are generic; the maker’s curve takes precedence.
        A coarse filter upstream of it, and a drain that is tried each week.
      </p>
      <Cautions ids={['C13', 'C14', 'C12']} />
    </section>
  );
}
