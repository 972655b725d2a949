'use client';

import { useState } from 'react';
import type { WeatherYear } from '@/core/year/weather';
import { DropFile } from '../../forms/drop-file';
import { useWater } from '../water-provider';
import { ImportStanding, importWords, Notes } from './import-part';
import { useWeatherImport } from './use-weather-import';

/** Imports a year: read and corrected in a worker, looked at, then kept for every line. */
export function ImportYear() {
  const { addYear, setClimate } = useWater();
  const importing = useWeatherImport('year');
  const [refused, setRefused] = useState<string>();
  const { state, stop, read } = importing;
  const keep = async (year: WeatherYear): Promise<void> => {
    const id = crypto.randomUUID();
    const answer = await fetch('/api/weather', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, year }),
    }).catch(() => undefined);
    const body = (await answer?.json().catch(() => undefined)) as { error?: { message?: string } } | undefined;
    if (!answer?.ok)
      return setRefused(body?.error?.message ?? 'No answer from the program. Try again: the file is still here.');
    setRefused(undefined);
    addYear({ id, at: new Date().toISOString(), ...year });
    setClimate({ from: 'file', yearId: id });
    stop();
  };
  return (
    <DropFile
      name="Import a year"
      label="Import EPW or CSV…"
      accept=".epw,.csv,.txt,.tsv,text/csv,text/plain"
      onFile={(file) => {
        setRefused(undefined);
        read(file);
      }}
    >
      <p className="text-[0.88rem] text-quiet">
        Or drop the file here. A CSV needs columns named for time, temperature and humidity (or dew point), by the hour
        or finer, on the clock of the place. Weather is kept for all lines.
      </p>
      <ImportStanding of={importing} />
      {state.kind === 'year' && (
        <div className="grid w-full gap-2">
          <p>
            <strong>{state.year.name}</strong>: {importWords(state.year.notes)}.
          </p>
          <Notes notes={state.year.notes.notes} />
          {refused && (
            <p role="alert" className="text-brick">
              {refused}
            </p>
          )}
          <div className="flex gap-2">
            <button type="button" className="button button-strong" onClick={() => void keep(state.year)}>
              Keep it and use it here
            </button>
            <button type="button" className="button" onClick={stop}>
              Leave it
            </button>
          </div>
        </div>
      )}
    </DropFile>
  );
}
