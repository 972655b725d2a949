'use client';

import { spell } from '@/core/quantity/spell';
import type { DryerDuty } from '@/core/sizing/dryer-duty';
import { LEAST_KWH_PER_KG } from '@/core/sizing/size-heated';
import { SILENCER_MOST_PA, sizeTowers, VALVES_S } from '@/core/sizing/size-towers';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Cautions } from '@/ui/primitives/cautions';
import { Figures, Headline } from '@/ui/primitives/figures';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import { Amount, useUnits } from '@/ui/units/units';
import type { Ask, Query } from './query';

const MUCH = 0.3; // of the air that passes: another family of dryers is worth a look (estimate)

/** Two towers that dry each other without heat: their size, and what they cost in air. */
export function HeatlessSheet({
  q,
  set,
  ask,
  duty,
}: {
  q: Query;
  set: (change: Partial<Query>) => void;
  ask: Ask;
  duty: DryerDuty;
}) {
  const { say, number } = useUnits();
  const t = sizeTowers({
    ...duty,
    medium: 'alumina',
    cycleS: q.cycle,
    ...(q.there === 'yes' && { boreM: q.bore }),
  });
  if (!(t.waterKg > 0))
    return (
      <section aria-label="Two towers">
        <h2>Twin tower, heatless</h2>
        <p>The air is as dry already as these towers leave it: there is no water for them to take.</p>
      </section>
    );
  return (
    <section aria-label="Two towers" className="grid gap-3">
      <h2>Twin tower, heatless</h2>
      <form
        className="grid max-w-lg gap-3 sm:grid-cols-2"
        onSubmit={(e) => e.preventDefault()}
        aria-label="Cycle and towers"
      >
        {ask('cycle', 'Whole cycle', 'duration', 'Each tower dries for half of it.')}
        <ChoiceInput
          id="there"
          label="The towers"
          value={q.there}
          options={{ no: 'are to be sized', yes: 'stand there: their bore is known' }}
          onCommit={(there) => set({ there: there as Query['there'] })}
        />
        {q.there === 'yes' && ask('bore', 'Bore of each tower', 'size')}
      </form>
      <Headline then="that passes, with a fixed orifice">Costs {say(t.purgeFixed, 'share')} of the air</Headline>
      {t.wrong.map((w) => (
        <p key={w} className="text-brick" role="alert">
          ▲ {w}
        </p>
      ))}
      {t.purgeFixed > MUCH && (
        <p className="text-amber">
          ◆ A fixed orifice blows as much at part load as at full. Let a dew-point probe stretch the cycle, or consider
          another type.
        </p>
      )}
      {t.purgeFixed >= 1 && <p className="text-brick">▲ It would waste all the air: far too large for this duty.</p>}
      <Figures
        rows={[
          ['Purge in theory, of rated flow', say(t.purgeTheory, 'share')],
          ['Purge in practice', say(t.purge, 'share')],
          ['At this load, fixed orifice', say(t.purgeFixed, 'share')],
          ['At this load, cycle stretched by dew point', say(t.purge, 'share')],
          ['… to a whole cycle of about', spell(Math.round(t.stretchedS / 10) * 10)],
          ['Water in each half cycle', <Amount key="w" si={t.waterKg} quantity="mass" />],
          [`Beads in each tower, by ${t.by}`, <Amount key="m" si={t.massKg} quantity="mass" />],
          [
            'Each tower, bore × bed',
            <span key="d">
              <Amount si={t.boreM} quantity="size" /> × <Amount si={t.heightM} quantity="size" />
            </span>,
          ],
          [
            'Air rises at, and lifts the bed at',
            <span key="v">
              <Amount si={t.velocityMPerS} quantity="speed" />, <Amount si={t.liftsAtMPerS} quantity="speed" />
            </span>,
          ],
          ['Bed takes', <Amount key="p" si={t.lossPa} quantity="pressureDifference" />],
          [
            'Energy for a kilogram of water',
            `${number(t.kWhPerKg, undefined, 2)} kWh (of water alone ${number(LEAST_KWH_PER_KG, 2)})`,
          ],
          ['Dew point from the start, after', `about ${spell(Math.round(t.startsInH) * 3600)} of air`],
        ]}
      />
      <p>
        <Link
          href={`/bed?${new URLSearchParams({ of: 'towers', first: 'alumina', kg: String(t.massKg), bore: String(t.boreM), flow: String(q.flow), c: String(q.c), pa: String(q.pa), rh: String(q.rh), atm: String(q.atm), cycle: String(q.cycle), purge: String(t.purge), want: String(q.want) })}`}
          className="text-water underline underline-offset-4"
        >
          Open in Desiccant bed, cycle by cycle
        </Link>
      </p>
      <ul className="list-disc pl-5">
        <li>
          Valves: letting a tower down and filling it again take about {VALVES_S} s of each half; filled fast, the bed
          lifts.
        </li>
        <li>
          Silencer: over {say(SILENCER_MOST_PA, 'pressureDifference')} in the tower at rest while it purges, it is full
          of dust: the purge cannot dry.
        </li>
        <li>
          <InUnits text="Small ones for a gun purge a fixed {0.057 m³/min} to {0.07 m³/min} whatever passes: of a small compressor that is a large share." />
        </li>
      </ul>
      <p className="text-[0.85rem] text-quiet">
        Purge: the feed’s own volume at the pressure of the room, 15 % over theory. Beads of <InUnits text="{3 mm}" />{' '}
        activated alumina: 1.5 % of their mass in each half cycle, 5 s of contact. A bed lifts by Wen &amp; Yu, its loss
        by Ergun. The maker’s sizing takes precedence.
      </p>
      <Cautions ids={['C07', 'C20', 'C24']} />
    </section>
  );
}
