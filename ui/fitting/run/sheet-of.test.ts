import fc from 'fast-check';
import { apart, besides } from './sheet-of';

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

it('stands an elevation beside its point, and elsewhere where a mark or another elevation is', () => {
  const first = besides([[100, 100]], [[100, 100]])[0];
  expect(first).toEqual([138, 117]);
  expect(besides([[100, 100]], [first ?? [0, 0]])).toEqual([[138, 83]]);
  expect(
    besides(
      [
        [100, 100],
        [101, 100],
      ],
      [],
    )[1],
  ).toEqual([139, 83]);
});
