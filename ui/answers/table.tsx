import type { ReactNode } from 'react';
import { Scrolls } from '@/ui/primitives/scrolls';

/** One row of a small table: its name, and a value in each column. */
export interface AnswerRow {
  readonly id: string;
  readonly name: ReactNode;
  readonly values: readonly ReactNode[];
  readonly isChosen?: boolean;
}

export function AnswerTable({
  label,
  heads,
  rows,
}: {
  label: string;
  heads: readonly [first: string, ...others: string[]];
  rows: readonly AnswerRow[];
}) {
  const [first, ...others] = heads;
  return (
    <Scrolls label={label}>
      <table className="w-full max-sm:text-[0.85rem]">
        <thead>
          <tr className="eyebrow align-bottom">
            <th scope="col" className="pb-1 pl-2 text-left">
              {first}
            </th>
            {others.map((head) => (
              <th key={head} scope="col" className="px-2 pb-1 text-right">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr
              key={row.id}
              className={`border-t border-hairline ${row.isChosen ? 'bg-sunk font-semibold' : 'font-normal'}`}
            >
              <th scope="row" className="py-1.5 pr-2 pl-2 text-left [font-weight:inherit]">
                {row.name}
              </th>
              {row.values.map((value, i) => (
                <td
                  key={heads[i + 1]}
                  className={`px-2 py-1.5 text-right ${isShort(value) ? 'whitespace-nowrap' : ''}`}
                >
                  {value}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}

/** A figure with its unit stays on one line; a sentence may be broken. */
const isShort = (value: ReactNode): boolean => typeof value === 'string' && value.length < 14;
