import { type Fitting, TICKS, type TickName } from '../plan/fit-fields';
import { type BillItem, cents } from './bill-rows';

/** Whether what is ticked as this needs not be bought. */
const HAD: Readonly<Record<TickName, boolean>> = {
  bought: true,
  waiting: true,
  shelf: true,
  fitted: true,
  returned: false,
};

/**
 * How many of a row are still to be bought, by what is ticked; what was returned to the shop is.
 * @example leftToBuy({ key: 'a', count: 6 }, { a: { as: 'shelf', count: 4 } }) // 2
 */
export function leftToBuy({ key, count }: Pick<BillItem, 'key' | 'count'>, ticks: Fitting['ticks']): number {
  const tick = ticks[key];
  return Math.max(0, count - (tick && HAD[tick.as] ? tick.count : 0));
}

/**
 * What the rows that are ticked cost, by what they are ticked as.
 * @returns in the currency of the line
 * @example spentOf({ items: [{ key: 'a', count: 6, price: 2 }] }, { a: { as: 'bought', count: 4 } }).bought // 8
 */
export function spentOf(
  { items }: { readonly items: readonly Pick<BillItem, 'key' | 'count' | 'price'>[] },
  ticks: Fitting['ticks'],
): Record<TickName, number> {
  const as = (name: TickName): number =>
    cents(
      items.reduce((sum, { key, count, price }) => {
        const tick = ticks[key];
        return sum + (tick?.as === name ? Math.min(tick.count, count) * price : 0);
      }, 0),
    );
  return Object.fromEntries(TICKS.map((name) => [name, as(name)])) as Record<TickName, number>;
}

/** A row that is ticked for more than the line needs now. */
export interface Surplus {
  readonly key: string;
  readonly label: string;
  /** How many are over, and how many of the row are needed. */
  readonly over: number;
  readonly needed: number;
  readonly as: TickName;
}

/**
 * What is bought, on hand or fitted, and no more needed after a change of the line: it can go back on the shelf.
 * @returns nothing of rows whose name nobody wrote down, nor of steps of the assembly
 * @example surplusOf([], { a: { as: 'bought', count: 4, label: 'Union' } })[0].over // 4
 */
export function surplusOf(
  items: readonly Pick<BillItem, 'key' | 'count' | 'label'>[],
  ticks: Fitting['ticks'],
): Surplus[] {
  return Object.entries(ticks).flatMap(([key, { as, count, label }]) => {
    const row = items.find((i) => i.key === key);
    const [name, needed] = [row?.label ?? label, row?.count ?? 0];
    return name !== undefined && count > needed && HAD[as] && as !== 'waiting'
      ? [{ key, label: name, over: count - needed, needed, as }]
      : [];
  });
}
