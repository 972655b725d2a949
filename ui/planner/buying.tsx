'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Plan } from '@/core/plan/plan';
import { revisionOf } from '@/core/planner/revision-of';
import { boughtUpTo, type Step } from '@/core/planner/staged';
import { type Refused, send } from '@/ui/forms/send';
import { Scrolls } from '@/ui/primitives/scrolls';
import { create } from '@/ui/start/create-line';
import { Refusals } from '@/ui/start/refusals';
import { useUnits } from '@/ui/units/units';
import type { ProposedLine } from '@/workers/planner.worker';
import type { FromLine } from './from-line';

/** Keeps a proposal as a revision of the line that the question was begun from. */
async function keepRevision({ id, plan }: FromLine, proposed: Plan, name: string): Promise<{ id: string } | Refused> {
  const revised = revisionOf(plan, proposed, () => crypto.randomUUID());
  const body = { id: crypto.randomUUID(), name, plan: revised };
  const sent = await send<{ id: string }>('POST', `/api/plans/${id}/revisions`, body);
  return 'refused' in sent ? sent.refused : sent.body;
}

/** In which order to buy, and the buttons that build it whole or up to a step: as a line, or as a revision of one. */
export function Buying({ line, currency, from }: { line: ProposedLine; currency: string; from: FromLine | undefined }) {
  const router = useRouter();
  const [bought, setBought] = useState(line.steps.length);
  const [refused, setRefused] = useState<Refused>();
  const [busy, setBusy] = useState(false);
  const whole = bought === line.steps.length;
  const name = line.name.slice(0, 80);
  const revisionName = `${line.name.slice(0, 50)}, ${new Date().toLocaleString()}`.slice(0, 80); // one line keeps several
  const build = async (as: 'line' | 'revision'): Promise<void> => {
    setBusy(true);
    setRefused(undefined);
    const plan = { ...boughtUpTo(line.plan, line.steps, bought), name };
    const answer = as === 'revision' && from ? await keepRevision(from, plan, revisionName) : await create(plan);
    if (!('id' in answer)) {
      setRefused(answer);
      return setBusy(false);
    }
    router.push(
      as === 'revision' && from ? `/lines/${from.id}/compare?with=revision:${answer.id}` : `/lines/${answer.id}/line`,
    );
  };
  return (
    <div className="grid gap-3">
      {line.steps.length > 1 && <Order steps={line.steps} currency={currency} bought={bought} onBought={setBought} />}
      {refused && <Refusals of={refused} />}
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="button button-strong min-h-11 px-5"
          disabled={busy}
          onClick={() => void build('line')}
        >
          {busy ? 'Building…' : whole ? 'Build this line' : `Build it up to step ${bought}`}
        </button>
        {from && (
          <button type="button" className="button min-h-11 px-5" disabled={busy} onClick={() => void build('revision')}>
            Keep as a revision of {from.plan.name}
          </button>
        )}
        <span className="text-[0.82rem] text-quiet">
          {!whole && 'What comes later stands in it as planned. '}
          {from &&
            'A revision keeps compressor, tank, jobs and what you own with their numbers; compare, then restore it. '}
          Estimates only: nameplate, manual and local law take precedence.
        </span>
      </div>
    </div>
  );
}

function Order({
  steps,
  currency,
  bought,
  onBought,
}: {
  steps: readonly Step[];
  currency: string;
  bought: number;
  onBought: (steps: number) => void;
}) {
  const { say, number } = useUnits();
  const hasWater = steps.some((step) => step.liquidKgPerS > 0);
  return (
    <Scrolls label="Order of buying">
      <table className="w-full max-sm:text-[0.85rem]">
        <thead>
          <tr className="eyebrow">
            <th scope="col" className="pb-1 text-left">
              Order of buying
            </th>
            <th scope="col" className="px-2 pb-1 text-right">
              {currency}
            </th>
            <th scope="col" className="px-2 pb-1 text-right">
              Margin after it
            </th>
            {hasWater && (
              <th scope="col" className="px-2 pb-1 text-right">
                Water out of hoses
              </th>
            )}
            <th scope="col" className="px-2 pb-1 text-right">
              Oil, mg/m³
            </th>
            <th scope="col" className="px-2 pb-1 text-right">
              A year, {currency}
            </th>
            <th scope="col" className="pb-1 pl-2 text-right">
              Min a week
            </th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step, i) => (
            <tr key={step.stages[0]?.id} className="border-t border-hairline">
              <th scope="row" className="py-1 text-left font-normal">
                <label className="flex min-h-9 items-center gap-2">
                  <input
                    type="radio"
                    name="bought"
                    className="size-4 accent-(--water)"
                    checked={bought === i + 1}
                    onChange={() => onBought(i + 1)}
                    aria-label={`Buy up to ${step.stages.map((s) => s.name).join(', ')}`}
                  />
                  {i + 1}. {step.stages.map((s) => s.name).join(', ')}
                </label>
              </th>
              <td className="px-2 text-right whitespace-nowrap">{number(step.price, 0)}</td>
              <td className={`px-2 text-right whitespace-nowrap ${step.marginK < 0 ? 'text-brick' : ''}`}>
                {Number.isFinite(step.marginK) ? say(step.marginK, 'temperatureDifference') : 'no air'}
              </td>
              {hasWater && <td className="px-2 text-right whitespace-nowrap">{say(step.liquidKgPerS, 'waterFlow')}</td>}
              <td className="px-2 text-right whitespace-nowrap">{number(step.oilMg, undefined, 2)}</td>
              <td className="px-2 text-right whitespace-nowrap">{number(step.yearly, 0)}</td>
              <td className="pl-2 text-right">{number(step.minutesPerWeek, 0)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
