import type { Bill } from '@/core/fitting/bill';
import { AISLES, type BillItem } from '@/core/fitting/bill-rows';
import { leftToBuy } from '@/core/fitting/ticked';
import type { Fitting } from '@/core/plan/fit-fields';
import { saveCsv } from '@/ui/water/data-table';

/**
 * The bill as CSV, for a shop or a spreadsheet; lengths in metres, as their braces say them.
 * @param lies what of it lies on the shelf: it need not be bought
 */
export function saveBill(
  { items }: Bill,
  ticks: Fitting['ticks'],
  lies: readonly Pick<BillItem, 'key' | 'count'>[],
  line: string,
  currency: string,
): void {
  const onShelf = new Map(lies.map((i) => [i.key, i.count]));
  saveCsv({
    name: line,
    columns: ['aisle', 'count', 'part', 'where', `price of one, ${currency}`, `price, ${currency}`, 'to buy'],
    rows: items.map((i) => [
      AISLES[i.aisle],
      i.count,
      i.label.replaceAll(/[{}]/g, ''),
      i.where.join('; '),
      i.price,
      Math.round(i.price * i.count * 100) / 100,
      leftToBuy(i, ticks) - (onShelf.get(i.key) ?? 0),
    ]),
  });
}
