'use client';

import { useEffect, useState } from 'react';
import { atmosphericPressurePa } from '@/core/air/atmosphere';
import type { Question } from '@/core/planner/question';
import { warmDayOf } from '@/core/year/warm-day';
import type { WeatherSummary } from '@/core/year/weather';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { useUnits } from '@/ui/units/units';
import { fetchWeather } from '@/ui/water/fetch-weather';
import type { SetQuestion } from './ask-question';

const TYPED = 'typed';
/** A closed compressor room is warmer than outdoors, K (estimate). */
const ROOM_WARMER_K = 3;
const within = (least: number, value: number, most: number): number => Math.min(most, Math.max(least, value));

/** The stored years of weather; none where they cannot be had. */
function useStoredYears(): readonly WeatherSummary[] {
  const [years, setYears] = useState<readonly WeatherSummary[]>([]);
  useEffect(() => {
    fetch('/api/weather')
      .then((answer) => (answer.ok ? answer.json() : []))
      .then(setYears, () => undefined);
  }, []);
  return years;
}

/** Takes the warm day from a stored year of weather instead of numbers typed below. */
export function ClimateField({ question: q, set }: { question: Question; set: SetQuestion }) {
  const { say } = useUnits();
  const years = useStoredYears();
  const [problem, setProblem] = useState<string>();
  const [coldestC, setColdest] = useState<number>();
  const options = { [TYPED]: 'the numbers below', ...Object.fromEntries(years.map((y) => [y.id, y.name])) };
  const { yearId } = q.climate;
  const chosen = yearId !== null && yearId in options ? yearId : TYPED;
  const take = async (id: string): Promise<void> => {
    setProblem(undefined);
    setColdest(undefined);
    if (id === TYPED) return set({ climate: { from: 'none', yearId: null } });
    try {
      const altitudeM = years.find((y) => y.id === id)?.altitudeM ?? q.altitudeM;
      const day = warmDayOf(await fetchWeather(id), atmosphericPressurePa(within(-400, altitudeM, 4500)));
      setColdest(day.coldestC);
      set((now) => ({
        intakeC: within(-10, day.intakeC, 50),
        intakeHumidity: within(0.05, day.intakeHumidity, 1),
        roomC: within(0, day.hottestC + ROOM_WARMER_K, 50),
        jobs: now.jobs.map((j) => ({ ...j, roomC: within(-40, day.hottestC, 50) })),
        altitudeM: within(-400, altitudeM, 4500),
        climate: { from: 'file', yearId: id },
      }));
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  if (years.length === 0) return null;
  return (
    <div>
      <ChoiceInput
        id="climate"
        label="Weather from"
        value={chosen}
        options={options}
        onCommit={(id) => void take(id)}
      />
      {coldestC !== undefined && (
        <p className="mt-1 text-[0.85rem] text-quiet">
          The numbers below are from it and may be changed. Coldest hour outdoors: {say(coldestC, 'temperature')}.
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-1 text-[0.85rem] text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
