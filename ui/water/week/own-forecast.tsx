'use client';

import { useState } from 'react';
import { DropFile } from '../../forms/drop-file';
import { ImportStanding, Notes } from '../weather/import-part';
import { useWeatherImport } from '../weather/use-weather-import';
import type { useForecast } from './use-forecast';
import { sayDate } from './week-parts';

/** A forecast of the person’s own: a file, or pasted. */
export function OwnForecast({ onGive }: { onGive: ReturnType<typeof useForecast>['giveOwn'] }) {
  const importing = useWeatherImport('forecast');
  const [text, setText] = useState('');
  const { state, read, stop } = importing;
  return (
    <details className="border-t border-hairline pt-3">
      <summary className="cursor-pointer text-water underline underline-offset-4">Give a forecast of your own</summary>
      <div className="mt-3 max-w-2xl">
        <DropFile
          name="Import a forecast"
          label="Import CSV…"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          onFile={read}
        >
          <label className="grid w-full gap-1 text-[0.9rem] font-medium">
            Or paste it: a row of names, then time, temperature and humidity
            <textarea
              className="control min-h-28 font-normal"
              value={text}
              placeholder={'time, temperature °C, humidity %\n2026-07-14 09:00, 24.5, 71'}
              onChange={(e) => setText(e.target.value)}
            />
          </label>
          <button
            type="button"
            className="button"
            disabled={text.trim() === ''}
            onClick={() => read(new File([text], 'pasted'))}
          >
            Read what was pasted
          </button>
          <ImportStanding of={importing} />
          {state.kind === 'forecast' && (
            <div className="grid gap-2">
              <p>
                {state.forecast.hours.temperatureC.length - state.forecast.firstHour} hours from{' '}
                {sayDate(state.forecast.startMs)}
                {state.forecast.notes.length > 0 && `; ${state.forecast.notes.length} rows left out`}.
              </p>
              <Notes notes={state.forecast.notes} />
              <div className="flex gap-2">
                <button
                  type="button"
                  className="button button-strong"
                  onClick={() => {
                    onGive(state.forecast);
                    stop();
                  }}
                >
                  Use it
                </button>
                <button type="button" className="button" onClick={stop}>
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
