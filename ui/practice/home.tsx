import { useState } from 'react';
import { BY_HAND } from '@/core/practice/by-hand';
import { CASE_KINDS, type CaseKind } from '@/core/practice/case';
import { calibrationOf, comesAgain, type Played, skillOf } from '@/core/practice/spacing';
import { Link } from '@/ui/primitives/link';
import { EstimateChart } from './estimate-chart';
import { saveResults } from './save-results';

const SAYS: Readonly<Record<CaseKind, string>> = {
  estimate: 'water of a day, before it is measured',
  setting: 'a timer, in spring and in August',
  order: 'what comes first behind the compressor',
  find: 'a complaint, instruments, and a clock',
  routine: 'a few minutes a week, and what they are best for',
  instruments: 'which of them is wrong',
  schools: 'which of two opinions is right on this line',
};
const KINDS = Object.keys(CASE_KINDS) as CaseKind[];
/** Of what was mastered, harder cases come. */
const levelOf = (skill: number | undefined): 0 | 1 | 2 =>
  skill === undefined || skill < 0.6 ? 0 : skill < 0.85 ? 1 : 2;
const MOST_SEED = 1_000_000;

export const linkOf = (kind: CaseKind, seed: number, level = 0): string =>
  `/practice?kind=${kind}&seed=${seed}&level=${level}`;

/** Cases to choose from, what comes again, how each skill stands, and one’s own estimates. */
export function PracticeHome({ played }: { played: readonly Played[] }) {
  const [now] = useState(() => new Date().toISOString());
  const again = comesAgain(played, now);
  const next = (kind: CaseKind): number => {
    const known = played.filter((p) => p.kind === kind).map((p) => p.seed);
    return Math.min(MOST_SEED, Math.max(20, ...known) + 1);
  };
  const calibration = calibrationOf(played);
  return (
    <>
      <p className="max-w-prose text-quiet">
        A line, a complaint or a question, and instruments that cost time. Every figure is calculated on the line of the
        case. What is played stays on this device.
      </p>
      {again.length > 0 && (
        <section aria-label="Comes again">
          <h2>Comes again</h2>
          <ul className="flex flex-wrap gap-2 pt-1">
            {again.map(({ kind, seed }) => (
              <li key={`${kind} ${seed}`}>
                <Link className="button min-h-11" href={linkOf(kind, seed)}>
                  {CASE_KINDS[kind]}, case {seed}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="A new case">
        <h2>A new case</h2>
        <ul className="grid gap-2 pt-1 sm:grid-cols-2 lg:grid-cols-3">
          {KINDS.map((kind) => {
            const skill = skillOf(played, kind);
            return (
              <li key={kind}>
                <Link
                  className="grid h-full gap-1 rounded-md border border-hairline bg-card p-3"
                  href={linkOf(kind, next(kind), levelOf(skill))}
                >
                  <span className="font-semibold">{CASE_KINDS[kind]}</span>
                  <span className="text-[0.88rem] text-quiet">{SAYS[kind]}</span>
                  <span className="mt-auto text-[0.82rem]">
                    {skill === undefined
                      ? 'not played yet'
                      : `${Math.round(skill * 100)} % of the newest five${levelOf(skill) > 0 ? ` · level ${levelOf(skill) + 1}` : ''}`}
                  </span>
                </Link>
              </li>
            );
          })}
        </ul>
      </section>
      <section aria-label="Made by hand">
        <h2>Made by hand, from easy to hard</h2>
        <ol>
          {BY_HAND.map((b, i) => (
            <li key={b.id} className="border-b border-hairline">
              <Link className="flex min-h-11 flex-wrap items-center gap-x-3 py-1" href={`/practice?case=${b.id}`}>
                <span className="w-6 font-semibold">{i + 1}</span>
                <span className="min-w-0 flex-1">{b.title}</span>
                <span className="text-[0.82rem] text-quiet">{CASE_KINDS[b.kind]}</span>
              </Link>
            </li>
          ))}
        </ol>
      </section>
      {calibration && (
        <section aria-label="Your estimates" className="grid gap-2">
          <h2>Your estimates</h2>
          <p>
            {Math.abs(Math.log(calibration.bias)) < 0.05
              ? 'In the middle you are right'
              : `In the middle you guess ${calibration.bias.toFixed(2)} times the truth`}
            ; half of your guesses lie within a factor of {calibration.within.toFixed(2)} of that.
          </p>
          <EstimateChart played={played} />
        </section>
      )}
      {played.length > 0 && (
        <p>
          <button type="button" className="button" onClick={() => saveResults(played)}>
            Results as CSV
          </button>
        </p>
      )}
    </>
  );
}
