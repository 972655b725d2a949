'use client';

import { Download } from 'lucide-react';
import Papa from 'papaparse';
import { useState } from 'react';
import { useUnits } from '@/ui/units/units';

/** The figures behind a picture, as a table. */
export interface DataTable {
  readonly name: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

const SHOWN = 60;

/** Formulas are no data: what a spreadsheet would run gets a quotation mark before it. */
const safe = (cell: string | number): string | number =>
  typeof cell === 'string' && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;

export function saveCsv({ name, columns, rows }: DataTable): void {
  const csv = Papa.unparse([[...columns], ...rows.map((r) => r.map(safe))], { newline: '\r\n' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob(['﻿', csv], { type: 'text/csv;charset=utf-8' }));
  link.download = `${name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.csv`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

/** The figures of a view, folded; the whole of them as a CSV file. */
export function TableOf({ table }: { table: () => DataTable }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-2 text-[0.85rem]" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer text-water underline underline-offset-4">Table</summary>
      {open && <Unfolded table={table()} />}
    </details>
  );
}

function Unfolded({ table }: { table: DataTable }) {
  const { decimal } = useUnits().choice;
  const shown = table.rows.slice(0, SHOWN);
  return (
    <div className="relative mt-2 max-h-72 overflow-auto border border-hairline bg-card">
      <button type="button" className="button sticky left-2 m-2" onClick={() => saveCsv(table)}>
        <Download size={15} aria-hidden /> CSV
        <span className="sr-only"> of {table.name}</span>
      </button>
      <table className="w-full">
        <thead className="text-left text-quiet">
          <tr>
            {table.columns.map((c) => (
              <th key={c} className="px-2 py-1 font-medium whitespace-nowrap">
                {c}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <tr key={row.join()} className="border-t border-hairline">
              {row.map((cell, i) => (
                <td
                  // biome-ignore lint/suspicious/noArrayIndexKey: columns have their places
                  key={i}
                  className={`px-2 py-0.5 whitespace-nowrap ${typeof cell === 'number' ? 'text-right' : ''}`}
                >
                  {typeof cell === 'number' && decimal ? String(cell).replace('.', ',') : cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {table.rows.length > SHOWN && (
        <p className="px-2 py-1 text-quiet">
          The first {SHOWN} of {table.rows.length} rows; all are in the CSV file.
        </p>
      )}
    </div>
  );
}
