'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { parseAsString, useQueryState } from 'nuqs';
import { useEffect, useMemo, useState } from 'react';
import { findingsOf } from '@/core/diagnose/findings';
import { fieldsOf } from '@/core/equipment/index';
import { setParameter } from '@/core/line/edit';
import { stageById } from '@/core/line/runs';
import { calibrations } from '@/core/record/calibrate';
import { verdictOfReading } from '@/core/record/expect-reading';
import { implied } from '@/core/record/implied';
import { ENTRY_KINDS, type LoggedEntry, RESULTS, standingEntries } from '@/core/record/log-entry';
import { READINGS, type ReadingName } from '@/core/routine/task';
import { taskById } from '@/core/routine/tasks';
import { ChoiceInput } from '@/ui/forms/choice-input';
import type { Log } from '@/ui/keep/use-due';
import { useSender } from '@/ui/keep/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { saveCsv } from '@/ui/water/data-table';
import { EntryForm } from './entry-form';
import { ImportRows } from './import-rows';
import { LogTabs } from './log-tabs';
import { sayTime } from './when';

const TrendChart = dynamic(() => import('./trend-chart').then((m) => m.TrendChart), {
  ssr: false,
  loading: () => <div className="h-52" />,
});
const SHOWN = 120;

/** The whole log: everything that was done, read, changed and complained of, with what it means. */
export function AllView({ log }: { log: Log }) {
  const { planId } = usePlan();
  const router = useRouter();
  const sender = useSender(planId, () => router.refresh());
  const [search, setSearch] = useQueryState('q', parseAsString.withDefault(''));
  const [kind, setKind] = useQueryState('kind', parseAsString.withDefault('all'));
  const [amending, setAmending] = useState<LoggedEntry>();
  const [checking, setChecking] = useState<{ stageId: string; what: string }>();
  const standing = useMemo(() => new Set(standingEntries(log.entries).map((e) => e.id)), [log.entries]);
  const found = useMemo(() => {
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    return log.entries.filter((e) => {
      const text =
        `${e.stageName} ${e.who} ${e.what} ${ENTRY_KINDS[e.kind]} ${taskById(e.task ?? '')?.does ?? ''}`.toLowerCase();
      return (kind === 'all' || e.kind === kind) && words.every((w) => text.includes(w));
    });
  }, [log.entries, search, kind]);
  return (
    <div className="mx-auto grid max-w-[1400px] items-start gap-x-6 gap-y-5 p-4 lg:grid-cols-[24rem_1fr]">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 lg:col-span-2">
        <h1>Logbook</h1>
        <LogTabs />
        {sender.left > 0 && <p className="text-amber">◌ {sender.left} kept here, sent when there is an answer</p>}
        {sender.refused && (
          <p role="alert" className="text-brick">
            {sender.refused.message}
          </p>
        )}
      </div>
      <div className="grid gap-5">
        <EntryForm
          key={amending?.id ?? checking?.what ?? 'new'}
          put={sender.put}
          amends={amending}
          check={checking}
          onDone={() => {
            setAmending(undefined);
            setChecking(undefined);
          }}
        />
        <Calibrations log={log} />
        <ImportRows put={sender.put} />
      </div>
      <div className="grid min-w-0 gap-5">
        <Trend entries={log.entries} />
        <section aria-label="Entries" className="grid gap-3">
          <div className="flex flex-wrap items-end gap-3">
            <label className="grid min-w-48 flex-1 gap-0.5 text-[0.9rem] font-medium">
              Search
              <input
                className="control font-normal"
                value={search}
                onChange={(e) => void setSearch(e.target.value || null)}
              />
            </label>
            <div className="w-52">
              <ChoiceInput
                id="log-kind"
                label="Only"
                value={kind}
                options={{ all: 'everything', ...ENTRY_KINDS }}
                onCommit={(v) => void setKind(v === 'all' ? null : v)}
              />
            </div>
            <button
              type="button"
              className="button"
              onClick={() => saveCsv(tableOf(found, search === '' && kind === 'all' ? log.drains : []))}
            >
              CSV
            </button>
            <SavedViews q={search} kind={kind} />
            <a className="button" href={`/api/plans/${planId}/everything`} download="cool-dram-line.json">
              Everything, JSON
            </a>
          </div>
          {found.length === 0 && <p className="text-quiet">Nothing like that in the log.</p>}
          <ul className="border-t border-hairline">
            {found.slice(0, SHOWN).map((e) => (
              <Entry
                key={e.id}
                entry={e}
                standing={standing.has(e.id)}
                onAmend={() => setAmending(e)}
                onCheck={(what) => setChecking({ stageId: e.stageId, what })}
              />
            ))}
          </ul>
          {found.length > SHOWN && (
            <p className="text-quiet">
              The newest {SHOWN} of {found.length}; all are in the CSV file.
            </p>
          )}
        </section>
      </div>
    </div>
  );
}

interface SavedView {
  readonly q: string;
  readonly kind: string;
}
const VIEWS_KEY = 'cool-dram.log-views';

/** Searches that one comes back to, kept in this browser. */
function SavedViews({ q, kind }: SavedView) {
  const { planId } = usePlan();
  const [views, setViews] = useState<readonly SavedView[]>([]);
  useEffect(() => {
    try {
      setViews(JSON.parse(localStorage.getItem(VIEWS_KEY) ?? '[]'));
    } catch {
      // What cannot be read any more is no view.
    }
  }, []);
  const set = (next: readonly SavedView[]): void => {
    setViews(next);
    localStorage.setItem(VIEWS_KEY, JSON.stringify(next));
  };
  const same = (v: SavedView): boolean => v.q === q && v.kind === kind;
  const isPlain = q === '' && kind === 'all';
  return (
    <div className="flex flex-wrap items-center gap-2">
      {!isPlain && !views.some(same) && (
        <button type="button" className="button" onClick={() => set([...views, { q, kind }])}>
          Keep this view
        </button>
      )}
      {views.map((v) => (
        <span key={`${v.kind} ${v.q}`} className="flex items-center">
          <Link
            className={`button ${same(v) ? 'border-ink' : ''}`}
            href={`/lines/${planId}/logbook/all?${new URLSearchParams({ ...(v.q && { q: v.q }), ...(v.kind !== 'all' && { kind: v.kind }) })}`}
          >
            {[v.kind !== 'all' && ENTRY_KINDS[v.kind as keyof typeof ENTRY_KINDS], v.q].filter(Boolean).join(': ')}
          </Link>
          <button
            type="button"
            className="min-h-8 px-2 text-quiet"
            onClick={() => set(views.filter((x) => x !== v))}
            aria-label="Forget this view"
          >
            ×
          </button>
        </span>
      ))}
    </div>
  );
}

function Entry({
  entry: e,
  standing,
  onAmend,
  onCheck,
}: {
  entry: LoggedEntry;
  standing: boolean;
  onAmend: () => void;
  onCheck: (what: string) => void;
}) {
  const { plan, planId } = usePlan();
  const { say } = useUnits();
  const findings = standing ? findingsOf(plan, e) : [];
  const meant = implied(plan, e);
  const title = e.task ? `${taskById(e.task)?.does ?? e.task}` : ENTRY_KINDS[e.kind];
  return (
    <li
      className={`grid grid-cols-[1fr_auto] gap-x-3 border-b border-hairline py-2 ${standing ? '' : 'line-through opacity-60'}`}
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
            {say(meant.ofDelivery, 'share')} of what the pump is said to give
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
              <ol className="mt-1 list-decimal pl-5">
                {f.symptom.causes.map((c) => (
                  <li key={c.title}>
                    <strong>{c.title}.</strong> <span className="text-quiet">To tell: {c.check}</span>{' '}
                    <button
                      type="button"
                      className="min-h-6 text-water underline underline-offset-4"
                      onClick={() => onCheck(`${c.title}? ${c.check} `)}
                    >
                      Check it<span className="sr-only">: {c.title}</span>
                    </button>
                  </li>
                ))}
              </ol>
            ) : (
              <p className="mt-1 text-quiet">
                {taskById(e.task ?? '')?.abnormal ?? 'Look again, and log what you see.'}
              </p>
            )}
          </details>
        ))}
      </div>
      {standing && e.kind !== 'put-off' && (
        <button type="button" className="button min-h-8 self-start text-[0.82rem]" onClick={onAmend}>
          Correct<span className="sr-only"> the entry of {sayTime(e.measuredAt)}</span>
        </button>
      )}
    </li>
  );
}

/** One quantity of one point through time. */
function Trend({ entries }: { entries: readonly LoggedEntry[] }) {
  const { plan } = usePlan();
  const series = useMemo(() => {
    const by = new Map<string, { stageId: string; name: string; of: ReadingName; count: number }>();
    for (const e of standingEntries(entries))
      for (const r of e.readings) {
        const key = `${e.stageId}:${r.of}`;
        const own = by.get(key) ?? {
          stageId: e.stageId,
          name: stageById(plan, e.stageId)?.name ?? e.stageName,
          of: r.of,
          count: 0,
        };
        own.count++;
        by.set(key, own);
      }
    return [...by].filter(([, s]) => s.count > 1).sort(([, a], [, b]) => b.count - a.count);
  }, [entries, plan]);
  const [chosen, choose] = useQueryState('trend', parseAsString);
  const own = series.find(([k]) => k === chosen) ?? series[0];
  if (!own) return null;
  const [key, s] = own;
  return (
    <section aria-label="Trend" className="grid gap-2">
      <div className="w-80 max-w-full">
        <ChoiceInput
          id="trend"
          label="Trend"
          value={key}
          options={Object.fromEntries(
            series.map(([k, x]) => [k, `${x.name}: ${READINGS[x.of].label.toLowerCase()} (${x.count})`]),
          )}
          onCommit={(v) => void choose(v)}
        />
      </div>
      <TrendChart entries={entries} stageId={s.stageId} of={s.of} />
    </section>
  );
}

/** What the log would make of the plan’s numbers: before and after, taken over on the person’s word, undone at will. */
function Calibrations({ log }: { log: Log }) {
  const { plan, edit } = usePlan();
  const { say } = useUnits();
  const all = useMemo(() => calibrations(plan, log.drains, log.entries), [plan, log]);
  if (all.length === 0) return null;
  return (
    <section aria-label="Calibration" className="grid gap-2">
      <h2>What the log makes of the plan</h2>
      <ul>
        {all.map((c) => {
          const stage = stageById(plan, c.stageId);
          const meta = stage && fieldsOf(stage.kind).find(([f]) => f === c.field)?.[1];
          const words = (si: number): string => (meta?.quantity ? say(si, meta.quantity) : String(si));
          return (
            <li key={`${c.stageId}${c.field}`} className="border-t border-hairline py-2 text-[0.92rem]">
              <p>
                <strong>{stage?.name}</strong>, {meta?.label.toLowerCase()}: {words(c.from)} →{' '}
                <strong>{words(c.to)}</strong>
              </p>
              <p className="text-quiet">
                From {c.entries} entries that lie {say(c.scatter, 'share')} apart. If it drifted, mend it first: a plan
                that is taught a fault expects it.
              </p>
              <button
                type="button"
                className="button mt-1"
                onClick={() => edit((p) => setParameter(p, c.stageId, c.field, c.to))}
              >
                Take it over<span className="sr-only">: {stage?.name}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function tableOf(entries: readonly LoggedEntry[], drains: Log['drains']) {
  return {
    name: 'log',
    columns: [
      'time',
      'point',
      'kind',
      'chore',
      'reading',
      'value',
      'unit',
      'expected low',
      'expected high',
      'result',
      'who',
      'note',
      'entered',
      'id',
      'corrects',
    ],
    rows: [
      ...drains.map((d) => [
        d.drainedAt,
        d.stageName,
        'drain',
        '',
        READINGS.amount.label,
        d.amountM3,
        'SI',
        d.lowKg / 1000,
        d.highKg / 1000,
        d.struck ? 'struck out' : '',
        d.who,
        `${d.appearance} ${d.note}`.trim(),
        '',
        d.id,
        '',
      ]),
      ...entries.flatMap((e) => {
        const rest = [e.result ?? '', e.who, e.what, e.enteredAt, e.id, e.amends ?? ''];
        const first = [e.measuredAt, e.stageName, ENTRY_KINDS[e.kind], taskById(e.task ?? '')?.does ?? ''];
        if (e.readings.length === 0) return [[...first, '', '', '', '', '', ...rest]];
        return e.readings.map((r, i) => [
          ...first,
          READINGS[r.of].label,
          r.value,
          'SI',
          e.expected[i]?.low ?? '',
          e.expected[i]?.high ?? '',
          ...rest,
        ]);
      }),
    ],
  };
}
