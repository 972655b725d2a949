import { z } from 'zod';
import { nameField } from '../plan/survey';
import { YEAR_HOURS } from './calendar';

/** Air outdoors, hour by hour. */
export interface WeatherHours {
  readonly temperatureC: ArrayLike<number>;
  /** Over liquid water, 0…1. */
  readonly relativeHumidity: ArrayLike<number>;
}

/** Where a stored year comes from. */
export const ORIGINS = {
  epw: 'EPW file',
  csv: 'CSV file',
  synthetic: 'synthetic, made up by a script',
} as const;
export type Origin = keyof typeof ORIGINS;

/** The range of the readings: that of the places of a survey, so that an hour can be walked. */
export const WEATHER_RANGE = { leastC: -45, mostC: 60, leastRh: 0.01 } as const;

const hoursOf = (least: number, most: number) =>
  z.array(z.number().min(least).max(most)).length(YEAR_HOURS, 'A year has 8760 hours.');
const count = z.int().min(0).max(1e7);

/** A row of an import that was not as it should be: its number in the file, 1 for the first; 0 for what is no one row’s. */
const rowNoteSchema = z.strictObject({ row: count, message: z.string().max(300) });
export type RowNote = Readonly<z.infer<typeof rowNoteSchema>>;

/** What an import made of a file: said once, kept with the weather. */
const importNotes = z.strictObject({
  rows: count,
  /** Hours that no row gave, or whose row was wrong: filled from their neighbours. */
  filled: count,
  /** Rows that count for no hour: 29 February, an hour given twice, a row that is unreadable. */
  dropped: count,
  /** Values that were brought into range. */
  corrected: count,
  /** The first such rows. */
  notes: z.array(rowNoteSchema).max(60),
});
export type ImportNotes = z.infer<typeof importNotes>;

/** The same, also as earlier programs kept it. */
export const importNotesSchema = z.preprocess((notes) => {
  if (typeof notes !== 'object' || notes === null || !('mended' in notes)) return notes;
  const { mended, ...rest } = notes;
  return { corrected: mended, ...rest };
}, importNotes);

/** A year of hours as it is stored, for any line. */
export const weatherYearSchema = z.strictObject({
  name: nameField(80),
  origin: z.enum(['epw', 'csv', 'synthetic']),
  altitudeM: z.number().min(-500).max(9000).nullable(),
  notes: importNotesSchema,
  hours: z.strictObject({
    temperatureC: hoursOf(WEATHER_RANGE.leastC, WEATHER_RANGE.mostC),
    relativeHumidity: hoursOf(WEATHER_RANGE.leastRh, 1),
  }),
});
export type WeatherYear = z.infer<typeof weatherYearSchema>;

/** What a list of stored years shows of each. */
export type WeatherSummary = Pick<WeatherYear, 'name' | 'origin' | 'altitudeM' | 'notes'> & {
  readonly id: string;
  readonly at: string;
};

/** A file that cannot be a year: why, in words, and the rows that show it. */
export class WeatherRefused extends Error {
  constructor(
    message: string,
    readonly rows: readonly RowNote[] = [],
  ) {
    super(message);
    this.name = 'WeatherRefused';
  }
}
