import { DAY_MS } from '../../core/quantity/constants';
import { KEPT, keptOf, madeAt, nameOfBackup, notKept } from './series';

const from = Date.UTC(2026, 0, 1, 3);

test('a backup a day for two years: seven days, four weeks and twelve months of them stay', () => {
  let files: string[] = ['notes.txt', 'before-0003_weather.tar.gz'];
  for (let day = 0; day < 730; day++) {
    files.push(nameOfBackup(new Date(from + day * DAY_MS)));
    const spare = notKept(files, KEPT);
    files = files.filter((f) => !spare.includes(f));
  }
  const days = files.flatMap((f) => madeAt(f)?.toISOString().slice(0, 10) ?? []).toSorted();
  // The last is 31 December 2027, a Friday: seven days, the Sundays of two weeks before them, the ends of eleven months.
  expect(days.slice(-7)).toEqual([25, 26, 27, 28, 29, 30, 31].map((d) => `2027-12-${d}`));
  expect(days).toEqual(expect.arrayContaining(['2027-12-19', '2027-12-12', '2027-11-30', '2027-02-28', '2027-01-31']));
  expect(days).toHaveLength(7 + 2 + 11);
  expect(files.slice(0, 2)).toEqual(['notes.txt', 'before-0003_weather.tar.gz']); // what is not of the series is left alone
});

test('how much is kept is three numbers', () => {
  expect(keptOf('14,8,24')).toEqual({ days: 14, weeks: 8, months: 24 });
  for (const wrong of ['', '7', '7,4', '0,4,12', '-1,4,12', '7,4,12,1', 'x'])
    expect(() => keptOf(wrong)).toThrow(/7,4,12/);
});
