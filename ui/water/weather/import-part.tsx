'use client';

import { useState } from 'react';
import type { RowNote, WeatherYear } from '@/core/year/weather';
import { ChoiceInput } from '@/ui/forms/choice-input';
import type { ImportState, useWeatherImport } from './use-weather-import';

/** Where an import stands: its progress, what it asks, or why it was refused. */
export function ImportStanding({ of }: { of: ReturnType<typeof useWeatherImport> }) {
  const { state, stop, answer } = of;
  if (state.kind === 'progress')
    return (
      <div className="flex w-full flex-wrap items-center gap-3">
        <progress className="h-2 min-w-40 flex-1 accent-(--water)" value={state.share} max={1} aria-label="Reading" />
        <button type="button" className="button" onClick={stop}>
          Stop
        </button>
      </div>
    );
  if (state.kind === 'asks') return <Asked state={state} onAnswer={answer} />;
  if (state.kind === 'refused')
    return (
      <div role="alert" className="w-full rounded-md bg-brick-wash px-3 py-2 text-brick">
        <p>{state.message} Nothing was changed.</p>
        <Notes notes={state.rows} />
      </div>
    );
  return null;
}

function Asked({
  state,
  onAnswer,
}: {
  state: Extract<ImportState, { kind: 'asks' }>;
  onAnswer: ReturnType<typeof useWeatherImport>['answer'];
}) {
  const [unit, setUnit] = useState(state.layout.unit);
  const [order, setOrder] = useState(state.layout.order);
  const { layout, head, example } = state;
  const temperature = example[layout.temperature] ?? '';
  const time = example[layout.date >= 0 ? layout.date : layout.time] ?? '';
  return (
    <div className="grid w-full gap-3">
      <p>The names of its columns leave open:</p>
      <div className="grid gap-3 sm:grid-cols-2">
        {state.asks.includes('unit') && (
          <ChoiceInput
            id="import-unit"
            label={`“${head[layout.temperature]}”, ${temperature} in its first row, is in`}
            value={unit}
            options={{ C: '°C', F: '°F' }}
            onCommit={(v) => setUnit(v as 'C' | 'F')}
          />
        )}
        {state.asks.includes('order') && (
          <ChoiceInput
            id="import-order"
            label={`“${time}” has first`}
            value={order}
            options={{ 'day-first': 'the day', 'month-first': 'the month' }}
            onCommit={(v) => setOrder(v as typeof order)}
          />
        )}
      </div>
      <div>
        <button type="button" className="button" onClick={() => onAnswer({ unit, order })}>
          Go on
        </button>
      </div>
    </div>
  );
}

/** The rows of a file that were not as they should be. */
export function Notes({ notes }: { notes: readonly RowNote[] }) {
  if (notes.length === 0) return null;
  return (
    <ul className="mt-1 max-h-40 overflow-y-auto text-[0.88rem]">
      {notes.map((n) => (
        <li key={`${n.row}${n.message}`}>
          {n.row > 0 && <span className="text-quiet">row {n.row}: </span>}
          {n.message}
        </li>
      ))}
    </ul>
  );
}

/** What an import made of its file, in a sentence. */
export function importWords({ rows, filled, dropped, corrected }: WeatherYear['notes']): string {
  const parts = [
    filled > 0 && `${filled} ${filled === 1 ? 'hour' : 'hours'} filled`,
    dropped > 0 && `${dropped} ${dropped === 1 ? 'row' : 'rows'} dropped`,
    corrected > 0 && `${corrected} ${corrected === 1 ? 'value' : 'values'} corrected`,
  ].filter(Boolean);
  return `${rows} rows${parts.length > 0 ? `; ${parts.join(', ')}` : ', nothing to correct'}`;
}
