import { end } from '../piping/ends';
import { isFound, ownedOf, type ShelfItem, shelfItemSchema, takenFrom } from './shelf';

const nipple: ShelfItem = {
  ...{ name: 'Hex nipple 1/2 in BSPT', count: 3, place: 'Drawer 4', boughtOn: null, loose: null, for: 'the new drop' },
  end: end('bspt', '1/2', 'male'),
};

it('finds an item by each word, in name, thread, place and use', () => {
  expect(['1/2 bspt', 'DRAWER nipple', 'male', 'drop', ''].map((w) => isFound(nipple, w))).toEqual(Array(5).fill(true));
  expect(['3/4', 'npt', 'nipple 5'].map((w) => isFound(nipple, w))).toEqual([false, false, false]);
});

it('counts what the bill needs by its name, spares with the rest', () => {
  const shelf = [nipple, { name: 'hex nipple 1/2 in bspt ', count: 1 }, { name: 'Float drain', count: 9 }];
  expect(ownedOf({ label: 'Hex nipple 1/2 in BSPT' }, shelf)).toBe(4);
  expect(ownedOf({ label: 'Spare: Float drain' }, shelf)).toBe(9);
  expect(ownedOf({ label: 'Hex nipple 3/8 in BSPT' }, shelf)).toBe(0);
});

it('refuses none, half a piece and an end that is not made', () => {
  const at = (more: object) => shelfItemSchema.safeParse({ name: 'X', count: 1, ...more }).error?.issues[0]?.path;
  expect([at({}), at({ name: ' ' }), at({ count: 0 }), at({ count: 1.5 })]).toEqual([
    undefined,
    ['name'],
    ['count'],
    ['count'],
  ]);
  expect(at({ end: { family: 'npt', size: '5/8', gender: 'male' } })).toEqual(['end', 'size']);
});

it('a thing with a plate is one piece, and is found by its plate', () => {
  const loose = { kind: 'receiver', thing: { serial: 'R-77' } };
  const item = shelfItemSchema.parse({ name: 'Old tank', count: 1, loose });
  expect(isFound(item, 'r-77')).toBe(true);
  expect(shelfItemSchema.safeParse({ name: 'Old tank', count: 2, loose }).error?.issues[0]?.path).toEqual(['count']);
});

it('takes what lies there for the rows that ask for it, each piece once, and nothing for what is ticked', () => {
  const rows = [
    { key: 'a', label: 'Float drain', count: 2 },
    { key: 'b', label: 'Spare: Float drain', count: 2 },
    { key: 'c', label: 'Union', count: 1 },
    { key: 'd', label: 'Tee', count: 1 },
  ];
  const shelf = [
    { name: 'Float drain', count: 2, loose: null },
    { name: 'float drain', count: 1, loose: null },
    { name: 'Tee', count: 5, loose: null },
  ];
  const taken = takenFrom(shelf, rows, { d: { as: 'bought', count: 1 } });
  expect(taken.map(({ key, count }) => [key, count])).toEqual([
    ['a', 2],
    ['b', 1],
  ]);
});
