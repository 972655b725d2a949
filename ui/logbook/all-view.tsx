'use client';

import { useRouter } from 'next/navigation';
import { parseAsString, useQueryStates } from 'nuqs';
import { useState } from 'react';
import type { Calibration } from '@/core/log/calibrate';
import { ENTRY_KINDS, type LoggedEntry } from '@/core/log/log-entry';
import type { LogPage, Trend as TrendOfLog } from '@/core/log/log-pages';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { useSender } from '@/ui/outbox/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';
import { sayTime } from '../units/when';
import { Calibrations } from './calibrations';
import { EntryForm } from './entry-form';
import { Entry } from './entry-item';
import { ImportRows } from './import-rows';
import { LogTabs } from './log-tabs';
import { SavedViews } from './saved-views';
import { Trend } from './trend';

const ASKED = {
  q: parseAsString.withDefault(''),
  kind: parseAsString.withDefault('all'),
  before: parseAsString.withDefault(''),
};
const SEARCHES_EVERY_MS = 300;

/** The whole log: everything that was done, read, changed and complained of, with what it means. */
export function AllView({
  page,
  trend,
  calibrations,
}: {
  page: LogPage;
  trend: TrendOfLog;
  calibrations: readonly Calibration[];
}) {
  const { planId } = usePlan();
  const router = useRouter();
  const sender = useSender(() => router.refresh());
  const [{ q, kind, before }, ask] = useQueryStates(ASKED, { shallow: false, throttleMs: SEARCHES_EVERY_MS });
  const [correcting, setCorrecting] = useState<LoggedEntry>();
  const [checking, setChecking] = useState<{ stageId: string; what: string }>();
  const csv = new URLSearchParams({ q, kind });
  return (
    <div className="mx-auto grid max-w-[1400px] items-start gap-x-6 gap-y-5 p-4 lg:grid-cols-[24rem_1fr]">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 lg:col-span-2">
        <h1>Logbook</h1>
        <LogTabs />
        {sender.left > 0 && <p className="text-amber">◌ {sender.left} saved on this device, sent when online</p>}
        {sender.refused && (
          <p role="alert" className="text-brick">
            {sender.refused.message}
          </p>
        )}
      </div>
      <div className="grid gap-5">
        <EntryForm
          key={correcting?.id ?? checking?.what ?? 'new'}
          put={sender.put}
          amends={correcting}
          check={checking}
          onDone={() => {
            setCorrecting(undefined);
            setChecking(undefined);
          }}
        />
        <Calibrations all={calibrations} />
        <ImportRows put={sender.put} />
      </div>
      <div className="grid min-w-0 gap-5">
        <Trend trend={trend} />
        <section aria-label="Entries" className="grid gap-3">
          <div className="flex flex-wrap items-end gap-3">
            <label className="grid min-w-48 flex-1 gap-0.5 text-[0.9rem] font-medium">
              Search
              <input
                className="control font-normal"
                value={q}
                onChange={(e) => void ask({ q: e.target.value || null, before: null })}
              />
            </label>
            <div className="w-52">
              <ChoiceInput
                id="log-kind"
                label="Only"
                value={kind}
                options={{ all: 'everything', ...ENTRY_KINDS }}
                onCommit={(v) => void ask({ kind: v === 'all' ? null : v, before: null })}
              />
            </div>
            <a className="button" href={`/api/plans/${planId}/table?${csv}`} download>
              CSV
            </a>
            <SavedViews q={q} kind={kind} />
            <a className="button" href={`/api/plans/${planId}/copy`} download>
              Copy of the line
            </a>
          </div>
          {page.entries.length === 0 && <p className="text-quiet">Nothing like that in the log.</p>}
          <ul className="border-t border-hairline">
            {page.entries.map((e) => (
              <Entry
                key={e.id}
                entry={e}
                standing={e.stands}
                onCorrect={() => setCorrecting(e)}
                onCheck={(what) => setChecking({ stageId: e.stageId, what })}
              />
            ))}
          </ul>
          <div className="flex flex-wrap items-center gap-3">
            {before !== '' && (
              <button type="button" className="button" onClick={() => void ask({ before: null })}>
                Newest
              </button>
            )}
            {page.next && (
              <button type="button" className="button" onClick={() => void ask({ before: page.next ?? null })}>
                {page.lookedBackTo ? 'Search further back' : 'Older'}
              </button>
            )}
            {page.lookedBackTo && (
              <p className="text-quiet">Searched back to {sayTime(page.lookedBackTo)}; all of it is in the CSV file.</p>
            )}
          </div>
        </section>
      </div>
    </div>
  );
}
