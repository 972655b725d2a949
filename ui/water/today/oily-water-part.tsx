'use client';

import type { OilyWater } from '@/core/drains/oily-water';
import { spell } from '@/core/quantity/spell';
import { useUnits } from '@/ui/units/units';

/** What becomes of the oily water: how much, how oily, what parts it, and what is left to hand over. */
export function OilyWaterPart({ oily }: { oily: OilyWater }) {
  const { say } = useUnits();
  const { separator } = oily;
  const months = oily.months.map((kg) => kg / 1000);
  const small = separator && separator.parameters.chamberM3 < oily.chamberM3;
  return (
    <section className="border-t border-hairline pt-3" aria-label="Oily water">
      <h2 className="mb-1">Oily water</h2>
      <div className="grid gap-x-8 gap-y-1 text-[0.92rem] md:grid-cols-2 xl:grid-cols-3">
        <p>
          <strong>{say(oily.yearKg / 1000, 'volume')} a year</strong>, {say(Math.max(...months), 'volume')} in the
          wettest month, {say(oily.wettestDayKg / 1000, 'volume')} on the wettest day.{' '}
          <span className="text-quiet">
            Some {Math.round(oily.oilKgPerM3 * 1000)} mg of oil in a litre untreated: 100–5000 is usual.
          </span>
        </p>
        <p>
          {separator ? (
            <>
              <strong className={small ? 'text-brick' : ''}>
                {small ? '▲ ' : ''}
                {separator.name} holds {say(separator.parameters.chamberM3, 'volume')}
              </strong>
              ; an hour’s rest at the wettest hour takes {say(oily.chamberM3, 'volume')}. Its carbon lasts some{' '}
              {spell(oily.carbonLastsS ?? 0)}.{' '}
            </>
          ) : (
            <>
              A separator needs a chamber of <strong>{say(oily.chamberM3, 'volume')}</strong>: an hour’s rest at the
              wettest hour, in a place above {say(5, 'temperature')}.{' '}
            </>
          )}
          <span className="text-quiet">
            {separator
              ? `Local limit ${separator.parameters.limitMgPerL} mg/L: as you entered it; the sewer authority decides.`
              : 'Put one on the Line to enter the local limit: the sewer authority decides.'}
          </span>
        </p>
        <p>
          To dispose of: <strong>{say(oily.toDisposeM3, 'volume')} a year</strong>
          {separator ? ' of oil that floated up.' : ', all of it, as nothing separates it.'}{' '}
          <span className="text-quiet">
            Jar test each week: a glass of the outlet, left for a day. Clear: good. A film: change the carbon. Milky: an
            emulsion, which neither settling nor carbon separates.
          </span>
        </p>
      </div>
    </section>
  );
}
