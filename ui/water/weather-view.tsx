'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { FieldMeta } from '@/core/equipment/kind';
import { withSurvey } from '@/core/line/edit';
import { type MonthMeans, type Place, type PlaceYear, placeYearSchema, USUAL_YEAR } from '@/core/line/survey';
import { MONTHS } from '@/core/season/calendar';
import { ORIGINS, type WeatherSummary, type WeatherYear } from '@/core/season/weather';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { DropFile } from './drop-file';
import { ImportStanding, importWords, Notes } from './import-part';
import { IntakeWorth } from './intake-worth';
import { useWeatherImport } from './use-weather-import';
import { useWater } from './water-provider';

/** Which weather the year goes by, how the places follow it, and what the intake is worth. */
export function WeatherView() {
  const { years, climate, setClimate } = useWater();
  const { planId } = usePlan();
  return (
    <div className="grid items-start gap-x-8 gap-y-6 lg:grid-cols-2">
      <section className="grid gap-3">
        <h2>Weather of the year</h2>
        <ul className="grid">
          {years.map((year) => (
            <StoredYear key={year.id} year={year} chosen={climate.from === 'file' && climate.yearId === year.id} />
          ))}
          <li className="border-t border-hairline py-2">
            <label className="flex items-center gap-2 font-semibold">
              <input
                type="radio"
                name="weather-year"
                className="size-4 accent-(--water)"
                checked={climate.from === 'months'}
                onChange={() => setClimate({ from: 'months', months: climate.months ?? USUAL_MONTHS })}
              />
              Means of the months
            </label>
            <p className="ml-6 text-[0.88rem] text-quiet">
              From a climate table of your town, where there is no file. It has no fronts and no heat waves: peaks come
              out lower than they are.
            </p>
          </li>
        </ul>
        {climate.from === 'months' && <Months />}
        <ImportYear />
      </section>
      <div className="grid gap-6">
        <PlacesThroughYear />
        <IntakeWorth />
        <p className="text-[0.9rem] text-quiet">
          Shifts, days off and holidays are on{' '}
          <Link href={`/lines/${planId}/survey`} className="text-water underline underline-offset-4">
            the Survey
          </Link>
          .
        </p>
      </div>
    </div>
  );
}

const USUAL_MONTHS: MonthMeans[] = [2, 3, 6, 10, 15, 18, 20, 20, 16, 11, 6, 3].map((temperatureC, m) => ({
  temperatureC,
  swingK: m > 2 && m < 9 ? 10 : 6,
  relativeHumidity: m > 2 && m < 9 ? 0.7 : 0.82,
}));

function StoredYear({ year, chosen }: { year: WeatherSummary; chosen: boolean }) {
  const { setClimate, dropYear } = useWater();
  const { say } = useUnits();
  const [refused, setRefused] = useState<string>();
  const remove = async (): Promise<void> => {
    const answer = await fetch(`/api/weather/${year.id}`, { method: 'DELETE' }).catch(() => undefined);
    if (answer?.ok) return dropYear(year.id);
    const body = (await answer?.json().catch(() => undefined)) as { error?: { message?: string } } | undefined;
    setRefused(body?.error?.message ?? 'No answer from the program. Nothing was changed.');
  };
  return (
    <li className="border-t border-hairline py-2">
      <div className="flex flex-wrap items-start gap-x-3">
        <label className="flex flex-1 items-center gap-2 font-semibold">
          <input
            type="radio"
            name="weather-year"
            className="size-4 shrink-0 accent-(--water)"
            checked={chosen}
            onChange={() => setClimate({ from: 'file', yearId: year.id })}
          />
          {year.name}
        </label>
        {!chosen && year.origin !== 'synthetic' && (
          <button
            type="button"
            className="min-h-6 text-quiet underline underline-offset-4"
            onClick={() => void remove()}
          >
            Remove<span className="sr-only"> {year.name}</span>
          </button>
        )}
      </div>
      <p className="ml-6 text-[0.88rem] text-quiet">
        {ORIGINS[year.origin]}
        {year.altitudeM !== null && ` · ${say(year.altitudeM, 'altitude')}`} · {importWords(year.notes)}
      </p>
      {year.notes.notes.length > 0 && (
        <details className="ml-6 text-[0.88rem]">
          <summary className="cursor-pointer text-water underline underline-offset-4">What was mended</summary>
          <Notes notes={year.notes.notes} />
        </details>
      )}
      {refused && (
        <p role="alert" className="ml-6 text-brick">
          {refused}
        </p>
      )}
    </li>
  );
}

/** Imports a year: read and mended in a worker, looked at, then kept for every line. */
function ImportYear() {
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

function Months() {
  const { climate, setClimate } = useWater();
  const months = climate.months ?? USUAL_MONTHS;
  const set = (m: number, change: Partial<MonthMeans>): undefined => {
    setClimate({ months: months.map((own, i) => (i === m ? { ...own, ...change } : own)) });
  };
  return (
    <div className="relative overflow-x-auto">
      <table className="w-full min-w-[26rem] text-[0.9rem]">
        <thead className="text-left text-[0.8rem] text-quiet">
          <tr>
            <th className="py-1 pr-2 font-medium">Month</th>
            <th className="pr-2 font-medium">Mean temperature</th>
            <th className="pr-2 font-medium">Swing of a day</th>
            <th className="font-medium">Mean humidity</th>
          </tr>
        </thead>
        <tbody>
          {months.map((own, m) => (
            <tr key={MONTHS[m]} className="border-t border-hairline align-top [&_label]:sr-only">
              <th className="py-2 pr-2 text-left font-medium">{MONTHS[m]}</th>
              <td className="py-1 pr-2">
                <QuantityInput
                  id={`month-${m}-t`}
                  label={`${MONTHS[m]}: mean temperature`}
                  quantity="temperature"
                  value={own.temperatureC}
                  min={-45}
                  max={60}
                  onCommit={(temperatureC) => set(m, { temperatureC })}
                />
              </td>
              <td className="py-1 pr-2">
                <QuantityInput
                  id={`month-${m}-s`}
                  label={`${MONTHS[m]}: swing of a day`}
                  quantity="temperatureDifference"
                  value={own.swingK}
                  min={0}
                  max={35}
                  onCommit={(swingK) => set(m, { swingK })}
                />
              </td>
              <td className="py-1">
                <QuantityInput
                  id={`month-${m}-h`}
                  label={`${MONTHS[m]}: mean humidity`}
                  quantity="share"
                  value={own.relativeHumidity}
                  min={0.01}
                  max={1}
                  onCommit={(relativeHumidity) => set(m, { relativeHumidity })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const metaOf = (field: keyof PlaceYear): FieldMeta => placeYearSchema.shape[field].meta() as unknown as FieldMeta;

/** How each place of the survey goes with the weather outdoors. */
function PlacesThroughYear() {
  const { plan, edit } = usePlan();
  const { survey } = plan;
  const set = (place: Place, change: Partial<PlaceYear>): undefined => {
    edit(
      (p) =>
        withSurvey(p, {
          ...p.survey,
          places: p.survey.places.map((own) =>
            own.id === place.id ? { ...own, year: { ...(own.year ?? USUAL_YEAR), ...change } } : own,
          ),
        }),
      `year.${place.id}`,
    );
  };
  return (
    <section className="grid gap-3">
      <h2>The places, through that year</h2>
      <ul className="grid gap-3">
        {survey.places.map((place) => {
          const year = place.year ?? USUAL_YEAR;
          const uses = [
            place.id === survey.intakePlaceId && 'the pump breathes here',
            place.id === survey.roomPlaceId && 'the line stands here',
          ].filter(Boolean);
          return (
            <li key={place.id} className="grid gap-2 border-t border-hairline pt-2">
              <p>
                <strong>{place.name}</strong> <span className="text-quiet">{uses.join(', ')}</span>
              </p>
              <div className="grid items-start gap-3 sm:grid-cols-2">
                <ChoiceInput
                  id={`${place.id}-follows`}
                  label={metaOf('follows').label}
                  value={year.follows}
                  options={metaOf('follows').options ?? {}}
                  onCommit={(v) => set(place, { follows: v as PlaceYear['follows'] })}
                />
                {year.follows === 'sheltered' &&
                  (['lagS', 'warmerK', 'heatedToC'] as const).map((field) => (
                    <QuantityInput
                      key={field}
                      id={`${place.id}-${field}`}
                      label={metaOf(field).label}
                      quantity={metaOf(field).quantity ?? 'temperature'}
                      value={year[field]}
                      min={metaOf(field).least}
                      max={metaOf(field).most}
                      help={metaOf(field).help}
                      onCommit={(v) => set(place, { [field]: v })}
                    />
                  ))}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
