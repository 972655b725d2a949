import { readFileSync } from 'node:fs';
import path from 'node:path';
import psychrolib from 'psychrolib';
import { hourIndex, YEAR_HOURS } from './calendar';
import { layoutOf, sampleOfRow, timeOf } from './read-csv';
import { EpwReader } from './read-epw';
import type { Sample } from './sample';
import { WeatherRefused } from './weather';
import { forecastOf } from './week-of-samples';
import { YearCollector } from './year-of-samples';

psychrolib.SetUnitSystem(psychrolib.SI);

const DELTA = readFileSync(path.join(__dirname, '../../weather/merrow-delta-humid.synthetic.epw'), 'utf8').split('\n');

/** Imports lines of an EPW file, changed by a test. */
function importEpw(lines: readonly string[]) {
  const reader = new EpwReader();
  const year = new YearCollector();
  lines.forEach((line, i) => {
    const got = reader.row(line.split(','), i + 1);
    if (typeof got === 'string') year.drop(i + 1, got);
    else if (got) year.add(got);
  });
  return { reader, ...year.finish() };
}

/** The line of an hour of the year in the file. */
const lineOf = (month: number, day: number, hour: number): number => 8 + (hourIndex({ month, day, hour }) as number);
const withCells = (line: number, cells: Record<number, string>): string[] =>
  DELTA.with(
    line,
    (DELTA[line] as string)
      .split(',')
      .map((c, i) => cells[i] ?? c)
      .join(','),
  );

describe('an EPW file', () => {
  const { reader, hours, notes } = importEpw(DELTA);

  test('gives a year: hour 1 of the file begins at midnight, dew point goes before the rounded humidity (psychrolib)', () => {
    expect(notes).toEqual({ rows: YEAR_HOURS, filled: 0, dropped: 0, corrected: 0, notes: [] });
    expect([reader.name, reader.altitudeM]).toEqual(['Merrow Delta humid coast, SYNTHETIC', 8]);
    for (const [month, day, hour] of [
      [0, 1, 0],
      [6, 14, 15],
      [11, 31, 23],
    ] as const) {
      const cells = (DELTA[lineOf(month, day, hour)] as string).split(',').map(Number);
      const h = hourIndex({ month, day, hour }) as number;
      expect(cells.slice(1, 4)).toEqual([month + 1, day, hour + 1]);
      expect(hours.temperatureC[h]).toBeCloseTo(cells[6] as number, 9);
      const rh = psychrolib.GetRelHumFromTDewPoint(cells[6] as number, cells[7] as number);
      expect(hours.relativeHumidity[h]).toBeCloseTo(rh, 3);
    }
  });

  test('with a line left out is filled there, and says so', () => {
    const { hours: corrected, notes } = importEpw(DELTA.toSpliced(lineOf(2, 3, 9), 1));
    const h = hourIndex({ month: 2, day: 3, hour: 9 }) as number;
    expect(notes.filled).toBe(1);
    expect(notes.notes[0]?.message).toMatch(/3 Mar 09:00 \(1 h\)/);
    const [a, b] = [hours.temperatureC[h - 1] as number, hours.temperatureC[h + 1] as number];
    expect(corrected.temperatureC[h]).toBeCloseTo((a + b) / 2, 2);
  });

  test('with 9999s takes what else the row gives, or fills the hour, with the number of the row', () => {
    const line = lineOf(4, 20, 12);
    const rh = Number((DELTA[line] as string).split(',')[8]) / 100;
    const h = hourIndex({ month: 4, day: 20, hour: 12 }) as number;
    expect(importEpw(withCells(line, { 7: '99.9' })).hours.relativeHumidity[h]).toBeCloseTo(rh, 4);
    const { notes } = importEpw(withCells(line, { 6: '99.9', 7: '9999', 8: '999' }));
    expect([notes.filled, notes.dropped]).toEqual([1, 1]);
    expect(notes.notes[0]).toEqual({ row: line + 1, message: 'no temperature' });
  });

  test('of a leap year loses 29 February, counted', () => {
    const feb28 = lineOf(1, 28, 0);
    const leap = DELTA.slice(feb28, feb28 + 24).map((l) => l.replace(',2,28,', ',2,29,'));
    const { notes } = importEpw(DELTA.toSpliced(feb28 + 24, 0, ...leap));
    expect([notes.rows, notes.dropped, notes.filled]).toEqual([YEAR_HOURS + 24, 24, 0]);
    expect(notes.notes[0]?.message).toMatch(/29 February/);
  });

  test('without lines of its head is read all the same, and one of half a year is refused with the months', () => {
    const { reader, notes } = importEpw(DELTA.toSpliced(2, 2));
    expect(notes.filled).toBe(0);
    expect(reader.missingHeads).toEqual(['TYPICAL/EXTREME PERIODS', 'GROUND TEMPERATURES']);
    expect(() => importEpw(DELTA.slice(0, lineOf(6, 1, 0)))).toThrow(/4416 of the 8760 hours.*Jul, Aug, Sep/);
  });

  test('a week that is missing is filled by the same hours of the days round it, not by a straight line', () => {
    const from = lineOf(5, 10, 0);
    const { hours: corrected, notes } = importEpw(DELTA.toSpliced(from, 7 * 24));
    expect(notes.filled).toBe(7 * 24);
    const noon = hourIndex({ month: 5, day: 13, hour: 14 }) as number;
    const night = hourIndex({ month: 5, day: 13, hour: 3 }) as number;
    expect((corrected.temperatureC[noon] as number) - (corrected.temperatureC[night] as number)).toBeGreaterThan(3);
  });
});

/** Hourly rows of a CSV through a year, in a format of its own. */
function csvYear(format: (d: Date, c: number, rh: number) => string[], year = 2025): string[][] {
  const rows: string[][] = [];
  for (let ms = Date.UTC(year, 0, 1); ms < Date.UTC(year + 1, 0, 1); ms += 3_600_000) {
    const d = new Date(ms);
    const c = 12 + 8 * Math.sin(ms / 5e9) + 5 * Math.sin((2 * Math.PI * d.getUTCHours()) / 24);
    rows.push(format(d, c, 0.7));
  }
  return rows;
}
function importCsv(head: string[], rows: string[][]) {
  const layout = layoutOf(head, rows.slice(0, 1000));
  const year = new YearCollector();
  rows.forEach((cells, i) => {
    const got = sampleOfRow(cells, i + 2, layout);
    if (typeof got === 'string') year.drop(i + 2, got);
    else if (got) year.add(got);
  });
  return { layout, ...year.finish() };
}
const iso = (d: Date): string => d.toISOString().slice(0, 16).replace('T', ' ');

describe('a CSV file', () => {
  test('with decimal commas, German names and dots in the date is the same year as one in °F with slashes', () => {
    const german = importCsv(
      ['Datum', 'Lufttemperatur [°C]', 'Rel. Feuchte [%]'],
      csvYear((d, c, rh) => {
        const [date, time] = iso(d).split(' ') as [string, string];
        return [`${date.split('-').reverse().join('.')} ${time}`, c.toFixed(1).replace('.', ','), String(rh * 100)];
      }),
    );
    const american = importCsv(
      ['Date', 'Time', 'Temp (F)', 'RH'],
      csvYear((d, c, rh) => [
        `${d.getUTCMonth() + 1}/${d.getUTCDate()}/${d.getUTCFullYear()}`,
        `${d.getUTCHours() % 12 || 12}:00 ${d.getUTCHours() < 12 ? 'AM' : 'PM'}`,
        (Number(c.toFixed(1)) * 1.8 + 32).toFixed(2),
        String(rh * 100),
      ]),
    );
    expect(german.layout).toMatchObject({ unit: 'C', order: 'day-first', asks: [] });
    expect(american.layout).toMatchObject({ unit: 'F', order: 'month-first', asks: [] });
    for (let h = 0; h < YEAR_HOURS; h += 97) {
      expect(american.hours.temperatureC[h]).toBeCloseTo(german.hours.temperatureC[h] as number, 1);
      expect(american.hours.relativeHumidity[h]).toBe(0.7);
    }
  });

  test('over a change of the clock: the hour that is there twice counts once, the one that is not is filled', () => {
    const rows = csvYear((d, c, rh) => [iso(d), c.toFixed(1), String(rh * 100)]);
    const spring = rows.filter(([t]) => t !== '2025-03-30 02:00');
    const autumn = spring.flatMap((r) => (r[0] === '2025-10-26 02:00' ? [r, r] : [r]));
    const { notes } = importCsv(['timestamp', 'temperature °C', 'humidity'], autumn);
    expect([notes.filled, notes.dropped]).toEqual([1, 1]);
    expect(notes.notes.map((n) => n.message).join()).toMatch(/26 Oct 02:00 is given twice.*30 Mar 02:00 \(1 h\)/);
  });

  test('with humidity above 100 %: a little is fog, much is a mistake; each with its row', () => {
    const rows = csvYear((d, c, rh) => [iso(d), c.toFixed(1), String(rh * 100)]);
    (rows[10] as string[])[2] = '103';
    (rows[20] as string[])[2] = '700';
    const { notes, hours } = importCsv(['time', 'temp C', 'rh'], rows);
    expect([notes.corrected, notes.dropped, notes.filled]).toEqual([1, 1, 1]);
    expect(hours.relativeHumidity[10]).toBe(1);
    expect(notes.notes.slice(0, 2).map((n) => n.row)).toEqual([12, 22]);
  });

  test('of three years gives the fullest, and says what it left', () => {
    const rows = [2023, 2024, 2025].flatMap((y) => csvYear((d, c, rh) => [iso(d), c.toFixed(1), String(rh * 100)], y));
    const { notes } = importCsv(['time', 'temp C', 'rh'], rows.slice(100));
    expect(notes.filled).toBe(0);
    expect(notes.notes.map((n) => n.message).join()).toMatch(/8660 hours of 2023 left aside/);
  });

  test.each([
    [['when', 'temp', 'rh'], /time/],
    [['time', 'wind', 'rh'], /temperature/],
    [['time', 'temp', 'wind'], /humidity or the dew point/],
  ])('with the columns %j is refused, and says which it looks for', (head, message) => {
    expect(() => layoutOf(head, [])).toThrow(WeatherRefused);
    expect(() => layoutOf(head, [])).toThrow(message);
  });

  test('asks for what cannot be told: the unit where no name has it, the order of day and month', () => {
    const asked = layoutOf(['time', 'temp', 'rh'], [['03/04/2025 10:00', '20', '60']]);
    expect(asked.asks).toEqual(['unit', 'order']);
    expect(layoutOf(['time', 'temp', 'rh'], [['2025-04-03 10:00', '71', '60']]).unit).toBe('F');
  });
});

test.each([
  ['2026-02-29 10:00', undefined],
  ['31.04.2026 10:00', undefined],
  ['2026-12-31 24:00', { year: 2027, month: 0, day: 1, hour: 0, minute: 0 }],
  ['2026-12-31 24:30', undefined],
  ['20260714T15', { year: 2026, month: 6, day: 14, hour: 15, minute: 0 }],
  ['2026-07-14T15:00:00+02:00', { year: 2026, month: 6, day: 14, hour: 15, minute: 0 }],
  ['yesterday', undefined],
])('the time %p', (text, time) => {
  expect(timeOf(text, 'day-first')).toEqual(time);
});

describe('a forecast', () => {
  const now = Date.UTC(2026, 10, 27, 9);
  const at = (h: number, c = 20): Sample => {
    const d = new Date(now + h * 3_600_000);
    return {
      row: h,
      year: d.getUTCFullYear(),
      month: d.getUTCMonth(),
      day: d.getUTCDate(),
      hour: d.getUTCHours(),
      minute: 0,
      temperatureC: c,
      relativeHumidity: 0.5,
    };
  };

  test('in steps of three hours, out of order, goes in straight lines from the midnight before it', () => {
    const f = forecastOf(
      [at(6, 26), at(0, 20), at(3, 23), ...Array.from({ length: 10 }, (_, i) => at(9 + 3 * i, 26))],
      now,
    );
    expect([f.startMs, f.firstHour]).toEqual([Date.UTC(2026, 10, 27), 9]);
    expect(Array.from(f.hours.temperatureC).slice(8, 16)).toEqual([20, 20, 21, 22, 23, 24, 25, 26]);
  });

  test('that is over, too short, or has a hole is refused in words', () => {
    expect(() => forecastOf([at(-50), at(-30)], now)).toThrow(/past/);
    expect(() => forecastOf([at(0), at(5)], now)).toThrow(/covers 6 h/);
    expect(() => forecastOf([at(0), at(6), at(40)], now)).toThrow(/rows 6 and 40/);
    expect(() => forecastOf([], now)).toThrow(/No row/);
  });
});
