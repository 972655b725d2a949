'use client';

import { Download, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { costOfLine } from '@/core/cost/cost-of-line';
import { type Bill, billOf } from '@/core/fitting/bill';
import { AISLES, type Aisle, type BillItem } from '@/core/fitting/bill-rows';
import { ownedOf, takenFrom } from '@/core/fitting/shelf';
import { leftToBuy, spentOf, surplusOf } from '@/core/fitting/ticked';
import { TICKS, type TickName } from '@/core/plan/fit-fields';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import type { OnShelf } from '@/ui/shelf/shelf-view';
import { InUnits } from '@/ui/units/in-units';
import { Plain, useUnits } from '@/ui/units/units';
import { useTicks } from '../use-ticks';
import { BillAisle } from './bill-aisle';
import { saveBill } from './save-bill';
import { STATES } from './states';
import { useShelf } from './use-shelf';

/** Everything that the line is built of, by shop aisle, with what is bought, on the shelf or fitted. */
export function PartsView({
  shelf,
  sites,
}: {
  shelf: readonly OnShelf[];
  /** On whose shelves one may put something, that of the line first. */
  sites: readonly { readonly id: string }[];
}) {
  const { plan, section, edit } = usePlan();
  const { say } = useUnits();
  const bill = useMemo(() => billOf(plan, section), [plan, section]);
  const { ticks, tick } = useTicks();
  const { problem, take, put } = useShelf(shelf, sites[0]?.id);
  const [only, setOnly] = useState(false);
  const [pricing, setPricing] = useState(false);
  const { currency } = plan.money;
  const shown = bill.items.filter((i) => !only || leftToBuy(i, ticks) > 0);
  const surplus = surplusOf(bill.items, ticks);

  /** What comes from the shelf is taken down there first, and put back there when it is something else after all. */
  const mark = async (item: BillItem, as: TickName | undefined): Promise<void> => {
    const was = ticks[item.key];
    if (was?.as === 'shelf' && as !== 'fitted' && !(await put(item.label, was.count))) return;
    const owned = ownedOf(item, shelf);
    const count = as === 'shelf' && owned > 0 ? await take(item.label, Math.min(owned, item.count)) : item.count;
    if (count > 0) tick([{ ...item, count }], as);
  };
  const lies = takenFrom(shelf, bill.items, ticks);
  const takeAll = async (): Promise<void> => {
    const gone = new Map<string, number>();
    const taken: BillItem[] = [];
    for (const row of lies) {
      const count = await take(row.label, row.count, gone);
      if (count > 0) taken.push({ ...row, count });
      if (count < row.count) break;
    }
    if (taken.length > 0) tick(taken, 'shelf');
  };
  const price = (key: string, own: number | undefined): void =>
    edit((p) => {
      const { [key]: _, ...rest } = p.fitting.prices;
      return { ...p, fitting: { ...p.fitting, prices: own === undefined ? rest : { ...rest, [key]: own } } };
    });
  return (
    <div className="grid max-w-5xl gap-4">
      <Sums bill={bill} onShelf={lies.reduce((sum, i) => sum + i.price * i.count, 0)} />
      {problem && (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      )}
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="flex min-h-9 items-center gap-2">
          <input type="checkbox" className="size-5" checked={only} onChange={(e) => setOnly(e.target.checked)} />
          Only what is still to buy
        </label>
        <label className="mr-auto flex min-h-9 items-center gap-2">
          <input type="checkbox" className="size-5" checked={pricing} onChange={(e) => setPricing(e.target.checked)} />
          Type prices
        </label>
        {lies.length > 0 && (
          <button type="button" className="button" onClick={() => void takeAll()}>
            Take all that lies on the shelf
          </button>
        )}
        <button type="button" className="button" onClick={() => tick(bill.items, 'fitted')}>
          All of this is fitted
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
        <button type="button" className="button" onClick={() => saveBill(bill, ticks, lies, plan.name, currency)}>
          <Download size={15} aria-hidden /> CSV
        </button>
      </div>
      {surplus.length > 0 && (
        <section aria-label="No more needed" className="rounded-md border border-hairline bg-card px-3 py-2">
          <h2>No more needed since the line was changed</h2>
          <ul>
            {surplus.map(({ key, label, over, needed, as }) => (
              <li key={key} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
                <span className="min-w-0 flex-1">
                  {over} × <InUnits text={label} /> <span className="text-quiet">{STATES[as]}</span>
                </span>
                <button
                  type="button"
                  className="button no-print"
                  onClick={async () => {
                    if (await put(label, over)) tick([{ key, count: needed, label }], needed > 0 ? as : undefined);
                  }}
                >
                  Put on the shelf
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {Object.entries(AISLES).map(([aisle, name]) => (
        <BillAisle
          key={aisle}
          name={name}
          items={shown.filter((i) => i.aisle === (aisle as Aisle))}
          {...{ ticks, currency, shelf }}
          onMark={(item, as) => void mark(item, as)}
          onPrice={pricing ? price : undefined}
          cuts={(item) => cutsInWords(item, (m) => say(m, 'length'))}
        />
      ))}
      {shown.length === 0 && <p className="text-quiet">Nothing is left to buy.</p>}
    </div>
  );
}

/** What the build costs: still to buy, by what is ticked, and what the line costs in a year after it. */
function Sums({ bill, onShelf }: { bill: Bill; onShelf: number }) {
  const { plan, planId, section } = usePlan();
  const { ticks } = plan.fitting;
  const { currency } = plan.money;
  const { yearly } = useMemo(() => costOfLine(plan, plan.money, section), [plan, section]);
  const spent = spentOf(bill, ticks);
  const left = bill.items.filter((i) => leftToBuy(i, ticks) > 0).length;
  return (
    <section aria-label="Sum" className="grid gap-1">
      <p className="text-[1.6rem] font-bold leading-tight">
        {currency} <Plain value={bill.toBuy - onShelf} decimals={0} />{' '}
        <span className="text-[1.05rem] font-normal text-quiet">
          still to buy, of {currency} <Plain value={bill.total} decimals={0} />
          {onShelf > 0 && (
            <>
              {' '}
              · <Plain value={onShelf} decimals={0} /> on the shelf already
            </>
          )}
        </span>
      </p>
      <p className="text-quiet">
        {TICKS.filter((as) => spent[as] > 0).map((as) => (
          <span key={as}>
            {STATES[as]} <Plain value={spent[as]} decimals={0} /> ·{' '}
          </span>
        ))}
        {left} of {bill.items.length} rows open
        {bill.items.some((i) => !i.own) && ' · prices are placeholders: they tell small from large'}
      </p>
      <p className="text-quiet">
        Then {currency} <Plain value={yearly} decimals={0} /> a year to run and keep.{' '}
        <Link href={`/lines/${planId}/compare`} className="underline underline-offset-4">
          Against its revisions
        </Link>
      </p>
      {bill.open.length > 0 && (
        <p className="text-brick">
          ▲ {bill.open.length} joints have no parts yet: see Joints. They are not in this bill.
        </p>
      )}
    </section>
  );
}

/** Stock lengths and what is cut from each. */
function cutsInWords({ stockM, cutsM }: BillItem, say: (m: number) => string): string | undefined {
  if (stockM === undefined || !cutsM) return undefined;
  return `lengths of ${say(stockM)}: ${cutsM.map((bar) => bar.map(say).join(' + ')).join(' | ')}`;
}
