'use client';

import { ChevronRight } from 'lucide-react';
import { judgeLine } from '@/core/advice/judge-line';
import { sayIn } from '@/core/advice/rule';
import { kindOf } from '@/core/equipment/index';
import type { Plan } from '@/core/plan/plan';
import { BESIDE } from '@/core/planner/judge-proposal';
import type { Question } from '@/core/planner/question';
import type { Space } from '@/core/planner/space';
import { StageIcon } from '@/ui/line-section/stage-icon';
import { Cautions } from '@/ui/primitives/cautions';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';
import type { ProposedLine } from '@/workers/planner.worker';
import { Buying } from './buying';
import type { FromLine } from './from-line';
import { SectionFigure } from './small-section';

/** One proposed line: its stages, its days, in which order to buy it, and the button that builds it. */
export function ProposedSheet({
  line,
  lines,
  question,
  from,
}: {
  line: ProposedLine;
  lines: readonly ProposedLine[];
  question: Question;
  from: FromLine | undefined;
}) {
  return (
    <section aria-label={line.name} className="grid gap-4 rounded-md border border-hairline bg-card p-4">
      <div>
        <h2>{line.name}</h2>
        <GivesUp line={line} lines={lines} />
        <Takes of={line.space} />
      </div>
      <Runs plan={line.plan} />
      <SectionFigure line={line} />
      <Days line={line} />
      <BeforeBuilding plan={line.plan} />
      <Buying line={line} currency={question.money.currency} from={from} />
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
      <p key={lines.indexOf(other)} className="text-quiet">
        For {number(Math.abs(more), 0)} {more < 0 ? 'less' : 'more'}, line {lines.indexOf(other) + 1}: {said.join(', ')}
        .
      </p>
    );
  });
}

/** What it takes besides money and time. */
function Takes({ of: { stages, joints, powerW, wallM, onFloor, blowsOff } }: { of: Space }) {
  const { say, number } = useUnits();
  const said = [
    `${number(stages, 0)} stages to buy`,
    `${number(joints, 0)} joints`,
    ...(powerW > 0 ? [`${number(powerW / 1000, undefined, 2)} kW of mains power`] : []),
    `about ${say(wallM, 'length')} of wall`,
    ...(onFloor.length > 0 ? [`on the floor: ${onFloor.join(', ').toLowerCase()}`] : []),
    ...(blowsOff.length > 0 ? [`${blowsOff.join(', ').toLowerCase()} blows off: loud, fit a silencer`] : []),
  ];
  return <p className="text-quiet">{said.join(' · ')}</p>;
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
  // Less than a gauge tells counts as enough.
  const spare = (pa: number): string => `${pa < 0 ? '≈ ' : ''}${say(Math.max(0, pa), 'pressureDifference')}`;
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
              <td className="pl-2 text-right whitespace-nowrap">{spare(job.sparePa)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}

/** What the advice says of what is given, of bursts, and what nobody has recorded yet: no fault of the proposal. */
function BeforeBuilding({ plan }: { plan: Plan }) {
  const { say } = useUnits();
  const { advice } = judgeLine(plan);
  const open = advice.filter((a) => BESIDE.includes(a.rule.id));
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
