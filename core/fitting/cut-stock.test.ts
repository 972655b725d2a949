import fc from 'fast-check';
import { cutStock, EXACT_UP_TO } from './cut-stock';

/** Fewest bars by trying every partition. */
function fewest(cuts: number[], stock: number): number {
  let best = cuts.length;
  const go = (i: number, bars: number[]): void => {
    if (bars.length >= best) return;
    const cut = cuts[i];
    if (cut === undefined) {
      best = bars.length;
      return;
    }
    for (let b = 0; b < bars.length; b++)
      if ((bars[b] as number) + cut + 0.003 <= stock + 1e-9) go(i + 1, bars.with(b, (bars[b] as number) + cut + 0.003));
    go(i + 1, [...bars, cut]);
  };
  go(0, []);
  return best;
}

describe('stock lengths', () => {
  // By hand: longest first puts 4, 3 | 3, 2 | 2, 2 … into six-metre bars where 4+2 | 4+2 | 3+3 leaves nothing.
  it('finds the arrangement that longest first misses', () => {
    expect(cutStock([3.9, 2.95, 2.95, 2, 2, 1.9, 1.9], 6).length).toBe(3);
  });

  it('takes a bar for a cut of its length, and two for a little more', () => {
    expect(cutStock([6], 6)).toEqual([{ cutsM: [6], leftM: 0 }]);
    expect(cutStock([6.1], 6).length).toBe(2);
    expect(cutStock([], 6)).toEqual([]);
  });

  it('is the fewest for a shop, and every cut is there and fits', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 59 }), { minLength: 1, maxLength: 7 }), (tenths) => {
        const cuts = tenths.map((t) => t / 10);
        const bars = cutStock(cuts, 6);
        expect(bars.length).toBe(fewest(cuts, 6));
        expect(bars.flatMap((b) => b.cutsM).sort((a, b) => a - b)).toEqual(
          [...cuts].sort((a, b) => a - b).map((m) => expect.closeTo(m, 9)),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('packs a plant too: never less than the metres, never twice as many', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 170 }), { minLength: EXACT_UP_TO + 1, maxLength: 80 }),
        (tenths) => {
          const cuts = tenths.map((t) => t / 10);
          const metres = cuts.reduce((a, b) => a + b, 0);
          const bars = cutStock(cuts, 6);
          expect(bars.length).toBeGreaterThanOrEqual(metres / 6 - 1e-6);
          expect(bars.length).toBeLessThanOrEqual((2 * metres) / 6 + 1);
          for (const b of bars) expect(b.cutsM.reduce((x, y) => x + y, 0)).toBeLessThanOrEqual(6 + 1e-9);
        },
      ),
      { numRuns: 40 },
    );
  });
});
