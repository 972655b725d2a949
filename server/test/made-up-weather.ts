import type { WeatherYear } from '../../core/year/weather';

/** A year of weather as it is imported: the same day over and over. */
export const madeUpWeather = (name: string, c = 20): WeatherYear => ({
  name,
  origin: 'csv',
  altitudeM: null,
  notes: { rows: 8759, filled: 1, dropped: 0, corrected: 0, notes: [{ row: 0, message: 'filled' }] },
  hours: {
    temperatureC: Array.from({ length: 8760 }, (_, h) => c + (h % 24) / 10),
    relativeHumidity: new Array<number>(8760).fill(0.6123),
  },
});
