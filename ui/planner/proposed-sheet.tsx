'use client';

import { ChevronRight } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { judgeLine } from '@/core/advice/judge-line';
import { sayIn } from '@/core/advice/rule';
import { kindOf } from '@/core/equipment/index';
import type { Plan } from '@/core/plan/plan';
import { OF_WHAT_IS_GIVEN, RECORDS } from '@/core/planner/judge-proposal';
import type { Question } from '@/core/planner/question';
import { boughtUpTo } from '@/core/planner/staged';
import { StageIcon } from '@/ui/line-section/stage-icon';
import { Cautions } from '@/ui/primitives/cautions';
import { Scrolls } from '@/ui/primitives/scrolls';
import { create, type Refused } from '@/ui/start/create-line';
import { Refusals } from '@/ui/start/refusals';
import { useUnits } from '@/ui/units/units';
import type { ProposedLine } from '@/workers/planner.worker';

/** One proposed line: its stages, its days, in which order to buy it, and the button that builds it. */
export function ProposedSheet({
  line,
  lines,
  question,
}: {
  line: ProposedLine;
  lines: readonly ProposedLine[];
  question: Question;
}) {
  return (
    <section aria-label={line.name} className="grid gap-4 rounded-md border border-hairline bg-card p-4">
      <div>
        <h2>{line.name}</h2>
        <GivesUp line={line} lines={lines} />
      </div>
      <Runs plan={line.plan} />
      <Days line={line} />
      <BeforeBuilding plan={line.plan} />
      <Buying line={line} currency={question.money.currency} />
      <Cautions ids={['C40', 'C07', 'C12']} />
    </section>
  );
}

/** What it gives up against the next dearer and the next cheaper line. */
function GivesUp({ line, lines }: { line: ProposedLine; lines: readonly ProposedLine[] }) {
  const { number, say } = useUnits();
  const n = lines.indexOf(line);
  const beside = [lines[n - 1], lines[n + 1]].filter((l) => l !== undefined);
  return beside.map((other) => {
    const more = other.merits.purchase - line.merits.purchase;
    const differs = [
      [other.merits.yearly - line.merits.yearly, 'a year'],
      [other.merits.minutesPerWeek - line.merits.minutesPerWeek, 'min a week'],
    ] as const;
    const said = differs
      .filter(([d]) => Math.abs(d) >= 1)
      .map(([d, what]) => `${number(Math.abs(d), 0)} ${what} ${d < 0 ? 'less' : 'more'}`);
    const margin = other.merits.marginK - line.merits.marginK;
    if (Math.abs(margin) >= 1)
      said.push(`${say(Math.abs(margin), 'temperatureDifference')} ${margin < 0 ? 'less' : 'more'} margin`);
    return (
      <p key={other.name} className="text-quiet">
        For {number(Math.abs(more), 0)} {more < 0 ? 'less' : 'more'}, line {lines.indexOf(other) + 1}: {said.join(', ')}
        .
      </p>
    );
  });
}

/** The stages of each run, in the order of flow. */
function Runs({ plan }: { plan: Plan }) {
  const runs = [{ name: 'Main', stages: plan.stages }, ...plan.branches];
  return (
    <div className="grid gap-2">
      {runs.map((run) => (
        <div key={run.name}>
          {runs.length > 1 && <p className="eyebrow">{run.name}</p>}
          <ol className="flex flex-wrap items-center gap-y-1">
            {run.stages.map((s, i) => (
              <li key={s.id} className="flex items-center">
                {i > 0 && <ChevronRight size={14} aria-hidden className="text-quiet" />}
                <span className="flex items-center gap-1 rounded-sm px-1 py-0.5 text-[0.88rem]">
                  <StageIcon kind={s.kind} />
                  {s.kind === 'outlet' ? s.name : s.name === kindOf(s.kind).label ? kindOf(s.kind).label : s.name}
                </span>
              </li>
            ))}
          </ol>
        </div>
      ))}
    </div>
  );
}

/** How dry the air of each job is, and its pressure to spare, on the two worst days. */
function Days({ line }: { line: ProposedLine }) {
  const { say } = useUnits();
  const margin = (k: number | undefined): string => (k === undefined ? '–' : say(k, 'temperatureDifference'));
  const weakest = [...line.warm, ...line.cold].reduce((a, b) => ((b.marginK ?? 0) < (a.marginK ?? 0) ? b : a));
  return (
    <Scrolls label="Jobs on the worst days">
      <table className="w-full max-sm:text-[0.85rem]">
        <thead>
          <tr className="eyebrow">
            <th scope="col" className="pb-1 text-left">
              Drier than asked for
            </th>
            <th scope="col" className="px-2 pb-1 text-right">
              Warm, humid day
            </th>
            <th scope="col" className="px-2 pb-1 text-right">
              Coldest day
            </th>
            <th scope="col" className="pb-1 pl-2 text-right">
              Pressure to spare
            </th>
          </tr>
        </thead>
        <tbody>
          {line.warm.map((job, i) => (
            <tr key={job.stageId} className="border-t border-hairline">
              <th scope="row" className="py-1.5 text-left font-normal">
                {job.name}
                {job.stageId === weakest.stageId && line.warm.length > 1 && (
                  <span className="text-quiet"> · the weakest point</span>
                )}
              </th>
              <td className="px-2 text-right whitespace-nowrap">{margin(job.marginK)}</td>
              <td className="px-2 text-right whitespace-nowrap">{margin(line.cold[i]?.marginK)}</td>
              <td className="pl-2 text-right whitespace-nowrap">{say(job.sparePa, 'pressureDifference')}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}

/** What the advice says of what is given, and what nobody has recorded yet: no fault of the proposal. */
function BeforeBuilding({ plan }: { plan: Plan }) {
  const { say } = useUnits();
  const { advice } = judgeLine(plan);
  const open = advice.filter((a) => [...OF_WHAT_IS_GIVEN, ...RECORDS].includes(a.rule.id));
  if (open.length === 0) return null;
  return (
    <div>
      <p className="eyebrow">Before you build</p>
      <ul className="mt-1 grid gap-1">
        {open.map((a) => (
          <li key={a.key}>
            <span className="text-amber">◆</span> {sayIn(a.finding.what, say)}{' '}
            <span className="text-quiet">{a.rule.fix}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** In which order to buy, and the buttons that build it whole or up to a step. */
function Buying({ line, currency }: { line: ProposedLine; currency: string }) {
  const router = useRouter();
  const { say, number } = useUnits();
  const [bought, setBought] = useState(line.steps.length);
  const [refused, setRefused] = useState<Refused>();
  const [busy, setBusy] = useState(false);
  const build = async (): Promise<void> => {
    setBusy(true);
    setRefused(undefined);
    const plan = { ...boughtUpTo(line.plan, line.steps, bought), name: line.name.slice(0, 80) };
    const answer = await create(plan);
    if ('id' in answer) return router.push(`/lines/${answer.id}/line`);
    setRefused(answer);
    setBusy(false);
  };
  return (
    <div className="grid gap-3">
      {line.steps.length > 1 && (
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
                <th scope="col" className="px-2 pb-1 text-right">
                  Oil, mg/m³
                </th>
                <th scope="col" className="pb-1 pl-2 text-right">
                  Min a week
                </th>
              </tr>
            </thead>
            <tbody>
              {line.steps.map((step, i) => (
                <tr key={step.stages[0]?.id} className="border-t border-hairline">
                  <th scope="row" className="py-1 text-left font-normal">
                    <label className="flex min-h-9 items-center gap-2">
                      <input
                        type="radio"
                        name="bought"
                        className="size-4 accent-(--water)"
                        checked={bought === i + 1}
                        onChange={() => setBought(i + 1)}
                        aria-label={`Buy up to ${step.stages.map((s) => s.name).join(', ')}`}
                      />
                      {i + 1}. {step.stages.map((s) => s.name).join(', ')}
                    </label>
                  </th>
                  <td className="px-2 text-right">{number(step.price, 0)}</td>
                  <td className={`px-2 text-right whitespace-nowrap ${step.marginK < 0 ? 'text-brick' : ''}`}>
                    {Number.isFinite(step.marginK) ? say(step.marginK, 'temperatureDifference') : 'no air'}
                  </td>
                  <td className="px-2 text-right">{number(step.oilMg, undefined, 2)}</td>
                  <td className="pl-2 text-right">{number(step.minutesPerWeek, 0)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Scrolls>
      )}
      {refused && <Refusals of={refused} />}
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="button button-strong min-h-11 px-5"
          disabled={busy}
          onClick={() => void build()}
        >
          {busy ? 'Building…' : bought === line.steps.length ? 'Build this line' : `Build it up to step ${bought}`}
        </button>
        <span className="text-[0.82rem] text-quiet">
          {bought < line.steps.length && 'What comes later stands in it as planned. '}
          Estimates only: nameplate, manual and local law take precedence.
        </span>
      </div>
    </div>
  );
}
