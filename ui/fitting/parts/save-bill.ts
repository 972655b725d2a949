import type { Bill } from '@/core/fitting/bill';
import { AISLES } from '@/core/fitting/bill-rows';
import { leftToBuy } from '@/core/fitting/ticked';
import type { Fitting } from '@/core/plan/fit-fields';
import { saveCsv } from '@/ui/water/data-table';

/** The bill as CSV, for a shop or a spreadsheet; lengths in metres, as their braces say them. */
export function saveBill({ items }: Bill, ticks: Fitting['ticks'], line: string, currency: string): void {
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
      leftToBuy(i, ticks),
    ]),
  });
}
