'use client';

import { type Batch, dryBatch, QUOTED } from '@/core/desiccant/dry-batch';
import { spell } from '@/core/quantity/spell';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';

const BEADS = [
  { name: 'silica gel', medium: 'silica', dyed: false },
  { name: 'gel with a dye', medium: 'silica', dyed: true },
  { name: 'activated alumina', medium: 'alumina', dyed: false },
  { name: 'molecular sieve', medium: 'sieve', dyed: false },
] as const;

/** What the ovens that practitioners quote leave in every kind of beads, and what they ruin. */
export function QuotedTable({ batch }: { batch: Batch }) {
  const { say } = useUnits();
  return (
    <Scrolls label="Quoted ovens">
      <table className="w-full max-w-2xl max-sm:text-[0.85rem]">
        <caption className="eyebrow pb-1 text-left">Quoted ovens: water they leave, by beads</caption>
        <thead>
          <tr>
            <td />
            {QUOTED.map((q) => (
              <th key={q.ovenC} scope="col" className="px-2 pb-1 text-right font-normal text-quiet">
                {say(q.ovenC, 'temperature')}, {spell(q.hours * 3600)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {BEADS.map(({ name, medium, dyed }) => (
            <tr key={name} className="border-t border-hairline">
              <th scope="row" className="py-1.5 pr-2 text-left font-normal">
                {name}
              </th>
              {QUOTED.map((q) => {
                const r = dryBatch({ ...batch, medium, dyed, oily: false, pellets: false }, q.ovenC, q.hours);
                return (
                  <td key={q.ovenC} className="px-2 text-right whitespace-nowrap">
                    {r.refused ? (
                      <span className="text-brick">▲ useless</span>
                    ) : (
                      <>
                        {say(r.leaves, 'share')}
                        {r.ruins && <span className="text-brick"> ▲ ruins it</span>}
                      </>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
