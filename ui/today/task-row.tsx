'use client';

import { format } from 'date-fns';
import { type FormEvent, useState } from 'react';
import { siteTimeMs, siteTimeOf } from '@/core/log/site-clock';
import { type DueTask, dueTime } from '@/core/maintenance/due';
import { DRAINING } from '@/core/maintenance/tasks';
import { DAY_MS } from '@/core/quantity/constants';
import { parseNumber } from '@/core/quantity/parse';
import { Field, tied } from '@/ui/forms/field';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '@/ui/units/when';
import { entryOf } from '../outbox/entry-of';
import type { useSender } from '../outbox/use-sender';
import { rememberedWho, rememberWho } from '../people/remembered-who';
import { IntervalWords, TaskDetail } from './task-detail';

export const dueWords = (t: DueTask, now: string): string => {
  if (t.state === 'postponed') return `until ${sayTime(t.postponed?.until ?? '')}`;
  const days = Math.floor(t.dueMs / DAY_MS) - Math.floor(siteTimeMs(now) / DAY_MS);
  if (days < 0) return days === -1 ? 'since yesterday' : `for ${-days} days`;
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return format(new Date(dueTime(t)), days < 300 ? 'EEE d MMM' : 'd MMM yyyy');
};

export function TaskRow({
  task: t,
  now,
  put,
}: {
  task: DueTask;
  now: string;
  put: ReturnType<typeof useSender>['put'];
}) {
  const { plan, planId, edit } = usePlan();
  const [asking, setAsking] = useState<'done' | 'put-off' | 'pin'>();
  const measured = DRAINING.includes(t.task.id) || t.task.records.length > 0;
  const { choice } = useUnits();
  const daysOf = (text: string) => parseNumber(text, choice.decimal, { min: 0.1, max: 3660 });
  const pin = (days: number | undefined): void => {
    edit((p) => {
      const others = p.routine.pins.filter((x) => x.stageId !== t.stage.id || x.task !== t.task.id);
      const pins = days === undefined ? others : [...others, { stageId: t.stage.id, task: t.task.id, days }];
      return { ...p, routine: { ...p.routine, pins } };
    });
    setAsking(undefined);
  };
  return (
    <li className="border-t border-hairline py-2">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <p className="min-w-0 flex-1 basis-60">
          <strong>{t.stage.name}</strong> · {t.task.does}{' '}
          <span className={t.state === 'overdue' ? 'text-brick' : 'text-quiet'}>{dueWords(t, now)}</span>
        </p>
        <div className="flex flex-wrap gap-2">
          {measured ? (
            <Link href={`/lines/${planId}/rounds/go?at=${encodeURIComponent(t.key)}`} className="button min-h-8">
              Do it
            </Link>
          ) : (
            <button type="button" className="button min-h-8" onClick={() => setAsking('done')}>
              Done…
            </button>
          )}
          <button
            type="button"
            className="button min-h-8 border-transparent bg-transparent text-quiet"
            onClick={() => setAsking('put-off')}
          >
            Postpone…
          </button>
        </div>
      </div>
      {t.task.isolates && (
        <p className="text-[0.88rem] text-brick">First isolate, vent and prove zero pressure; power locked out.</p>
      )}
      <details className="text-[0.88rem]">
        <summary className="min-h-target cursor-pointer">
          <IntervalWords task={t} />
          {t.season && <span className="text-copper"> · {t.season}</span>}
          {t.postponed && <span className="text-quiet"> · “{t.postponed.reason}”</span>}
        </summary>
        <div className="mt-2 mb-1 grid max-w-prose gap-3">
          <TaskDetail task={t} />
          <p className="flex flex-wrap gap-x-4 text-quiet">
            <span>{t.last ? `Last done ${sayTime(t.last)}` : 'Never logged'}</span>
            {t.interval.pinned ? (
              <button
                type="button"
                className="min-h-target text-water underline underline-offset-4"
                onClick={() => pin(undefined)}
              >
                Use the calculated interval
              </button>
            ) : (
              <button
                type="button"
                className="min-h-target text-water underline underline-offset-4"
                onClick={() => setAsking('pin')}
              >
                Set its interval…
              </button>
            )}
          </p>
        </div>
      </details>
      {asking === 'pin' && (
        <Ask
          id={`pin-${t.key}`}
          label="Days between"
          first={String(Math.round(t.interval.days * 10) / 10)}
          does="Pin it"
          check={(text) => {
            const read = daysOf(text);
            return read.ok ? undefined : read.message;
          }}
          onSay={(text) => {
            const read = daysOf(text);
            if (read.ok) pin(read.value);
          }}
          onCancel={() => setAsking(undefined)}
        />
      )}
      {asking === 'done' && (
        <Ask
          id={`done-${t.key}`}
          label="Who did it"
          first={rememberedWho()}
          does="Log it as done"
          onSay={(who) => {
            rememberWho(who);
            put({
              to: 'entries',
              body: entryOf(plan, { kind: 'done', stageId: t.stage.id, task: t.task.id, who, result: 'ok' }),
            });
            setAsking(undefined);
          }}
          onCancel={() => setAsking(undefined)}
        />
      )}
      {asking === 'put-off' && <Postponed task={t} now={now} put={put} onDone={() => setAsking(undefined)} />}
    </li>
  );
}

export function Ask({
  id,
  label,
  first,
  does,
  check,
  onSay,
  onCancel,
}: {
  id: string;
  label: string;
  first: string;
  does: string;
  check?: (text: string) => string | undefined;
  onSay: (text: string) => void;
  onCancel: () => void;
}) {
  const [text, setText] = useState(first);
  const [error, setError] = useState<string>();
  const own = id.replaceAll(/[^\w-]/g, '-');
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const problem = text.trim() === '' ? 'Something is needed here.' : check?.(text);
    setError(problem);
    if (!problem) onSay(text.trim());
  };
  return (
    <form className="mt-2 flex flex-wrap items-end gap-2" onSubmit={submit} noValidate>
      <div className="w-60">
        <Field id={own} label={label} error={error}>
          <input {...tied(own, error)} className="control" value={text} onChange={(e) => setText(e.target.value)} />
        </Field>
      </div>
      <button type="submit" className="button">
        {does}
      </button>
      <button type="button" className="button border-transparent bg-transparent" onClick={onCancel}>
        Cancel
      </button>
    </form>
  );
}

export function Postponed({
  task: t,
  now,
  put,
  onDone,
}: {
  task: DueTask;
  now: string;
  put: ReturnType<typeof useSender>['put'];
  onDone: () => void;
}) {
  const { plan } = usePlan();
  const [reason, setReason] = useState('');
  const [until, setUntil] = useState(() => siteTimeOf(siteTimeMs(now) + 7 * DAY_MS).slice(0, 10));
  const [errors, setErrors] = useState<{ reason?: string; until?: string }>({});
  const id = `off-${t.key.replaceAll(/[^\w-]/g, '-')}`;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const bad = {
      ...(reason.trim() === '' && { reason: 'Give the reason for whoever reads this later.' }),
      ...(!(`${until}T00:00` > now) && { until: 'A day to come.' }),
    };
    setErrors(bad);
    if (Object.keys(bad).length > 0) return;
    put({
      to: 'entries',
      body: entryOf(plan, {
        kind: 'put-off',
        stageId: t.stage.id,
        task: t.task.id,
        who: rememberedWho() || 'somebody',
        what: reason.trim(),
        until: `${until}T00:00`,
      }),
    });
    onDone();
  };
  return (
    <form className="mt-2 flex flex-wrap items-start gap-2" onSubmit={submit} noValidate>
      <div className="w-60">
        <Field id={`${id}-why`} label="Why" error={errors.reason}>
          <input
            {...tied(`${id}-why`, errors.reason)}
            className="control"
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
        </Field>
      </div>
      <div className="w-40">
        <Field id={`${id}-until`} label="Until" error={errors.until}>
          <input
            {...tied(`${id}-until`, errors.until)}
            type="date"
            className="control"
            value={until}
            onChange={(e) => setUntil(e.target.value)}
          />
        </Field>
      </div>
      <div className="flex gap-2 pt-5">
        <button type="submit" className="button">
          Postpone
        </button>
        <button type="button" className="button border-transparent bg-transparent" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  );
}
