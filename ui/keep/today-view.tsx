'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type FormEvent, useMemo, useState } from 'react';
import { findingsOf } from '@/core/diagnose/findings';
import { standingEntries } from '@/core/record/log-entry';
import { shopTimeMs, shopTimeOf } from '@/core/record/shop-clock';
import { type DueState, type DueTask, dueTime, hoursPerMonth } from '@/core/routine/due';
import { DRAINING } from '@/core/routine/last-done';
import { type Round, roundsOf } from '@/core/routine/rounds';
import { Field, tied } from '@/ui/forms/field';
import { sayTime } from '@/ui/logbook/when';
import { usePlan } from '@/ui/plan/plan-provider';
import { CalendarPart } from './calendar-part';
import { driftsOf } from './drifts';
import { entryOf } from './entry-of';
import { IntervalWords, TaskDetail } from './task-detail';
import { type Log, useDue } from './use-due';
import { rememberedWho, rememberWho, useSender } from './use-sender';

const GROUPS: readonly { readonly state: DueState; readonly title: string; readonly tone: string }[] = [
  { state: 'overdue', title: 'Overdue', tone: 'text-brick' },
  { state: 'due', title: 'Due today', tone: 'text-copper' },
  { state: 'soon', title: 'Within a week', tone: 'text-ink' },
  { state: 'put off', title: 'Put off', tone: 'text-quiet' },
];
const DAY_MS = 86_400_000;

/** What the line asks for today: what is overdue, due and soon, and what has drifted. */
export function TodayView({ log }: { log: Log }) {
  const { plan, planId, edit } = usePlan();
  const router = useRouter();
  const { tasks, now } = useDue(log);
  const sender = useSender(planId, () => router.refresh());
  const rounds = useMemo(() => roundsOf(plan, tasks, shopTimeMs(now)), [plan, tasks, now]);
  const begun = plan.routine.startedOn !== null;
  const later = tasks.filter((t) => t.state === 'later');
  return (
    <div className="mx-auto grid max-w-[1240px] items-start gap-x-8 gap-y-5 p-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="flex flex-wrap items-baseline gap-x-4 lg:col-span-2">
        <h1>Today</h1>
        <p className="text-quiet">
          {format(new Date(now), 'EEEE d MMMM')} · {tasks.length} chores, {Math.round(hoursPerMonth(tasks) * 10) / 10} h
          a month
        </p>
        {sender.left > 0 && (
          <p className="ml-auto text-amber">◌ {sender.left} kept here, sent when there is an answer</p>
        )}
        {sender.refused && (
          <p role="alert" className="ml-auto text-brick">
            {sender.refused.message}
          </p>
        )}
      </div>
      <div className="grid min-w-0 gap-5">
        {!begun && (
          <section className="grid justify-items-start gap-2 rounded-md border border-hairline bg-card p-4">
            <h2>The routine has not begun</h2>
            <p className="max-w-prose">
              From this line’s stages follow {tasks.length} chores, each with how often and why. Begin, and what was
              never logged counts from today: daily chores at once, the others one interval from now.
            </p>
            <button
              type="button"
              className="button button-strong"
              onClick={() => edit((p) => ({ ...p, routine: { ...p.routine, startedOn: now.slice(0, 10) } }))}
            >
              Begin it today
            </button>
          </section>
        )}
        {GROUPS.map(({ state, title, tone }) => {
          const own = tasks.filter((t) => t.state === state);
          return own.length === 0 ? null : (
            <section key={state} aria-label={title}>
              <h2 className={tone}>
                {title} <span className="font-normal text-quiet">· {own.length}</span>
              </h2>
              <ul className="mt-1">
                {own.map((t) => (
                  <TaskRow key={t.key} task={t} now={now} put={sender.put} />
                ))}
              </ul>
            </section>
          );
        })}
        {begun && tasks.every((t) => t.state === 'later' || t.state === 'put off') && (
          <p className="text-water">● Nothing is due within a week.</p>
        )}
        {later.length > 0 && (
          <details className="border-t border-hairline pt-3">
            <summary className="cursor-pointer font-semibold">Later · {later.length}</summary>
            <ul className="mt-1">
              {later.map((t) => (
                <TaskRow key={t.key} task={t} now={now} put={sender.put} />
              ))}
            </ul>
          </details>
        )}
      </div>
      <aside className="grid gap-5">
        <Rounds rounds={rounds} />
        <Drifting log={log} />
        <CalendarPart />
      </aside>
    </div>
  );
}

const dueWords = (t: DueTask, now: string): string => {
  if (t.state === 'put off') return `until ${sayTime(t.putOff?.until ?? '')}`;
  const days = Math.floor(t.dueMs / DAY_MS) - Math.floor(shopTimeMs(now) / DAY_MS);
  if (days < 0) return days === -1 ? 'since yesterday' : `for ${-days} days`;
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return format(new Date(dueTime(t)), days < 300 ? 'EEE d MMM' : 'd MMM yyyy');
};

function TaskRow({ task: t, now, put }: { task: DueTask; now: string; put: ReturnType<typeof useSender>['put'] }) {
  const { plan, planId, edit } = usePlan();
  const [asking, setAsking] = useState<'done' | 'put-off' | 'pin'>();
  const measured = DRAINING.includes(t.task.id) || t.task.records.length > 0;
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
            Put off…
          </button>
        </div>
      </div>
      <details className="text-[0.88rem]">
        <summary className="cursor-pointer">
          <IntervalWords task={t} />
          {t.season && <span className="text-copper"> · {t.season}</span>}
          {t.putOff && <span className="text-quiet"> · “{t.putOff.reason}”</span>}
        </summary>
        <div className="mt-2 mb-1 grid max-w-prose gap-3">
          <TaskDetail task={t} />
          <p className="flex flex-wrap gap-x-4 text-quiet">
            <span>{t.last ? `Last done ${sayTime(t.last)}` : 'Never logged'}</span>
            {t.interval.pinned ? (
              <button
                type="button"
                className="min-h-6 text-water underline underline-offset-4"
                onClick={() => pin(undefined)}
              >
                Let it follow the weather again
              </button>
            ) : (
              <button
                type="button"
                className="min-h-6 text-water underline underline-offset-4"
                onClick={() => setAsking('pin')}
              >
                Pin its interval…
              </button>
            )}
          </p>
        </div>
      </details>
      {asking === 'pin' && (
        <Ask
          id={`pin-${t.key}`}
          label="Every so many days"
          first={String(Math.round(t.interval.days * 10) / 10)}
          does="Pin it"
          check={(text) => {
            const days = Number(text.replace(',', '.'));
            return days >= 0.1 && days <= 3660 ? undefined : 'A number of days, from a tenth to ten years.';
          }}
          onSay={(text) => pin(Number(text.replace(',', '.')))}
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
      {asking === 'put-off' && <PutOff task={t} now={now} put={put} onDone={() => setAsking(undefined)} />}
    </li>
  );
}

function Ask({
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

function PutOff({
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
  const [until, setUntil] = useState(() => shopTimeOf(shopTimeMs(now) + 7 * DAY_MS).slice(0, 10));
  const [errors, setErrors] = useState<{ reason?: string; until?: string }>({});
  const id = `off-${t.key.replaceAll(/[^\w-]/g, '-')}`;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const bad = {
      ...(reason.trim() === '' && { reason: 'Say why, for whoever comes after you.' }),
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
          Put off
        </button>
        <button type="button" className="button border-transparent bg-transparent" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  );
}

function Rounds({ rounds }: { rounds: readonly Round[] }) {
  const { planId } = usePlan();
  if (rounds.length === 0) return null;
  return (
    <section aria-label="Rounds" className="grid gap-3">
      {rounds.map((r) => (
        <div key={r.id} className="rounded-md border border-hairline bg-card p-3">
          <h2>{r.name}</h2>
          <p className="text-quiet">
            {r.tasks.length} {r.tasks.length === 1 ? 'chore' : 'chores'}, about {r.minutes} min
            {r.who && ` · ${r.who}`}
          </p>
          <p className="mt-1 text-[0.9rem]">{[...new Set(r.tasks.map((t) => t.stage.name))].join(', ')}</p>
          <Link href={`/lines/${planId}/rounds/go?round=${r.id}`} className="button button-strong mt-2 w-full">
            {r.id === 'round' ? 'Go on the round' : 'Begin the shutdown'}
          </Link>
        </div>
      ))}
    </section>
  );
}

/** What the log has noticed: drift, and readings outside their band. */
function Drifting({ log }: { log: Log }) {
  const { plan, planId } = usePlan();
  const drifts = useMemo(() => driftsOf(plan, log), [plan, log]);
  const findings = useMemo(
    () =>
      standingEntries(log.entries)
        .slice(0, 60)
        .flatMap((e) => findingsOf(plan, e))
        .slice(0, 6),
    [plan, log],
  );
  if (drifts.length === 0 && findings.length === 0) return null;
  return (
    <section aria-label="Drifting">
      <h2 className="mb-1">Noticed in the log</h2>
      <ul>
        {drifts.map((d) => (
          <li key={d.title} className="border-t border-hairline py-2">
            <Link
              href={`/lines/${planId}/logbook?point=${d.stageId}`}
              className="font-semibold text-amber underline underline-offset-4"
            >
              ◆ {d.title}
            </Link>
            <p className="text-[0.9rem]">{d.drift.says}</p>
          </li>
        ))}
        {findings.map((f) => (
          <li key={`${f.entryId}${f.title}`} className="border-t border-hairline py-2">
            <p className="font-semibold text-brick">▲ {f.title}</p>
            {f.symptom?.causes[0] && (
              <p className="text-[0.9rem]">
                First: {f.symptom.causes[0].title.toLowerCase()}?{' '}
                <span className="text-quiet">{f.symptom.causes[0].check}</span>
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
