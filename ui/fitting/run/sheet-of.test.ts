import fc from 'fast-check';
import { apart } from './sheet-of';

const px = fc.double({ min: 0, max: 300, noNaN: true });

it('leaves marks that are apart where they are, and puts none over another', () => {
  expect(
    apart([
      [0, 0],
      [24, 0],
    ]),
  ).toEqual([
    [0, 0],
    [24, 0],
  ]);
  fc.assert(
    fc.property(fc.array(fc.tuple(px, px), { maxLength: 40 }), (places) => {
      const shown = apart(places);
      shown.forEach(([x, y], i) => {
        for (const [a, b] of shown.slice(0, i)) expect(Math.hypot(x - a, y - b)).toBeGreaterThan(22);
      });
    }),
  );
});
