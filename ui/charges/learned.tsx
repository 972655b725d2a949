'use client';

import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { lifeBand } from '@/core/desiccant/charge-life';
import { KNOWN_FROM, type PlaceLife } from '@/core/maintenance/charge-lives';
import { Scrolls } from '@/ui/primitives/scrolls';
import { Plain, useUnits } from '@/ui/units/units';

/** What its charges have taught about a place, and what neglect upstream costs it. */
export function Learned({ life, children }: { life: PlaceLife; children: ReactNode }) {
  const learned = lifeBand(life.factor);
  return (
    <div className="grid gap-3">
      <div>
        <p className="font-semibold">
          Beads here take up <Plain value={learned.mid} decimals={2} /> of the published capacity
          <span className="font-normal text-quiet">
            {' '}
            (<Plain value={learned.low} decimals={2} /> to <Plain value={learned.high} decimals={2} />, 80 %)
          </span>
        </p>
        <p className="text-[0.88rem] text-quiet">
          {life.learnedFrom === 0
            ? 'Nothing learned yet: the published capacity applies, from half to twice. At each change, log how far the old charge was exhausted.'
            : `Learned from ${life.learnedFrom} ${life.learnedFrom === 1 ? 'charge' : 'charges'}${life.learnedFrom < KNOWN_FROM ? `; from ${KNOWN_FROM} on it counts as known` : ''}.`}
        </p>
      </div>
      {life.past.length > 0 && <PastCharges past={life.past} />}
      {life.neglect.length > 0 && (
        <div>
          <p className="font-semibold">Cost of neglect upstream</p>
          <ul className="text-[0.9rem]">
            {life.neglect.slice(0, 3).map((n) => (
              <li key={n.stageId}>
                Failed drain of {n.name}: <Plain value={n.times} decimals={n.times < 3 ? 1 : 0} /> times the water,
                exhausted that many times sooner
              </li>
            ))}
          </ul>
        </div>
      )}
      <details>
        <summary className="cursor-pointer font-semibold">How it is calculated</summary>
        <p className="mt-1 text-[0.9rem]">
          Water adsorbed ÷ capacity used is the capacity of a charge; over the published capacity of its beads, that is
          one estimate for this place. Estimates are averaged by their uncertainty: the published value at first with a
          factor of two, a charge by how well a front is read by eye (a tenth of its height) and by how charges differ
          (12 %). What is off in flow, humidity and use is learned along with it. The date: 2000 outcomes over these and
          over use and weather to come; the band holds four in five.
        </p>
      </details>
      {children}
    </div>
  );
}

function PastCharges({ past }: { past: PlaceLife['past'] }) {
  const { say } = useUnits();
  return (
    <Scrolls label="Past charges">
      <table className="w-full text-[0.9rem]">
        <thead>
          <tr className="eyebrow">
            <th scope="col" className="pb-1 text-left">
              In, out
            </th>
            <th scope="col" className="px-2 pb-1 text-left">
              Charge
            </th>
            <th scope="col" className="px-2 pb-1 text-right">
              Water
            </th>
            <th scope="col" className="px-2 pb-1 text-right">
              Used
            </th>
            <th scope="col" className="pb-1 pl-2 text-right">
              Of published
            </th>
          </tr>
        </thead>
        <tbody>
          {past.toReversed().map((p) => (
            <tr key={p.stint.inAt} className="border-t border-hairline">
              <td className="py-1 whitespace-nowrap">
                {format(new Date(p.stint.inAt), 'd MMM')} – {format(new Date(p.stint.outAt as string), 'd MMM')}
              </td>
              <td className="px-2">{p.stint.charge?.name ?? '–'}</td>
              <td className="px-2 text-right whitespace-nowrap">{say(p.loadKg, 'mass')}</td>
              <td className="px-2 text-right whitespace-nowrap">
                {p.spent === undefined ? '–' : say(p.spent, 'share')}
              </td>
              <td className="pl-2 text-right">
                {p.spent ? <Plain value={p.loadKg / p.spent / p.handbookKg} decimals={2} /> : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
