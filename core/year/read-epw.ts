import { airOfReadings, type Sample } from './sample';
import { WeatherRefused } from './weather';

// Fields of a data row, counted from 0: year, month, day, hour, minute, flags, dry bulb, dew point, humidity (EnergyPlus
// weather format, recalled). The hour counts from 1 and names the end of its interval.
const [MONTH, DAY, HOUR, MINUTE, , DRY_BULB, DEW_POINT, HUMIDITY] = [1, 2, 3, 4, 5, 6, 7, 8] as const;
const LEAST_CELLS = 9;
const HEADS = [
  'LOCATION',
  'DESIGN CONDITIONS',
  'TYPICAL/EXTREME PERIODS',
  'GROUND TEMPERATURES',
  'HOLIDAYS/DAYLIGHT SAVINGS',
  'COMMENTS 1',
  'COMMENTS 2',
  'DATA PERIODS',
] as const;

/** A cell as a number; what the format means by “missing” is none. */
function cell(text: string | undefined, missingFrom: number): number {
  const value = text === undefined || text.trim() === '' ? Number.NaN : Number(text);
  return value >= missingFrom ? Number.NaN : value;
}

/**
 * Whether a file begins as an EPW file does.
 * @param firstCell of its first row
 * @example looksLikeEpw('LOCATION') // true
 */
export const looksLikeEpw = (firstCell: string): boolean => firstCell.trim().toUpperCase() === 'LOCATION';

/**
 * Reads an EPW file row by row. The years of its months may differ (they are typical months); local standard time, no
 * daylight saving; station pressure is left aside, for the barometer of the survey counts.
 */
export class EpwReader {
  name = '';
  altitudeM: number | null = null;
  private readonly heads = new Set<string>();

  /** What a row gives: a sample, or what is wrong with it; nothing for a row of the head. */
  row(cells: readonly string[], row: number): Sample | string | undefined {
    const first = (cells[0] ?? '').trim();
    const head = HEADS.find((h) => first.toUpperCase().startsWith(h));
    if (head) {
      this.heads.add(head);
      if (head === 'LOCATION') {
        this.name = [cells[1], cells[3]].filter((c) => c?.trim() && c.trim() !== '-').join(', ');
        const altitude = Number(cells[9]);
        this.altitudeM = cells[9]?.trim() && Number.isFinite(altitude) ? altitude : null;
      }
      return undefined;
    }
    if (!/^\d{4}$/.test(first)) return first === '' && cells.length <= 1 ? undefined : 'not a row of data';
    if (cells.length < LEAST_CELLS) return `only ${cells.length} fields`;
    const [month, day, hour, minute] = [cells[MONTH], cells[DAY], cells[HOUR], cells[MINUTE]].map(Number) as [
      number,
      number,
      number,
      number,
    ];
    if (
      ![month, day, hour].every(Number.isInteger) ||
      month < 1 ||
      month > 12 ||
      day < 1 ||
      day > 31 ||
      hour < 1 ||
      hour > 24
    )
      return `no such time: ${cells.slice(1, 4).join('-')}`;
    const air = airOfReadings({
      temperatureC: cell(cells[DRY_BULB], 99.9),
      dewPointC: cell(cells[DEW_POINT], 99.9),
      relativeHumidity: cell(cells[HUMIDITY], 999) / 100,
    });
    if (typeof air === 'string') return air;
    return { row, year: 0, month: month - 1, day, hour: hour - 1, minute: minute === 60 ? 0 : minute || 0, ...air };
  }

  /** What of its head is missing: the hours are read all the same. */
  get missingHeads(): readonly string[] {
    return HEADS.filter((h) => !this.heads.has(h));
  }

  refuseWithoutRows(rows: number): void {
    if (rows === 0) throw new WeatherRefused('This EPW file has a head, but no hours below it.');
  }
}
