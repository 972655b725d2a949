'use client';

import { useState } from 'react';
import type { MonthMeans } from '@/core/plan/survey';
import { MONTHS } from '@/core/year/calendar';
import { ORIGINS, type WeatherSummary } from '@/core/year/weather';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { Scrolls } from '@/ui/primitives/scrolls';
import { useUnits } from '@/ui/units/units';
import { useWater } from '../water-provider';
import { importWords, Notes } from './import-part';

export const USUAL_MONTHS: MonthMeans[] = [2, 3, 6, 10, 15, 18, 20, 20, 16, 11, 6, 3].map((temperatureC, m) => ({
  temperatureC,
  swingK: m > 2 && m < 9 ? 10 : 6,
  relativeHumidity: m > 2 && m < 9 ? 0.7 : 0.82,
}));

export function StoredYear({ year, chosen }: { year: WeatherSummary; chosen: boolean }) {
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
            className="min-h-target text-quiet underline underline-offset-4"
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
          <summary className="cursor-pointer text-water underline underline-offset-4">What was corrected</summary>
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

export function Months() {
  const { climate, setClimate } = useWater();
  const months = climate.months ?? USUAL_MONTHS;
  const set = (m: number, change: Partial<MonthMeans>): undefined => {
    setClimate({ months: months.map((own, i) => (i === m ? { ...own, ...change } : own)) });
  };
  return (
    <Scrolls label="Months">
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
    </Scrolls>
  );
}
