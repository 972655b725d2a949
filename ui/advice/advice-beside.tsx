'use client';

import { memo } from 'react';
import { isReady } from '@/core/advice/judge-line';
import { sayIn as said } from '@/core/advice/rule';
import type { Verdicts } from '@/core/line/judge-outlet';
import { adviceWith } from '@/ui/plan/advice-of';
import { useLivePlan, usePlan } from '@/ui/plan/plan-provider';
import { useAfterPaint } from '@/ui/plan/use-after-paint';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';
import { AdviceItem } from './advice-item';
import { gradeOf, MARKS } from './grade-mark';

const MOST_SHOWN = 5;

/** Beside the line: the gravest of what is to be said, each at its stage. */
export const AdviceBeside = memo(function AdviceBeside({
  verdicts,
  onSelect,
}: {
  verdicts: Verdicts;
  onSelect: (stageId: string) => void;
}) {
  const { planId } = usePlan();
  // In the same picture as the lanes, unless judging takes so long here that they would wait for it.
  const { plan, section } = useAfterPaint(useLivePlan());
  const { say } = useUnits();
  const judgement = adviceWith(verdicts, plan);
  const standing = judgement.advice.filter((a) => a.dismissed === undefined);
  const grave = standing.filter((a) => a.rule.grade !== 'note');
  const rest = standing.length - Math.min(grave.length, MOST_SHOWN);
  return (
    <section aria-label="Advice" className="mb-4">
      <h2 className="eyebrow mb-1.5">Advice</h2>
      {isReady(judgement, section, verdicts) && grave.length === 0 && <p className="text-water">● No advice.</p>}
      <ul>
        {grave.slice(0, MOST_SHOWN).map((a) => {
          const { sign, word, tone } = MARKS[gradeOf(a)];
          const [stageId] = a.finding.stageIds;
          const text = (
            <>
              <span aria-hidden className={`${tone} shrink-0`}>
                {sign}
              </span>
              <span className="sr-only">{word}: </span>
              <span className="min-w-0">{said(a.finding.what, say)}</span>
            </>
          );
          const look =
            'flex w-full gap-1.5 border-t border-hairline py-1.5 text-left text-[0.85rem] leading-snug hover:bg-sunk';
          return (
            <li key={a.key}>
              {stageId ? (
                <button type="button" className={look} onClick={() => onSelect(stageId)}>
                  {text}
                </button>
              ) : (
                <Link href={`/lines/${planId}/advice`} className={look}>
                  {text}
                </Link>
              )}
            </li>
          );
        })}
      </ul>
      {rest > 0 && (
        <Link
          href={`/lines/${planId}/advice`}
          className="block border-t border-hairline py-1.5 text-[0.85rem] text-water underline underline-offset-4"
        >
          {grave.length === 0 ? `${rest} worth knowing` : `${rest} more`}
        </Link>
      )}
    </section>
  );
});

/** What is to be said of one stage, where it is edited. */
export function AdviceOfStage({ stageId, verdicts }: { stageId: string; verdicts: Verdicts }) {
  const { plan } = usePlan();
  const own = adviceWith(verdicts, plan).advice.filter(
    (a) => a.dismissed === undefined && a.finding.stageIds[0] === stageId,
  );
  return own.length === 0 ? null : (
    <ul aria-label="Advice on this stage" className="border-b border-hairline">
      {own.map((a) => (
        <AdviceItem key={a.key} advice={a} />
      ))}
    </ul>
  );
}
