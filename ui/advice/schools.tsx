'use client';

import { useMemo, useState } from 'react';
import { holdAgainst } from '@/core/advice/hold-against';
import { measureOf } from '@/core/advice/measures';
import { type Dispute, disputesOf } from '@/core/advice/schools';
import { sayText } from '@/core/quantity/say-text';
import { usePlan } from '@/ui/plan/plan-provider';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';

/** Where practitioners disagree: each approach, and its result on this line. */
export function Schools() {
  const { plan } = usePlan();
  const disputes = useMemo(() => disputesOf(plan), [plan]);
  return (
    <section aria-label="Where practice differs" className="border-t border-hairline pt-3">
      <h2>
        Where practice differs{' '}
        <span className="font-normal text-quiet">· each approach, and its result on this line</span>
      </h2>
      <ul className="mt-1.5">
        {disputes.map((d) => (
          <Question key={d.id} dispute={d} />
        ))}
      </ul>
    </section>
  );
}

function Question({ dispute }: { dispute: Dispute }) {
  const [open, setOpen] = useState(false); // worked out only while it is open
  return (
    <li className="border-t border-hairline">
      <details onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary className="min-h-target cursor-pointer py-2 font-semibold">{dispute.question}</summary>
        {open && <Compared dispute={dispute} />}
      </details>
    </li>
  );
}

function Compared({ dispute }: { dispute: Dispute }) {
  const { plan, edit } = usePlan();
  const { say, number } = useUnits();
  const rows = useMemo(() => holdAgainst(plan, dispute, () => crypto.randomUUID()), [plan, dispute]);
  const tell = (value: number | undefined, quantity: ReturnType<typeof measureOf>['quantity']): string =>
    value === undefined ? '–' : quantity === 'number' ? number(value) : say(value, quantity);
  return (
    <div className="pb-3">
      <Scrolls label="Schools side by side">
        <table className="w-full text-left">
          <thead>
            <tr className="align-bottom text-[0.85rem] text-quiet">
              <th scope="col" className="py-1 pr-4 font-normal">
                School
              </th>
              {dispute.measures.map((m) => (
                <th key={m} scope="col" className="max-w-40 py-1 pr-4 text-right font-normal">
                  {measureOf(m).label}
                </th>
              ))}
              <th scope="col" className="sr-only">
                Add to the line
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ school, plan: theirs, gives }) => (
              <tr key={school.says} className="border-t border-hairline">
                <th scope="row" className="py-1.5 pr-4 font-normal">
                  {sayText(school.says, say)}
                  {school.remark && <span className="text-quiet"> · {school.remark}</span>}
                </th>
                {dispute.measures.map((m) => (
                  <td key={m} className="py-1.5 pr-4 text-right font-semibold whitespace-nowrap">
                    {tell(gives[m], measureOf(m).quantity)}
                  </td>
                ))}
                <td className="w-0 py-1.5 text-right">
                  {theirs && (
                    <button type="button" className="button" onClick={() => edit(() => theirs)}>
                      Apply
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      <p className="mt-2 max-w-prose">{sayText(dispute.right, say)}</p>
      <p className="text-[0.85rem] text-quiet">Common practice, no source; the figures are computed for this line.</p>
    </div>
  );
}
