import { walk } from '@/core/line/walk';
import { damp, GOOD, yard } from '@/core/test/good-lines';
import { LedgerBars, whereItChanges } from './ledger-bars';
import { type Row, rowsFor } from './rows';

const LINES = { shop: GOOD.goodShop(), plant: GOOD.goodPlant(), yard: yard(), damp: damp() };
const gramsPerHour = (kgPerS: number): number => kgPerS * 3.6e6;
const rowsOf = (name: keyof typeof LINES, room: number): readonly Row[] =>
  rowsFor(LINES[name], walk(LINES[name]), room);

describe.each(Object.keys(LINES) as (keyof typeof LINES)[])('%s', (name) => {
  test.each([400, 1200])('bars stand within their columns, and on the scale, in %d px', (room) => {
    for (const row of rowsOf(name, room)) {
      const bars = new LedgerBars(row, gramsPerHour);
      for (const { station: s, centre, left, width } of row.reached) {
        expect(bars.leftOf(s, centre)).toBeGreaterThanOrEqual(left);
        expect((s.caughtKgPerS > 0 ? centre + 1 : bars.leftOf(s, centre)) + bars.width).toBeLessThanOrEqual(
          left + width,
        );
        for (const kgPerS of [s.vapourKgPerS + s.liquidKgPerS, s.caughtKgPerS]) {
          expect(bars.at(kgPerS)).toBeLessThanOrEqual(bars.at(0));
          expect(bars.at(kgPerS)).toBeGreaterThanOrEqual(18 - 1e-9);
        }
      }
      expect(bars.at(bars.mostKgPerS)).toBeLessThan(bars.at(0));
    }
  });

  test('a figure is written where it is another than the last, and always at the first', () => {
    for (const row of rowsOf(name, 1200)) {
      const written = whereItChanges(row, 1e-6, (s) => s.vapourKgPerS);
      let last: number | undefined;
      for (const { stage, station } of row.reached) {
        const differs = last === undefined || Math.abs(station.vapourKgPerS - last) >= 1e-6;
        expect(written.has(stage.id)).toBe(differs);
        if (differs) last = station.vapourKgPerS;
      }
    }
  });
});

test('a figure stands inside a bar that is taller than 17 px, and in one that is wider than its digits of 7 px', () => {
  const [row] = rowsOf('shop', 1200) as [Row];
  const bars = new LedgerBars(row, gramsPerHour);
  const pixels = (px: number): number => (px * bars.mostKgPerS) / (bars.at(0) - bars.at(bars.mostKgPerS));
  expect([bars.isTall(pixels(16.9)), bars.isTall(pixels(17.1))]).toEqual([false, true]);
  const digits = (bars.width - 0.1) / 7;
  expect([bars.fits('1'.repeat(Math.floor(digits))), bars.fits('1'.repeat(Math.ceil(digits) + 1))]).toEqual([
    true,
    false,
  ]);
});

test('one path draws each bar that has a height, and none that has not', () => {
  const [row] = rowsOf('shop', 1200) as [Row];
  const bars = new LedgerBars(row, gramsPerHour);
  const caught = bars.path((s, centre) => ({ x: centre, from: bars.at(0), to: bars.at(s.caughtKgPerS) }));
  expect(caught.match(/M/g)).toHaveLength(row.reached.filter((c) => c.station.caughtKgPerS > 0).length);
});
