'use client';

import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { sizeTowers } from '@/core/media/size-towers';
import { dryAirKgPerS } from '@/core/quantity/flow-basis';
import { Cautions } from '@/ui/primitives/cautions';
import { Amount, useUnits } from '@/ui/units/units';
import { type Ask, FLOW_BASIS, type Query } from './query';

const MUCH = 0.3; // of the air that passes: another family of dryers is worth a look (estimate)

/** The same air through two towers that dry each other: their size, and what they cost in air. */
export function TowersSheet({ q, ask }: { q: Query; ask: Ask }) {
  const { say } = useUnits();
  const t = sizeTowers({
    medium: q.medium,
    dryAirKgPerS: dryAirKgPerS(q.flow, FLOW_BASIS, 1),
    inletC: q.c,
    inletPa: q.pa,
    relativeHumidity: q.rh,
    atmosphericPa: SEA_LEVEL_PA,
    cycleS: q.cycle,
    load: q.load,
  });
  const rows: [string, React.ReactNode][] = [
    ['Purge in theory, of rated flow', say(t.purgeTheory, 'share')],
    ['Purge in practice', say(t.purge, 'share')],
    ['At this load, fixed orifice', say(t.purgeFixed, 'share')],
    ['At this load, cycle stretched by dew point', say(t.purge, 'share')],
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
  ];
  return (
    <section aria-label="Two towers" className="grid items-start gap-6 lg:grid-cols-[22rem_1fr]">
      <form
        className="grid gap-3 rounded-md border border-hairline bg-card p-4"
        onSubmit={(e) => e.preventDefault()}
        aria-label="Two towers for the same air"
      >
        <h2>Two towers for the same air</h2>
        <p className="text-[0.88rem] text-quiet">Heatless: one dries while a share of its air dries the other.</p>
        {ask('cycle', 'Whole cycle', 'duration', 'Each tower dries for half of it; valves need a minute in all.')}
        {ask('load', 'Air on average, of the rated flow', 'share')}
      </form>
      <div className="grid min-w-0 gap-4" aria-live="polite">
        <div>
          <p className="text-[1.6rem] font-bold leading-tight">
            Costs {say(t.purgeFixed, 'share')} of the air{' '}
            <span className="text-[1.05rem] font-normal text-quiet">that passes, with a fixed orifice</span>
          </p>
          {t.purgeFixed > MUCH && (
            <p className="text-amber">
              ◆ A fixed orifice blows as much at part load as at full. Let a dew-point probe stretch the cycle, or look
              at another kind of dryer.
            </p>
          )}
          {t.purgeFixed >= 1 && (
            <p className="text-brick">▲ It would blow away all that comes: far too large for this.</p>
          )}
        </div>
        <dl className="max-w-lg">
          {rows.map(([label, value]) => (
            <div key={label} className="flex justify-between gap-3 border-t border-hairline py-1.5">
              <dt className="text-quiet">{label}</dt>
              <dd className="text-right font-semibold">{value}</dd>
            </div>
          ))}
        </dl>
        <p className="text-[0.85rem] text-quiet">
          Purge: the feed’s own volume at the pressure of the room, 15 % over theory. Beads: 1.5 % of their mass in each
          half cycle, 5 s of contact. A bed lifts by Wen &amp; Yu, its loss by Ergun, beads of 3 mm. The maker’s sizing
          wins.
        </p>
        <Cautions ids={['C07', 'C20', 'C24']} />
      </div>
    </section>
  );
}
