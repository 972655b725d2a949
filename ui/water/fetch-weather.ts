import type { WeatherHours, WeatherYear } from '@/core/year/weather';

const known = new Map<string, Promise<WeatherHours>>();

/** The hours of a stored year, fetched once: a stored year never changes. */
export function fetchWeather(id: string): Promise<WeatherHours> {
  const there = known.get(id);
  if (there) return there;
  const fetched = load(id);
  known.set(id, fetched);
  fetched.catch(() => known.delete(id));
  return fetched;
}

async function load(id: string): Promise<WeatherHours> {
  const answer = await fetch(`/api/weather/${encodeURIComponent(id)}`).catch(() => undefined);
  if (!answer)
    throw new Error(
      'The weather could not be fetched: no answer from the program. It is tried again when you come back here.',
    );
  if (answer.status === 404) throw new Error('The year that this line uses is not stored here. Choose another.');
  if (!answer.ok) throw new Error('The weather could not be fetched.');
  const { hours } = (await answer.json()) as WeatherYear;
  return {
    temperatureC: Float64Array.from(hours.temperatureC),
    relativeHumidity: Float64Array.from(hours.relativeHumidity),
  };
}
