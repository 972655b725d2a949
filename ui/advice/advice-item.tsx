'use client';

import { useState } from 'react';
import { applyFix } from '@/core/advice/apply-fixes';
import { type Advice, dismiss, restore } from '@/core/advice/judge-line';
import { sayIn as said } from '@/core/advice/rule';
import type { DayRemark } from '@/core/day/judge-day';
import { sayText } from '@/core/quantity/say-text';
import { Field, tied } from '@/ui/forms/field';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { GradeMark, gradeOf } from './grade-mark';

/** One piece of advice: what, why, and the buttons that fix it or dismiss it. */
export function AdviceItem({
  advice,
  day,
  onShow,
}: {
  advice: Advice;
  /** The compressor cycle that it was judged with. */
  day?: readonly DayRemark[] | undefined;
  onShow?: ((stageId: string) => void) | undefined;
}) {
  const { edit, store } = usePlan();
  const { say } = useUnits();
  const [refused, setRefused] = useState<string>();
  const [asking, setAsking] = useState(false);
  const { rule, finding, key } = advice;
  const [stageId] = finding.stageIds;
  const apply = (which: number): void => {
    const result = applyFix(store.getState().plan, key, which, () => crypto.randomUUID(), day);
    setRefused('refused' in result ? result.refused : undefined);
    if ('plan' in result) edit(() => result.plan);
  };
  const grade = gradeOf(advice);
  return (
    <li className="grid gap-x-5 gap-y-2 border-t border-hairline py-2.5 sm:grid-cols-[4.6rem_1fr] xl:grid-cols-[4.6rem_1fr_21rem]">
      <GradeMark grade={grade} id={rule.id} />
      <div className="grid min-w-0 content-start gap-1">
        <p className="font-semibold">
          {said(finding.what, say)}{' '}
          {onShow && stageId && (
            <button
              type="button"
              className="min-h-target font-normal whitespace-nowrap text-water underline underline-offset-4"
              onClick={() => onShow(stageId)}
            >
              show it
            </button>
          )}
        </p>
        <p className="max-w-prose">{said(finding.why, say)}</p>
        {advice.dismissed === undefined ? (
          <p className="max-w-prose text-[0.88rem] text-quiet">{sayText(rule.fix, say)}</p>
        ) : (
          <p className="text-quiet">Dismissed: “{advice.dismissed}”</p>
        )}
        {rule.stop && (
          <p className="text-[0.85rem] text-brick">
            It cannot be dismissed: remove the cause. Local law and a competent person decide.
          </p>
        )}
      </div>
      <div className="flex min-w-0 flex-wrap content-start items-start gap-2 sm:col-start-2 xl:col-start-3">
        {advice.dismissed !== undefined ? (
          <button type="button" className="button" onClick={() => edit((p) => restore(p, advice))}>
            Restore
          </button>
        ) : (
          <>
            {finding.fixes?.map((fix, i) => (
              <button
                key={fix.does}
                type="button"
                className={`button text-left whitespace-normal ${i === 0 && rule.grade === 'must' ? 'button-strong' : ''}`}
                onClick={() => apply(i)}
              >
                {fix.does}
              </button>
            ))}
            {!rule.stop && !asking && (
              <button
                type="button"
                className="button border-transparent bg-transparent text-quiet"
                onClick={() => setAsking(true)}
              >
                Dismiss…
              </button>
            )}
          </>
        )}
        {refused && (
          <p role="alert" className="text-brick">
            {refused}
          </p>
        )}
        {asking && (
          <Reason
            id={`aside-${key.replaceAll(' ', '-')}`}
            onCancel={() => setAsking(false)}
            onSay={(reason) => {
              edit((p) => dismiss(p, advice, reason));
              setAsking(false);
            }}
          />
        )}
      </div>
    </li>
  );
}

const MOST = 300;

/** Why a piece of advice is set aside: a reason is needed, for whoever comes after. */
function Reason({ id, onSay, onCancel }: { id: string; onSay: (reason: string) => void; onCancel: () => void }) {
  const [reason, setReason] = useState('');
  const [error, setError] = useState<string>();
  return (
    <form
      className="grid w-full max-w-prose gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const text = reason.trim();
        if (text === '') setError('Give the reason for whoever reads this later.');
        else if (text.length > MOST) setError(`At most ${MOST} characters.`);
        else onSay(text);
      }}
    >
      <Field id={id} label="Why it does not apply here" error={error} help="It returns when its cause changes.">
        <input
          {...tied(id, error, true)}
          className="control"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
        />
      </Field>
      <div className="flex gap-2">
        <button type="submit" className="button">
          Dismiss
        </button>
        <button type="button" className="button border-transparent bg-transparent" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}
