import { Scrolls } from '@/ui/primitives/scrolls';
import type { SizeRow } from './rows';

/** Sizes, each with the ones beside it. */
export function SizesTable({ rows }: { rows: readonly SizeRow[] }) {
  return (
    <Scrolls label="Sizes of each part">
      <table className="w-full max-sm:text-[0.85rem]">
        <thead>
          <tr className="eyebrow">
            <th scope="col" className="pb-1 text-left">
              Part
            </th>
            <th scope="col" className="px-2 pb-1 text-left">
              Size
            </th>
            <th scope="col" className="px-2 pb-1 text-left">
              One size down
            </th>
            <th scope="col" className="pb-1 pl-2 text-left">
              One size up
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.what} className="border-t border-hairline align-top">
              <th scope="row" className="py-2 pr-2 text-left font-normal">
                {r.what}
              </th>
              <td className="px-2 py-2">
                <span className={`font-semibold ${r.wrong ? 'text-brick' : ''}`}>
                  {r.wrong && '▲ more than '}
                  {r.size}
                </span>
                {r.yours !== undefined && <span className="text-quiet"> · {r.yours}</span>}
                <span className="block text-[0.85rem] text-quiet">{r.why}</span>
              </td>
              <td className="px-2 py-2 text-quiet">{r.down}</td>
              <td className="py-2 pl-2 text-quiet">{r.up}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scrolls>
  );
}
