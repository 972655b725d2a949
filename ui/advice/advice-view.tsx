'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { applyFixes } from '@/core/advice/apply-fixes';
import { type Advice, isReady, judgeLine, RULES } from '@/core/advice/judge-line';
import type { Plan } from '@/core/plan/plan';
import { useDay } from '@/ui/day/use-day';
import { usePlan } from '@/ui/plan/plan-provider';
import { useJudgements } from '@/ui/plan/use-judgements';
import { Link } from '@/ui/primitives/link';
import { AdviceItem } from './advice-item';
import { FixesPreview } from './fixes-preview';
import { type Grade, gradeOf, MARKS } from './grade-mark';
import { Schools } from './schools';

const GROUPS: readonly { readonly grade: Grade; readonly title: string; readonly says: string }[] = [
  { grade: 'stop', title: 'Danger', says: 'Risk of injury. No line with one of these is ready for use.' },
  { grade: 'must', title: 'Must fix', says: 'The line will not do its job.' },
  { grade: 'should', title: 'Should fix', says: 'Trouble is likely.' },
  { grade: 'note', title: 'Note', says: 'Worth knowing.' },
];

type Preview = { readonly before: Plan } & ReturnType<typeof applyFixes>;

/** What an experienced colleague would say on seeing this line. */
export function AdviceView() {
  const { plan, planId, section, edit } = usePlan();
  const router = useRouter();
  const [told, tell] = useState<string>();
  const [looked, look] = useState<Preview>();
  const shown = looked?.before === plan ? looked : undefined; // of another plan it says nothing
  // The played day follows a moment behind.
  const day = useDay(plan).answer?.remarks;
  const verdicts = useJudgements();
  const judgement = useMemo(() => judgeLine(plan, section, RULES, day, verdicts), [plan, section, day, verdicts]);
  const standing = judgement.advice.filter((a) => a.dismissed === undefined);
  const aside = judgement.advice.filter((a) => a.dismissed !== undefined);
  const ready = isReady(judgement, section, verdicts);
  const fixable = standing.filter((a) => a.rule.grade !== 'note' && (a.finding.fixes?.length ?? 0) > 0);
  const show = (stageId: string): void => router.push(`/lines/${planId}/line?stage=${stageId}`);
  const preview = (): void => {
    tell(undefined);
    look({ before: plan, ...applyFixes(plan, () => crypto.randomUUID()) });
  };
  const doAll = ({ plan: fixed }: Preview): void => {
    edit(() => fixed);
    look(undefined);
    tell('Done as one step: undo takes it back.');
  };
  return (
    <div className="mx-auto grid max-w-[1080px] gap-5 p-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>Advice</h1>
        <Readiness ready={ready} standing={standing} stopped={section.problems.length > 0} />
        {fixable.length > 1 && (
          <button type="button" className="button ml-auto" onClick={preview}>
            Preview all fixes
          </button>
        )}
      </div>
      {shown && (
        <FixesPreview
          before={shown.before}
          after={shown.plan}
          left={shown.left}
          onDo={() => doAll(shown)}
          onLeave={() => look(undefined)}
        />
      )}
      {told && (
        <p role="status" className="rounded-md bg-water-wash px-3 py-2 text-water">
          {told}
        </p>
      )}
      {section.problems.length > 0 && (
        <p className="text-brick">
          ▲ The line is not calculated to its end: see the message on{' '}
          <Link href={`/lines/${planId}/line`} className="underline underline-offset-4">
            the Line
          </Link>
          . Stages downstream are judged only in part.
        </p>
      )}
      {judgement.broken.length > 0 && (
        <p role="alert" className="text-brick">
          ▲ {judgement.broken.map((b) => b.ruleId).join(', ')} could not be judged: a fault of this program, which is in
          its log now. All the others were.
        </p>
      )}
      {GROUPS.map(({ grade, title, says }) => {
        const own = standing.filter((a) => gradeOf(a) === grade);
        return own.length === 0 ? null : (
          <section key={grade} aria-label={title}>
            <h2 className="mb-1.5">
              {title} <span className="font-normal text-quiet">· {says}</span>
            </h2>
            <ul>
              {own.map((a) => (
                <AdviceItem key={a.key} advice={a} day={day} onShow={show} />
              ))}
            </ul>
          </section>
        );
      })}
      {standing.length === 0 && (
        <p>
          None of {RULES.length} rules applies to this line. This is not an acceptance test: measure at the tool before
          you rely on it.
        </p>
      )}
      {aside.length > 0 && (
        <details className="border-t border-hairline pt-3">
          <summary className="cursor-pointer font-semibold">Dismissed · {aside.length}</summary>
          <ul className="mt-2">
            {aside.map((a) => (
              <AdviceItem key={a.key} advice={a} day={day} onShow={show} />
            ))}
          </ul>
        </details>
      )}
      <Schools />
      <p className="text-[0.85rem] text-quiet">
        Estimate only. Nameplate, manual and local law take precedence. This program never declares air fit for
        breathing.{' '}
        <Link href={`/lines/${planId}/compare`} className="text-water underline underline-offset-4">
          Compare this line with another
        </Link>
      </p>
    </div>
  );
}

function Readiness({ ready, standing, stopped }: { ready: boolean; standing: readonly Advice[]; stopped: boolean }) {
  const count = (grade: Grade): number => standing.filter((a) => gradeOf(a) === grade).length;
  const parts = (['stop', 'must', 'should', 'note'] as const).flatMap((g) =>
    count(g) > 0 ? [`${count(g)} ${MARKS[g].word}${g === 'note' && count(g) > 1 ? 's' : ''}`] : [],
  );
  return (
    <p>
      {ready ? (
        <strong className="text-water">● No advice</strong>
      ) : (
        <strong className="text-brick">▲ Not ready{stopped ? ': not calculated' : ''}</strong>
      )}
      {parts.length > 0 && <span className="text-quiet"> · {parts.join(' · ')}</span>}
    </p>
  );
}
