'use client';

import { useCallback, useRef } from 'react';
import { useRun } from '@/ui/worker/use-run';
import type { ImportAnswer, ImportQuestion } from '@/workers/weather-import.worker';
import { wallClockMs } from '../water-provider';

/** How far an import is, and what came of it. */
export type ImportState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'progress'; readonly share: number }
  | ImportAnswer;

const start = (): Worker =>
  new Worker(new URL('../../../workers/weather-import.worker.ts', import.meta.url), { type: 'module' });

/** Reads weather in a worker, with progress; it can be stopped, and asked on with an answer. */
export function useWeatherImport(want: ImportQuestion['want']) {
  const { state: at, run, stop } = useRun<ImportQuestion, ImportAnswer>(start);
  const source = useRef<File>(undefined);
  const read = useCallback(
    (from: File, answers?: ImportQuestion['answers']) => {
      source.current = from;
      run({ source: from, want, nowMs: wallClockMs(), ...(answers && { answers }) });
    },
    [run, want],
  );
  /** Goes on with the same file and what was asked. */
  const answer = useCallback(
    (answers: NonNullable<ImportQuestion['answers']>) => source.current !== undefined && read(source.current, answers),
    [read],
  );
  const state: ImportState =
    at.kind === 'done' ? at.answer : at.kind === 'failed' ? { kind: 'refused', message: at.message, rows: [] } : at;
  return { state, read, answer, stop };
}
