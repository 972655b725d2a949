'use client';

import Papa from 'papaparse';
import { useState } from 'react';
import { type ReadRow, ROW_COLUMNS, readRows } from '@/core/log/read-rows';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { DropFile } from '@/ui/forms/drop-file';
import type { useSender } from '@/ui/outbox/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';

const MOST_BYTES = 5e6;

/** The same text always makes the same id, so that a file that is read twice doubles nothing. */
async function idOf(text: string): Promise<string> {
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text))).slice(0, 16);
  hash[6] = ((hash[6] as number) & 0x0f) | 0x80; // version 8: made of content (RFC 9562)
  hash[8] = ((hash[8] as number) & 0x3f) | 0x80;
  const hex = [...hash].map((b) => b.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** UTF-8, or what spreadsheets of old write. */
async function textOf(file: File): Promise<string> {
  const bytes = await file.arrayBuffer();
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Readings from a table: read first, looked at, then logged. */
export function ImportRows({ put }: { put: ReturnType<typeof useSender>['put'] }) {
  const { plan, planId } = usePlan();
  const [rows, setRows] = useState<readonly ReadRow[]>();
  const [told, tell] = useState<string>();
  const read = async (file: File): Promise<void> => {
    tell(undefined);
    if (file.size > MOST_BYTES) return tell('More than 5 MB: import it in parts.');
    const { data } = Papa.parse<string[]>((await textOf(file)).replace(/^\uFEFF/, ''), { skipEmptyLines: false });
    const [head = [], ...rest] = data;
    setRows(await readRows(plan, head, rest, (text) => idOf(`${planId} ${text}`), surveyAtmosphericPa(plan.survey)));
  };
  const good = (rows ?? []).flatMap((r) => ('entry' in r ? [r.entry] : []));
  const bad = (rows ?? []).flatMap((r) => ('problem' in r ? [r] : []));
  return (
    <details>
      <summary className="cursor-pointer text-water underline underline-offset-4">Readings from a table</summary>
      <div className="mt-2">
        <DropFile
          name="Import readings"
          label="Import CSV…"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          onFile={(f) => void read(f)}
        >
          <p className="text-[0.88rem] text-quiet">
            Columns: {ROW_COLUMNS.join(', ')}. Values in any unit. It is read first; nothing is logged before you say
            so, and a file read twice doubles nothing.
          </p>
          {told && (
            <p role="alert" className="text-brick">
              {told}
            </p>
          )}
          {rows && (
            <div className="grid w-full gap-2">
              <p>
                <strong>{good.length}</strong> {good.length === 1 ? 'reading' : 'readings'} can be logged
                {bad.length > 0 && `, ${bad.length} ${bad.length === 1 ? 'row' : 'rows'} cannot`}.
              </p>
              {bad.length > 0 && (
                <ul className="max-h-40 overflow-y-auto text-[0.88rem]">
                  {bad.slice(0, 60).map((r) => (
                    <li key={`${r.row}${r.problem}`}>
                      <span className="text-quiet">row {r.row}: </span>
                      {r.problem}
                    </li>
                  ))}
                </ul>
              )}
              <div className="flex gap-2">
                <button
                  type="button"
                  className="button button-strong"
                  disabled={good.length === 0}
                  onClick={() => {
                    put(...good.map((entry) => ({ to: 'entries' as const, body: entry })));
                    tell(`${good.length} readings go into the log.`);
                    setRows(undefined);
                  }}
                >
                  Log them
                </button>
                <button type="button" className="button" onClick={() => setRows(undefined)}>
                  Leave it
                </button>
              </div>
            </div>
          )}
        </DropFile>
      </div>
    </details>
  );
}
