'use client';

import { Download, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { AISLES, type Aisle, type BillItem, billOf, leftToBuy } from '@/core/fitting/bill';
import { ownedOf } from '@/core/fitting/shelf';
import type { Fitting, TickName } from '@/core/plan/fit-fields';
import { usePlan } from '@/ui/plan/plan-provider';
import type { OnShelf } from '@/ui/shelf/shelf-view';
import { InUnits } from '@/ui/units/in-units';
import { Plain, useUnits } from '@/ui/units/units';
import { useTicks } from '../use-ticks';
import { saveBill } from './save-bill';

const SAYS: Readonly<Record<TickName | 'open', string>> = {
  open: 'to buy',
  bought: 'bought',
  shelf: 'on the shelf',
  fitted: 'fitted',
};

/** Everything that the line is built of, by shop aisle, with what is bought, on the shelf or fitted. */
export function PartsView({ shelf }: { shelf: readonly OnShelf[] }) {
  const { plan, section } = usePlan();
  const { say } = useUnits();
  const bill = useMemo(() => billOf(plan, section), [plan, section]);
  const { ticks, tick } = useTicks();
  const [only, setOnly] = useState(false);
  const { currency } = plan.money;
  const shown = bill.items.filter((i) => !only || leftToBuy(i, ticks) > 0);
  const left = bill.items.filter((i) => leftToBuy(i, ticks) > 0).length;
  const placeholders = bill.items.some((i) => !i.own);
  return (
    <div className="grid max-w-5xl gap-4">
      <section aria-label="Sum" className="flex flex-wrap items-end gap-x-8 gap-y-2">
        <p className="text-[1.6rem] font-bold leading-tight">
          {currency} <Plain value={bill.toBuy} decimals={0} />{' '}
          <span className="text-[1.05rem] font-normal text-quiet">
            still to buy, of {currency} <Plain value={bill.total} decimals={0} />
          </span>
        </p>
        <p className="text-quiet">
          {left} of {bill.items.length} rows open
          {placeholders && ' · prices are placeholders: they tell small from large'}
        </p>
        {bill.open.length > 0 && (
          <p className="text-brick">
            ▲ {bill.open.length} joints have no parts yet: see Joints. They are not in this bill.
          </p>
        )}
      </section>
      <div className="no-print flex flex-wrap items-center gap-2">
        <label className="mr-auto flex min-h-9 items-center gap-2">
          <input type="checkbox" className="size-5" checked={only} onChange={(e) => setOnly(e.target.checked)} />
          Only what is still to buy
        </label>
        <button type="button" className="button" onClick={() => tick(bill.items, 'fitted')}>
          All of this is fitted
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
        <button type="button" className="button" onClick={() => saveBill(bill, ticks, plan.name, currency)}>
          <Download size={15} aria-hidden /> CSV
        </button>
      </div>
      {Object.entries(AISLES).map(([aisle, name]) => (
        <AisleOf
          key={aisle}
          name={name}
          items={shown.filter((i) => i.aisle === (aisle as Aisle))}
          {...{ ticks, tick, currency, shelf }}
          cuts={(item) => cutsInWords(item, (m) => say(m, 'length'))}
        />
      ))}
      {shown.length === 0 && <p className="text-quiet">Nothing is left to buy.</p>}
    </div>
  );
}

/** Stock lengths and what is cut from each. */
function cutsInWords({ stockM, cutsM }: BillItem, say: (m: number) => string): string | undefined {
  if (stockM === undefined || !cutsM) return undefined;
  return `lengths of ${say(stockM)}: ${cutsM.map((bar) => bar.map(say).join(' + ')).join(' | ')}`;
}

function AisleOf({
  name,
  items,
  ticks,
  tick,
  currency,
  shelf,
  cuts,
}: {
  name: string;
  items: readonly BillItem[];
  ticks: Fitting['ticks'];
  tick: (rows: readonly BillItem[], as: TickName | undefined) => void;
  currency: string;
  shelf: readonly OnShelf[];
  cuts: (item: BillItem) => string | undefined;
}) {
  if (items.length === 0) return null;
  const sum = items.reduce((total, i) => total + i.price * i.count, 0);
  return (
    <section aria-label={name} className="break-inside-avoid">
      <h2 className="flex border-b border-ink pb-1">
        {name}
        <span className="ml-auto font-normal text-quiet">
          {currency} <Plain value={sum} decimals={0} />
        </span>
      </h2>
      <ul>
        {items.map((item) => {
          const state = ticks[item.key]?.as;
          const left = leftToBuy(item, ticks);
          const owned = ownedOf(item, shelf);
          const cut = cuts(item);
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
                  {state && left > 0 && (
                    <span className="text-amber">
                      {item.count - left} {SAYS[state]}, {left} more to buy ·{' '}
                    </span>
                  )}
                  {left > 0 && owned > 0 && state !== 'shelf' && (
                    <span className="text-water">▲ {owned} already on the shelf · </span>
                  )}
                  {(item.where.length > 1 || !item.label.startsWith(item.where[0] ?? '')) &&
                    item.where.slice(0, 4).join(' · ')}
                  {item.where.length > 4 && ` · and ${item.where.length - 4} more`}
                  {cut && ` · ${cut}`}
                </span>
              </span>
              <span className="shrink-0 text-right text-[0.9rem] text-quiet sm:w-24">
                <Plain value={item.price * item.count} decimals={item.price < 20 ? 2 : 0} />
              </span>
              <select
                className="control no-print w-32 shrink-0 max-sm:ml-auto max-sm:min-h-12"
                aria-label={`State of ${item.label.replaceAll(/[{}]/g, '')}`}
                value={state ?? 'open'}
                onChange={(e) => {
                  const as = e.target.value === 'open' ? undefined : (e.target.value as TickName);
                  // From the shelf no more than lies there, where it is known.
                  const count = as === 'shelf' && owned > 0 ? Math.min(owned, item.count) : item.count;
                  tick([{ ...item, count }], as);
                }}
              >
                {Object.entries(SAYS).map(([value, text]) => (
                  <option key={value} value={value}>
                    {text}
                  </option>
                ))}
              </select>
              <span className="hidden w-28 print:block">{left === 0 && state ? SAYS[state] : '☐'}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
