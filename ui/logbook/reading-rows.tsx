'use client';

import { Plus } from 'lucide-react';
import { READINGS, type ReadingName } from '@/core/log/readings';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Field, tied } from '@/ui/forms/field';
import type { ReadingRow } from './use-entry';

const MOST_ROWS = 6;
const NAMES = Object.fromEntries(Object.entries(READINGS).map(([k, r]) => [k, r.label]));

/** Readings one below the other: of what, and the value in any unit. */
export function ReadingRows({
  rows,
  onRows,
  errors,
}: {
  rows: readonly ReadingRow[];
  onRows: (rows: readonly ReadingRow[]) => void;
  errors: Readonly<Record<string, string>>;
}) {
  return (
    <>
      {rows.map((row, i) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other name than their place
          key={i}
          className="grid grid-cols-[minmax(0,1fr)_7.5rem] items-start gap-2"
        >
          <ChoiceInput
            id={`reading-of-${i}`}
            label="Reading"
            value={row.of}
            options={NAMES}
            onCommit={(v) => onRows(rows.with(i, { ...row, of: v as ReadingName }))}
          />
          <Field id={`reading-${i}`} label="Value, in any unit" error={errors[`reading-${i}`]}>
            <input
              {...tied(`reading-${i}`, errors[`reading-${i}`])}
              className="control"
              inputMode="text"
              value={row.text}
              onChange={(e) => onRows(rows.with(i, { ...row, text: e.target.value }))}
            />
          </Field>
        </div>
      ))}
      {rows.length < MOST_ROWS && (
        <div>
          <button type="button" className="button" onClick={() => onRows([...rows, { of: 'temperature', text: '' }])}>
            <Plus size={15} aria-hidden /> Another reading
          </button>
        </div>
      )}
    </>
  );
}
