import { leftToBuy, spentOf, surplusOf } from './ticked';

const row = { key: 'fittings:union', label: 'Union', count: 6, price: 2 };

it('leaves nothing to buy of what is bought, waited for, on hand or fitted; what was returned is open again', () => {
  const left = (as: 'bought' | 'waiting' | 'shelf' | 'fitted' | 'returned', count: number) =>
    leftToBuy(row, { [row.key]: { as, count } });
  expect((['bought', 'waiting', 'shelf', 'fitted'] as const).map((as) => left(as, 6))).toEqual([0, 0, 0, 0]);
  expect([left('bought', 5), left('bought', 7), left('returned', 6)]).toEqual([1, 0, 6]);
});

it('counts what was spent by state, of no row more than the line needs', () => {
  const spent = (count: number) => spentOf({ items: [row] }, { [row.key]: { as: 'waiting', count } });
  expect(spent(4)).toEqual({ bought: 0, waiting: 8, returned: 0, shelf: 0, fitted: 0 });
  expect(spent(9).waiting).toBe(12);
});

it('names what a change of the line leaves over, also of rows that are gone; not what is still to come', () => {
  const ticks = {
    [row.key]: { as: 'bought', count: 8 },
    'fittings:tee': { as: 'fitted', count: 1, label: 'Tee' },
    'fittings:elbow': { as: 'waiting', count: 2, label: 'Elbow' },
    'step:join a': { as: 'fitted', count: 1 },
  } as const;
  expect(surplusOf([row], ticks)).toEqual([
    { key: row.key, label: 'Union', over: 2, needed: 6, as: 'bought' },
    { key: 'fittings:tee', label: 'Tee', over: 1, needed: 0, as: 'fitted' },
  ]);
});
