/** Air outdoors, hour by hour. */
export interface WeatherHours {
  readonly temperatureC: ArrayLike<number>;
  /** Over liquid water, 0…1. */
  readonly relativeHumidity: ArrayLike<number>;
}

/** A row of an import that was not as it should be. */
export interface RowNote {
  /** Of the file, 1 for its first line. */
  readonly row: number;
  readonly message: string;
}

/** What an import made of a file: said once, kept with the weather. */
export interface ImportNotes {
  readonly rows: number;
  /** Hours that no row gave, or whose row was wrong: filled from their neighbours. */
  readonly filled: number;
  /** Rows that count for no hour: 29 February, an hour given twice, a row that is unreadable. */
  readonly dropped: number;
  /** Values that were brought into range. */
  readonly mended: number;
  /** The first rows of each sort, with what was wrong. */
  readonly notes: readonly RowNote[];
}

/** Where a stored year comes from. */
export const ORIGINS = {
  epw: 'EPW file',
  csv: 'CSV file',
  synthetic: 'synthetic, made up by a script',
} as const;
export type Origin = keyof typeof ORIGINS;

/** A year of hours as it is stored, for any line. */
export interface WeatherYear {
  readonly name: string;
  readonly origin: Origin;
  readonly altitudeM: number | null;
  readonly notes: ImportNotes;
  readonly hours: WeatherHours;
}

/** The range of the readings: that of the places of a survey, so that an hour can be walked. */
export const WEATHER_RANGE = { leastC: -45, mostC: 60, leastRh: 0.01 } as const;

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
