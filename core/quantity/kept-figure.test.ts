import fc from 'fast-check';
import { keepFigure, sayKept } from './kept-figure';
import { QUANTITIES, type QuantityName } from './units';

const names = Object.keys(QUANTITIES) as QuantityName[];

test('a figure is said as it was kept, wherever it stands (round trip)', () => {
  fc.assert(
    fc.property(
      fc.double({ noNaN: true, noDefaultInfinity: true }),
      fc.constantFrom(...names),
      fc.string(),
      (si, quantity, before) => {
        const said: [number, QuantityName][] = [];
        sayKept(`${before} ${keepFigure(si, quantity)}.`, (value, of) => {
          said.push([value, of]);
          return '';
        });
        expect(said.at(-1)).toEqual([si === 0 ? 0 : si, quantity]);
      },
    ),
  );
});

test('what is no figure is said as it stands', () => {
  for (const text of ['[[1 nothing]]', '[[x pressure]]', '[[1e999 pressure]]', '[[1 toString]]', '[[]]', 'plain'])
    expect(sayKept(text, () => 'figure')).toBe(text);
});
