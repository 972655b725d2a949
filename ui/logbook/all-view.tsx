'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { parseAsString, useQueryState } from 'nuqs';
import { useMemo, useState } from 'react';
import { ENTRY_KINDS, type LoggedEntry, standingEntries } from '@/core/record/log-entry';
import { READINGS } from '@/core/routine/task';
import { taskById } from '@/core/routine/tasks';
import { ChoiceInput } from '@/ui/forms/choice-input';
import type { Log } from '@/ui/keep/use-due';
import { useSender } from '@/ui/keep/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';
import { saveCsv } from '@/ui/water/data-table';
import { Calibrations } from './calibrations';
import { EntryForm } from './entry-form';
import { Entry } from './entry-item';
import { ImportRows } from './import-rows';
import { LogTabs } from './log-tabs';
import { SavedViews } from './saved-views';
import { Trend } from './trend';

const _TrendChart = dynamic(() => import('./trend-chart').then((m) => m.TrendChart), {
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
            <a className="button" href={`/api/plans/${planId}/copy`} download>
              Copy of the line
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
