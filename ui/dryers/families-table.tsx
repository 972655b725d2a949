'use client';

import { FAMILIES, type Family, type FamilyAnswer } from '@/core/sizing/families';
import { Scrolls } from '@/ui/primitives/scrolls';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { kW } from './query';

/** Those that fit, the cheapest first; then the others, with why. A row opens its sheet. */
export function FamiliesTable({
  answers,
  look,
  onLook,
}: {
  answers: readonly FamilyAnswer[];
  look: Family;
  onLook: (family: Family) => void;
}) {
  const { say, number } = useUnits();
  const rank = (a: FamilyAnswer): number => (a.not.length > 0 ? 1e12 : 0) + a.perYear;
  const rows = answers.toSorted((a, b) => rank(a) - rank(b));
  const best = rows[0]?.not.length === 0 ? rows[0] : undefined;
  return (
    <div>
      <p className="text-[1.6rem] font-bold leading-tight">
        {best ? FAMILIES[best.family] : 'No type fits'}{' '}
        <span className="text-[1.05rem] font-normal text-quiet">
          {best ? 'is the cheapest that fits' : 'as things stand: cool the air first, ask for less, or split the duty'}
        </span>
      </p>
      <Scrolls label="Types of dryer" className="mt-2">
        <table className="w-full max-sm:text-[0.85rem]">
          <thead>
            <tr className="eyebrow">
              <th scope="col" className="pb-1 text-left">
                Type
              </th>
              <th scope="col" className="px-2 pb-1 text-right">
                Dew point
              </th>
              <th scope="col" className="px-2 pb-1 text-right max-sm:hidden">
                Air lost
              </th>
              <th scope="col" className="px-2 pb-1 text-right max-sm:hidden">
                Power
              </th>
              <th scope="col" className="px-2 pb-1 text-right">
                A year
              </th>
              <th scope="col" className="pb-1 pl-2 text-right max-sm:hidden">
                Tasks a month
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((a) => {
              const fits = a.not.length === 0;
              return (
                <tr
                  key={a.family}
                  className={`border-t border-hairline ${a.family === look ? 'bg-sunk' : ''} ${fits ? '' : 'text-quiet'}`}
                >
                  <th scope="row" className="py-1 pr-2 text-left font-normal">
                    <button
                      type="button"
                      aria-pressed={a.family === look}
                      onClick={() => onLook(a.family)}
                      className="min-h-9 text-left underline decoration-hairline underline-offset-4 hover:decoration-copper"
                    >
                      <span className={fits ? 'text-water' : 'text-brick'}>{fits ? '●' : '▲'}</span>{' '}
                      <span className={fits ? 'font-semibold' : ''}>{FAMILIES[a.family]}</span>
                    </button>
                    {!fits && (
                      <span className="block text-[0.82rem]">
                        <InUnits text={a.not[0] ?? ''} />
                      </span>
                    )}
                  </th>
                  <td className="px-2 text-right whitespace-nowrap">{say(a.reachesC, 'temperature')}</td>
                  <td className="px-2 text-right whitespace-nowrap max-sm:hidden">
                    {a.airLost > 0 ? say(a.airLost, 'share') : '–'}
                  </td>
                  <td className="px-2 text-right whitespace-nowrap max-sm:hidden">
                    {a.powerW > 0 ? kW(a.powerW, number) : '–'}
                  </td>
                  <td className="px-2 text-right font-semibold whitespace-nowrap">
                    {a.perYear >= 1000 ? `${number(a.perYear / 1000, 1)} k` : number(a.perYear, 0)}
                  </td>
                  <td className="pl-2 text-right whitespace-nowrap max-sm:hidden">
                    {a.minutesPerMonth < 600
                      ? `${Math.round(a.minutesPerMonth)} min`
                      : `${Math.round(a.minutesPerMonth / 60)} h`}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scrolls>
      <p className="mt-2 text-[0.85rem] text-quiet">
        Air lost: of what passes on average. A year: energy of dryer and lost air, upkeep, labour and a tenth of the
        price, in invented money of the right order; ask for prices. Tasks: service of the dryer at the normal level of
        the routine; Today goes by the line’s hours and water besides. Powers and purges are those of common practice;
        the maker’s rating takes precedence. ● fits, ▲ does not.
      </p>
    </div>
  );
}
