import fc from 'fast-check';
import { interpolate } from './interpolate';

const XS = [0, 10, 20];
const YS = [1, 2, 6];

test('it goes through its points, straight between them, and on beyond its ends', () => {
  expect([0, 10, 15, 20, 25, -10].map((x) => interpolate(XS, YS, x))).toEqual([1, 2, 4, 6, 8, 0]);
});

test('a table of a rising quantity rises everywhere', () => {
  const at = fc.double({ min: -50, max: 50, noNaN: true });
  fc.assert(
    fc.property(at, at, (a, b) =>
      a < b ? interpolate(XS, YS, a) <= interpolate(XS, YS, b) : interpolate(XS, YS, a) >= interpolate(XS, YS, b),
    ),
  );
});
