import type { BillItem } from '@/core/fitting/bill-rows';
import { ownedOf } from '@/core/fitting/shelf';
import { leftToBuy } from '@/core/fitting/ticked';
import type { Fitting, TickName } from '@/core/plan/fit-fields';
import type { OnShelf } from '@/ui/shelf/shelf-view';
import { InUnits } from '@/ui/units/in-units';
import { Plain } from '@/ui/units/units';
import { OwnPrice } from './own-price';
import { STATES } from './states';

/** The rows of an aisle: how many of what, where they go, what they cost, and what has become of them. */
export function BillAisle({
  name,
  items,
  ticks,
  currency,
  shelf,
  cuts,
  onMark,
  onPrice,
}: {
  name: string;
  items: readonly BillItem[];
  ticks: Fitting['ticks'];
  currency: string;
  shelf: readonly OnShelf[];
  cuts: (item: BillItem) => string | undefined;
  onMark: (item: BillItem, as: TickName | undefined) => void;
  /** Takes a price of one’s own; nothing where prices are only read. */
  onPrice: ((key: string, own: number | undefined) => void) | undefined;
}) {
  if (items.length === 0) return null;
  const sum = items.reduce((total, i) => total + i.price * i.count, 0);
  return (
    <section aria-label={name} className="break-inside-avoid">
      <h2 className="flex border-b border-ink pb-1">
        {name}
        {sum > 0 && (
          <span className="ml-auto font-normal text-quiet">
            {currency} <Plain value={sum} decimals={0} />
          </span>
        )}
      </h2>
      <ul>
        {items.map((item) => {
          const state = ticks[item.key]?.as;
          const left = leftToBuy(item, ticks);
          const owned = ownedOf(item, shelf);
          const cut = cuts(item);
          const label = item.label.replaceAll(/[{}]/g, '');
          return (
            <li
              key={item.key}
              className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-2 sm:flex-nowrap"
            >
              <span className="w-10 shrink-0 text-right font-semibold">{item.count} ×</span>
              <span className={`min-w-0 flex-1 ${left === 0 ? 'text-quiet' : ''}`}>
                <span className="block">
                  <InUnits text={item.label} />
                </span>
                <span className="block text-[0.82rem] text-quiet">
                  {state && state !== 'returned' && left > 0 && (
                    <span className="text-amber">
                      {item.count - left} {STATES[state]}, {left} more to buy ·{' '}
                    </span>
                  )}
                  {left > 0 && owned > 0 && <span className="text-water">▲ {owned} already on the shelf · </span>}
                  {(item.where.length > 1 || !item.label.startsWith(item.where[0] ?? '')) &&
                    item.where.slice(0, 4).join(' · ')}
                  {item.where.length > 4 && ` · and ${item.where.length - 4} more`}
                  {cut && ` · ${cut}`}
                </span>
              </span>
              {onPrice ? (
                <OwnPrice label={label} item={item} onPrice={(own) => onPrice(item.key, own)} />
              ) : (
                <span className="shrink-0 text-right text-[0.9rem] text-quiet sm:w-24">
                  {item.price > 0 && <Plain value={item.price * item.count} decimals={item.price < 20 ? 2 : 0} />}
                </span>
              )}
              <select
                className="control no-print w-36 shrink-0 max-sm:ml-auto max-sm:min-h-12"
                aria-label={`State of ${label}`}
                value={state ?? 'open'}
                onChange={(e) => onMark(item, e.target.value === 'open' ? undefined : (e.target.value as TickName))}
              >
                {Object.entries(STATES).map(([value, text]) => (
                  <option key={value} value={value}>
                    {text}
                  </option>
                ))}
              </select>
              <span className="hidden w-28 print:block">{left === 0 && state ? STATES[state] : '☐'}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
