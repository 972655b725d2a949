'use client';

import type { DrainJudgement } from '@/core/log/judge-drain';
import type { LoggedDrain } from '@/core/log/judge-log';
import { sayText } from '@/core/quantity/say-text';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';
import { sayTime } from '../units/when';
import { useWhy } from './use-why';
import { Verdict } from './verdict';

/** What an entry means: the verdict, and the causes in the order in which this line points to them. */
export function JudgementCard({ entry, judgement }: { entry: LoggedDrain; judgement: DrainJudgement }) {
  const { planId } = usePlan();
  const { say } = useUnits();
  const amount = (kg: number): string => say(kg / 1000, 'drained');
  const band = `${amount(entry.lowKg)} to ${amount(entry.highKg)}`;
  const why = useWhy(entry.id);
  return (
    <section aria-label="Judgement" aria-live="polite" className="rounded-md border border-hairline bg-card p-4">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2>
          {entry.stageName} · {sayTime(entry.drainedAt)}
        </h2>
        <Verdict of={judgement.verdict} className="text-[1.05rem]" />
      </div>
      <p className="mt-1">
        <strong>{say(entry.amountM3, 'drained')}</strong> came out, {entry.appearance}. Expected{' '}
        {why ? (
          <Why figure={() => why} className="font-semibold">
            {band}
          </Why>
        ) : (
          <strong>{band}</strong>
        )}
        <span className="text-quiet">
          {' '}
          (middle {amount(entry.expectedKg)}, {say(entry.countedHours * 3600, 'time')} loaded since{' '}
          {sayTime(entry.sinceAt)}, 95 %).
        </span>
      </p>
      {entry.note && <p className="mt-1 text-quiet">Noted: {entry.note}</p>}
      {judgement.causes.length > 0 && (
        <ol className="mt-3 grid gap-2">
          {judgement.causes.map((cause, i) => (
            <li key={cause.id} className="grid grid-cols-[1.6rem_1fr] border-t border-hairline pt-2">
              <span className="font-semibold text-quiet">{i + 1}</span>
              <span>
                <strong>{cause.title}.</strong> {cause.because}
                <span className="block text-quiet">To check: {sayText(cause.check, say)}</span>
              </span>
            </li>
          ))}
        </ol>
      )}
      {judgement.verdict === 'less' && (
        <Link
          href={`/lines/${planId}/find?complaint=D06&at=${encodeURIComponent(entry.stageId)}`}
          className="mt-3 inline-block min-h-target text-water underline underline-offset-4"
        >
          Find the fault
        </Link>
      )}
      {judgement.causes.some((c) => c.id === 'drain-stuck') && (
        <div className="mt-3">
          <Cautions ids={['C07', 'C36']} />
        </div>
      )}
      {(entry.appearance === 'oily' || entry.appearance === 'milky') && (
        <div className="mt-3">
          <Cautions ids={['C27']} />
        </div>
      )}
      {entry.appearance === 'rusty' && (
        <div className="mt-3">
          <Cautions ids={['C01']} />
        </div>
      )}
    </section>
  );
}
