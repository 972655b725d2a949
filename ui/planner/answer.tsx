'use client';

import { useState } from 'react';
import { sayIn } from '@/core/advice/rule';
import { becauseOf } from '@/core/planner/answer';
import { askedOf } from '@/core/planner/base-line';
import { ENOUGH_K } from '@/core/planner/judge-proposal';
import type { Question } from '@/core/planner/question';
import { Scrolls } from '@/ui/primitives/scrolls';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import type { PlannerAnswer, ProposedLine } from '@/workers/planner.worker';
import type { FromLine } from './from-line';
import { FrontChart } from './front-chart';
import { ProposedSheet } from './proposed-sheet';
import { SmallSection } from './small-section';

const A_MILLION = 1e6;
const A_CHART = 3; // fewer the table shows as well

/** By how much the air of the worst job is drier than asked for, as its sheet has it, up to what is worth having. */
const worstK = ({ warm }: ProposedLine): number => Math.min(ENOUGH_K, ...warm.map((job) => job.marginK ?? 0));

/** The lines on the front, the one that is looked at, and why the obvious ones are not among them. */
export function Answer({
  answer,
  question,
  from,
  isWhole,
  changed,
  onQuestion,
}: {
  answer: PlannerAnswer;
  question: Question;
  from: FromLine | undefined;
  /** All lines have been looked at. */
  isWhole: boolean;
  /** The question has been changed since. */
  changed: boolean;
  onQuestion: (question: Question) => void;
}) {
  const [at, setAt] = useState(0);
  const { number } = useUnits();
  const { lines } = answer;
  const line = lines[Math.min(at, lines.length - 1)];
  if (!line) return <Nothing {...{ answer, question, isWhole, onQuestion }} />;
  return (
    <>
      {changed && (
        <p className="rounded-md bg-amber-wash px-3 py-2" role="status">
          The question has changed since: find the lines again.
        </p>
      )}
      <section aria-label="Lines" className="rounded-md border border-hairline bg-card p-4">
        <h2>
          {lines.length === 1 ? 'One line' : `${lines.length} lines`} worth building{' '}
          <span className="text-[0.9rem] font-normal text-quiet">
            of {answer.looked > A_MILLION ? 'more than a million' : number(answer.looked, 0)} that can be put together
          </span>
        </h2>
        <p className="text-quiet">
          {isWhole
            ? 'No other serves all jobs and is better in everything.'
            : 'So far: not all lines have been looked at, and a better one may come.'}
        </p>
        {lines.length >= A_CHART && <FrontChart lines={lines} at={at} currency={question.money.currency} />}
        <FrontTable lines={lines} at={at} onAt={setAt} currency={question.money.currency} />
      </section>
      <ProposedSheet key={`${at} ${line.name}`} line={line} lines={lines} question={question} from={from} />
      {isWhole && <WhyNots answer={answer} question={question} line={line} />}
    </>
  );
}

function FrontTable({
  lines,
  at,
  onAt,
  currency,
}: {
  lines: readonly ProposedLine[];
  at: number;
  onAt: (at: number) => void;
  currency: string;
}) {
  const { say, number } = useUnits();
  const head = 'px-2 pb-1 text-right';
  return (
    <Scrolls label="Lines side by side" className="mt-2">
      <table className="w-full max-sm:text-[0.85rem]">
        <thead>
          <tr className="eyebrow">
            <th scope="col" className="pb-1 text-left">
              Line
            </th>
            <th scope="col" className={head}>
              To buy, {currency}
            </th>
            <th scope="col" className={head}>
              A year, {currency}
            </th>
            <th scope="col" className={head}>
              Min a week
            </th>
            <th scope="col" className="pb-1 pl-2 text-right">
              Margin
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l, n) => (
            <tr key={l.name + String(n)} className={`border-t border-hairline ${n === at ? 'bg-sunk' : ''}`}>
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                <button
                  type="button"
                  aria-pressed={n === at}
                  onClick={() => onAt(n)}
                  className="min-h-9 text-left underline decoration-hairline underline-offset-4 hover:decoration-copper"
                >
                  <span className="font-semibold text-copper">{n + 1}</span> {l.name}
                </button>
                <SmallSection line={l} className="mb-1 h-8 w-full max-w-64 min-w-40" />
              </th>
              <td className="px-2 text-right whitespace-nowrap">{number(l.merits.purchase, 0)}</td>
              <td className="px-2 text-right whitespace-nowrap">{number(l.merits.yearly, 0)}</td>
              <td className="px-2 text-right whitespace-nowrap">{number(l.merits.minutesPerWeek, 0)}</td>
              <td className="pl-2 text-right whitespace-nowrap">
                {say(worstK(l), 'temperatureDifference')}
                {worstK(l) === ENOUGH_K && ' +'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}

function WhyNots({ answer, question, line }: { answer: PlannerAnswer; question: Question; line: ProposedLine }) {
  const { say, number } = useUnits();
  const asked = askedOf(answer.lines[0]?.question ?? question);
  if (answer.whyNot.length === 0) return null;
  return (
    <section aria-label="Why not" className="rounded-md border border-hairline bg-card p-4">
      <h2>Why not …</h2>
      <dl className="grid gap-2">
        {answer.whyNot.map(({ what, plan }) => {
          const { because, merits } = becauseOf(asked, plan);
          return (
            <div key={what} className="border-t border-hairline pt-2">
              <dt className="font-semibold">{what}</dt>
              <dd>
                {because.map((b) => (
                  <span key={sayIn(b, say)} className="block">
                    <span className="text-brick">▲</span> {sayIn(b, say)}
                  </span>
                ))}
                {merits && (
                  <span>
                    It would do, and costs {number(merits.purchase - line.merits.purchase, 0)} more to buy and{' '}
                    {number(merits.yearly - line.merits.yearly, 0)} more a year than the line above.
                  </span>
                )}
              </dd>
            </div>
          );
        })}
      </dl>
    </section>
  );
}

/** Nothing serves the question: what would. */
function Nothing({
  answer,
  question,
  isWhole,
  onQuestion,
}: {
  answer: PlannerAnswer;
  question: Question;
  /** All that may help has been tried. */
  isWhole: boolean;
  onQuestion: (question: Question) => void;
}) {
  if (question.breathed === 'yes')
    return (
      <section role="alert" className="rounded-md border border-brick/60 bg-brick-wash p-4">
        <h2>Not for breathing air</h2>
        <p>
          Filters do not remove carbon monoxide. Use a certified breathing-air system, and plan this line without it.
        </p>
      </section>
    );
  return (
    <section aria-label="Nothing found" className="rounded-md border border-hairline bg-card p-4">
      <h2>No line serves all of this</h2>
      {answer.relaxations.length > 0 ? (
        <>
          <p className="text-quiet">Each of these alone makes one possible, the smallest step that is enough:</p>
          <ul className="mt-2 grid gap-2">
            {answer.relaxations.map((r) => (
              <li key={r.says} className="flex flex-wrap items-center gap-3 border-t border-hairline pt-2">
                <span className="min-w-0 flex-1">
                  <InUnits text={r.says} />
                </span>
                <button type="button" className="button" onClick={() => onQuestion(r.question)}>
                  Ask so
                </button>
              </li>
            ))}
          </ul>
        </>
      ) : (
        isWhole && <p>No single change of what is asked makes one possible. Ask for fewer jobs, or for less of each.</p>
      )}
      {!isWhole && <p className="mt-2 text-quiet">Not every change has been tried yet.</p>}
    </section>
  );
}
