'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { ImportAnswer, ImportQuestion } from '@/workers/weather-import.worker';
import { wallClockMs } from '../water-provider';

/** How far an import is, and what came of it. */
export type ImportState = { readonly kind: 'idle' } | ImportAnswer;

/** Reads weather in a worker, with progress; it can be stopped, and asked on with an answer. */
export function useWeatherImport(want: ImportQuestion['want']) {
  const [state, setState] = useState<ImportState>({ kind: 'idle' });
  const worker = useRef<Worker>(undefined);
  const source = useRef<File>(undefined);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = undefined;
    setState({ kind: 'idle' });
  }, []);
  useEffect(() => () => worker.current?.terminate(), []);
  const read = useCallback(
    (from: File, answers?: ImportQuestion['answers']) => {
      worker.current?.terminate();
      const own = new Worker(new URL('../../../workers/weather-import.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      source.current = from;
      setState({ kind: 'progress', share: 0 });
      own.onmessage = ({ data }: MessageEvent<ImportAnswer>) => setState(data);
      own.onerror = () => setState({ kind: 'refused', message: 'It could not be read: the reader stopped.', rows: [] });
      own.postMessage({
        source: from,
        want,
        nowMs: wallClockMs(),
        ...(answers && { answers }),
      } satisfies ImportQuestion);
    },
    [want],
  );
  /** Goes on with the same file and what was asked. */
  const answer = useCallback(
    (answers: NonNullable<ImportQuestion['answers']>) => source.current !== undefined && read(source.current, answers),
    [read],
  );
  return { state, read, answer, stop };
}
