import { useState } from 'react';
import type { BillItem } from '@/core/fitting/bill-rows';
import { parseNumber } from '@/core/quantity/parse';
import { useUnits } from '@/ui/units/units';

const MOST = 1e6;

/** The price of one piece as its buyer knows it; emptied, the placeholder stands again. */
export function OwnPrice({
  label,
  item,
  onPrice,
}: {
  label: string;
  item: BillItem;
  onPrice: (own: number | undefined) => void;
}) {
  const { choice } = useUnits();
  const [text, setText] = useState(item.own ? String(item.price) : '');
  const [problem, setProblem] = useState<string>();
  // What stands in the line has one price everywhere: among the prices of Compare.
  if (item.aisle === 'equipment') return <span className="shrink-0 text-[0.82rem] text-quiet sm:w-36">in Compare</span>;
  const id = `price-${item.key.replaceAll(/[^\w-]/g, '_')}`;
  const take = (typed: string): void => {
    setText(typed);
    const isUsual = typed.trim() === '';
    const read = parseNumber(isUsual ? '0' : typed, choice.decimal, { min: 0, max: MOST });
    setProblem(read.ok ? undefined : read.message);
    if (read.ok) onPrice(isUsual ? undefined : read.value);
  };
  return (
    <span className="grid w-24 shrink-0 gap-0.5 sm:w-36">
      <input
        className="control"
        inputMode="decimal"
        aria-label={`Price of one ${label}`}
        aria-invalid={problem !== undefined}
        aria-describedby={problem && `${id}-error`}
        placeholder={item.own ? '' : String(item.price)}
        value={text}
        onChange={(e) => take(e.target.value)}
      />
      {problem && (
        <span id={`${id}-error`} role="alert" className="text-[0.82rem] text-brick">
          {problem}
        </span>
      )}
    </span>
  );
}
