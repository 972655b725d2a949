'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import { type KindName, kindOf } from '@/core/equipment/index';
import { MOST_A_KWH, MOST_AN_HOUR, type Money, moneySchema, PLACEHOLDERS, priceOf } from '@/core/plan/money';
import { allStages } from '@/core/plan/runs';
import { parseNumber } from '@/core/quantity/parse';
import { Field, tied } from '@/ui/forms/field';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

/** The person’s own figures: tariff, years, prices, and what dry air is worth to them. */
export function MoneyForm() {
  const { plan, edit } = usePlan();
  const { money } = plan;
  /** The message with which an edit is refused; a refused edit changes nothing. */
  const set = (change: Partial<Money>, key: string): string | undefined => {
    const result = moneySchema.safeParse({ ...money, ...change });
    if (!result.success) return result.error.issues[0]?.message;
    edit((p) => ({ ...p, money: { ...p.money, ...change } }), `money.${key}`);
    return undefined;
  };
  const kinds = [...new Set(allStages(plan).map((s) => s.kind))].filter((k) => k in PLACEHOLDERS);
  const setPrice = (kind: KindName, change: Partial<{ first: number; yearly: number }>): string | undefined =>
    set({ prices: { ...money.prices, [kind]: { ...priceOf(money, kind).price, ...change } } }, `${kind}`);
  const setWorth = (i: number, change: Partial<Money['worth'][number]>): string | undefined =>
    set({ worth: money.worth.map((w, n) => (n === i ? { ...w, ...change } : w)) }, `worth.${i}`);
  return (
    <details className="border-t border-hairline pt-3">
      <summary className="min-h-target cursor-pointer font-semibold">
        Your own figures{' '}
        <span className="font-normal text-quiet">· tariff, prices, and what dry air is worth to you</span>
      </summary>
      <div className="mt-3 grid gap-5">
        <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-4">
          <Typed
            id="currency"
            label="Currency"
            value={money.currency}
            onCommit={(currency) => set({ currency }, 'currency')}
          />
          <Amount id="years" label="Years" value={money.years} onCommit={(years) => set({ years }, 'years')} />
          <Amount
            id="tariff"
            label={`A kWh, ${money.currency}`}
            value={money.perKWh}
            most={MOST_A_KWH}
            onCommit={(perKWh) => set({ perKWh }, 'kwh')}
          />
          <Amount
            id="hour"
            label={`An hour of work, ${money.currency}`}
            value={money.perHour}
            most={MOST_AN_HOUR}
            onCommit={(perHour) => set({ perHour }, 'hour')}
          />
        </div>
        <fieldset>
          <legend className="font-semibold">Prices of what stands in the line</legend>
          <ul className="mt-1 grid gap-x-8 lg:grid-cols-2">
            {kinds.map((kind) => (
              <PriceRow key={kind} kind={kind} money={money} onPrice={(change) => setPrice(kind, change)} />
            ))}
          </ul>
        </fieldset>
        <fieldset className="grid gap-2">
          <legend className="font-semibold">What dry air is worth to this shop, a year</legend>
          <p className="max-w-prose text-[0.88rem] text-quiet">
            Fewer rejects, longer life of consumables, paint that dries sooner. Mark what somebody claims and you have
            not seen yet.
          </p>
          {money.worth.map((w, i) => (
            <WorthRow
              // biome-ignore lint/suspicious/noArrayIndexKey: they have no other name
              key={i}
              id={`worth-${i}`}
              worth={w}
              currency={money.currency}
              onWorth={(change) => setWorth(i, change)}
              onRemove={() => set({ worth: money.worth.filter((_, n) => n !== i) }, 'worth')}
            />
          ))}
          {money.worth.length < 8 && (
            <div>
              <button
                type="button"
                className="button"
                onClick={() =>
                  set({ worth: [...money.worth, { what: 'Fewer rejects', yearly: 0, claim: true }] }, 'worth')
                }
              >
                <Plus size={15} aria-hidden /> Add what it is worth
              </button>
            </div>
          )}
        </fieldset>
      </div>
    </details>
  );
}

/** What a kind costs, a placeholder until the person has a price. */
function PriceRow({
  kind,
  money,
  onPrice,
}: {
  kind: KindName;
  money: Money;
  onPrice: (change: Partial<{ first: number; yearly: number }>) => string | undefined;
}) {
  const { price, own } = priceOf(money, kind);
  return (
    <li className="grid grid-cols-[1fr_8rem_8rem] items-start gap-3 border-t border-hairline py-2">
      <span className="pt-1">
        {kindOf(kind).label}
        <span className={`block text-[0.85rem] ${own ? 'text-water' : 'text-amber'}`}>
          {own ? 'your own' : '◆ placeholder, usual size'}
        </span>
      </span>
      <Amount id={`${kind}-first`} label="To buy" value={price.first} onCommit={(first) => onPrice({ first })} />
      <Amount id={`${kind}-yearly`} label="A year" value={price.yearly} onCommit={(yearly) => onPrice({ yearly })} />
    </li>
  );
}

/** One thing that dry air is worth, seen or claimed. */
function WorthRow({
  id,
  worth: w,
  currency,
  onWorth,
  onRemove,
}: {
  id: string;
  worth: Money['worth'][number];
  currency: string;
  onWorth: (change: Partial<Money['worth'][number]>) => string | undefined;
  onRemove: () => void;
}) {
  return (
    <div className="grid grid-cols-[1fr_8rem] items-end gap-3 sm:grid-cols-[1fr_8rem_auto_auto]">
      <Typed id={id} label="What" value={w.what} onCommit={(what) => onWorth({ what })} />
      <Amount
        id={`${id}-yearly`}
        label={`A year, ${currency}`}
        value={w.yearly}
        onCommit={(yearly) => onWorth({ yearly })}
      />
      <label className="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-(--water)"
          checked={w.claim}
          onChange={(e) => onWorth({ claim: e.target.checked })}
        />
        a claim
      </label>
      <button type="button" className="button" onClick={onRemove}>
        Remove
      </button>
    </div>
  );
}

/** What is typed stays as typed; it counts once it is allowed. */
function Typed({
  id,
  label,
  value,
  onCommit,
}: {
  id: string;
  label: string;
  value: string;
  onCommit: (v: string) => string | undefined;
}) {
  const [error, setError] = useState<string>();
  return (
    <Field id={id} label={label} error={error}>
      <input
        {...tied(id, error)}
        className="control"
        defaultValue={value}
        onChange={(e) => setError(onCommit(e.target.value))}
      />
    </Field>
  );
}

function Amount({
  id,
  label,
  value,
  most,
  onCommit,
}: {
  id: string;
  label: string;
  value: number;
  most?: number;
  onCommit: (v: number) => string | undefined;
}) {
  const { plan } = usePlan();
  const { choice } = useUnits();
  return (
    <Typed
      id={id}
      label={label}
      value={String(value)}
      onCommit={(text) => {
        if (/\p{Sc}|[A-Za-z]{3}/u.test(text)) return `The number alone: all amounts are in ${plan.money.currency}.`;
        const read = parseNumber(text, choice.decimal, most === undefined ? {} : { min: 0, max: most });
        return read.ok ? onCommit(read.value) : read.message;
      }}
    />
  );
}
