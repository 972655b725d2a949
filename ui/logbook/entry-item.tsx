'use client';

import { SHOWS } from '@/core/diagnosis/finding/shows';
import { findingsOf } from '@/core/diagnosis/findings';
import { verdictOfReading } from '@/core/log/expect-reading';
import { implied } from '@/core/log/implied';
import { ENTRY_KINDS, type LoggedEntry, RESULTS } from '@/core/log/log-entry';
import { READINGS } from '@/core/log/readings';
import { taskById } from '@/core/maintenance/tasks';
import { sayText } from '@/core/quantity/say-text';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '../units/when';

export function Entry({
  entry: e,
  standing,
  onCorrect,
  onCheck,
}: {
  entry: LoggedEntry;
  standing: boolean;
  onCorrect: () => void;
  onCheck: (what: string) => void;
}) {
  const { plan, planId } = usePlan();
  const { say } = useUnits();
  const findings = standing ? findingsOf(plan, e) : [];
  const meant = implied(plan, e);
  const title = e.task ? `${taskById(e.task)?.does ?? e.task}` : ENTRY_KINDS[e.kind];
  return (
    <li
      className={`grid grid-cols-[1fr_auto] gap-x-3 border-b border-hairline py-2 ${standing ? '' : 'line-through text-quiet **:text-quiet'}`}
    >
      <div className="min-w-0">
        <p>
          <span className="text-quiet">{sayTime(e.measuredAt)}</span> <strong>{e.stageName}</strong> · {title}
          {e.result && e.result !== 'ok' && <span className="text-brick"> · {RESULTS[e.result]}</span>}
        </p>
        {e.readings.map((r, i) => {
          const expected = e.expected[i];
          const { label, quantity } = READINGS[r.of];
          const verdict = expected ? verdictOfReading(r.value, expected) : undefined;
          return (
            <p key={r.of} className="text-[0.92rem]">
              {label} <strong>{say(r.value, quantity)}</strong>
              {expected && (
                <span className={verdict === 'as expected' ? 'text-water' : 'text-brick'}>
                  {' '}
                  {verdict === 'as expected'
                    ? '● as expected'
                    : `▲ ${verdict === 'more' ? 'more' : 'less'} than expected`}
                  <span className="text-quiet">
                    {' '}
                    ({say(expected.low, quantity)} to {say(expected.high, quantity)})
                  </span>
                </span>
              )}
            </p>
          );
        })}
        {meant && (
          <p
            className={`text-[0.92rem] ${(meant.what === 'leak' ? meant.ofDelivery > 0.1 : meant.ofDelivery < 0.85) ? 'text-brick' : 'text-water'}`}
          >
            {meant.what === 'leak' ? 'Leaks' : 'Delivers'} {say(meant.flowM3PerS, 'volumeFlow')},{' '}
            {say(meant.ofDelivery, 'share')} of what the compressor is said to give
          </p>
        )}
        <p className="text-[0.85rem] text-quiet">
          {e.who}
          {e.what && ` · ${e.what}`}
          {e.amends && ' · corrects an earlier entry'}
          {e.photoId && (
            <>
              {' · '}
              <a className="text-water underline underline-offset-4" href={`/api/plans/${planId}/photos/${e.photoId}`}>
                photo
              </a>
            </>
          )}
        </p>
        {findings.map((f) => (
          <details key={f.title} className="mt-1 text-[0.9rem]">
            <summary className="cursor-pointer text-brick">▲ {f.title}</summary>
            {f.symptom ? (
              <>
                {/* What the line can calculate is not a list: its causes are weighed. */}
                {!(f.symptom.id in SHOWS) && (
                  <ol className="mt-1 list-decimal pl-5">
                    {f.symptom.causes.map((c) => (
                      <li key={c.title}>
                        <strong>{c.title}.</strong>{' '}
                        <span className="text-quiet">To check: {sayText(c.check, say)}</span>{' '}
                        <button
                          type="button"
                          className="min-h-target text-water underline underline-offset-4"
                          onClick={() => onCheck(`${c.title}? ${sayText(c.check, say)} `)}
                        >
                          Check it<span className="sr-only">: {c.title}</span>
                        </button>
                      </li>
                    ))}
                  </ol>
                )}
                <Link
                  href={`/lines/${planId}/find?complaint=${f.symptom.id}&at=${encodeURIComponent(f.stageId)}`}
                  className="inline-block min-h-target text-water underline underline-offset-4"
                >
                  Find the fault<span className="sr-only">: {f.title}</span>
                </Link>
              </>
            ) : (
              <p className="mt-1 text-quiet">
                <InUnits text={taskById(e.task ?? '')?.abnormal ?? 'Look again, and log what you see.'} />
              </p>
            )}
          </details>
        ))}
      </div>
      {standing && e.kind === 'finding' && (
        <Link
          className="button min-h-8 self-start text-[0.82rem]"
          href={`/lines/${planId}/find?complaint=${e.symptom}&entry=${e.id}`}
        >
          {e.finding?.state === 'open' ? 'Go on' : 'Look at it'}
          <span className="sr-only">: the search of {sayTime(e.measuredAt)}</span>
        </Link>
      )}
      {standing && e.kind !== 'put-off' && e.kind !== 'finding' && (
        <button type="button" className="button min-h-8 self-start text-[0.82rem]" onClick={onCorrect}>
          Correct<span className="sr-only"> the entry of {sayTime(e.measuredAt)}</span>
        </button>
      )}
    </li>
  );
}
