'use client';

import { Delete } from 'lucide-react';

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '⌫'] as const;

/** Digits for a thumb in a glove. */
export function NumberPad({
  text,
  onText,
  signed,
}: {
  text: string;
  onText: (text: string) => void;
  signed?: boolean;
}) {
  const press = (key: (typeof KEYS)[number]): void => {
    if (key === '⌫') onText(text.slice(0, -1));
    else if (text.length < 9 && !(key === '.' && text.includes('.'))) onText(text + key);
  };
  return (
    <div className="grid grid-cols-3 gap-2.5" role="group" aria-label="Number pad">
      {KEYS.map((k) => (
        <button
          key={k}
          type="button"
          aria-label={k === '⌫' ? 'Take the last digit away' : k === '.' ? 'Decimal point' : k}
          className="grid min-h-14 place-items-center rounded-md border border-hairline bg-card text-[1.5rem] font-semibold active:bg-sunk"
          onClick={() => press(k)}
        >
          {k === '⌫' ? <Delete size={22} aria-hidden /> : k}
        </button>
      ))}
      {signed && (
        <button
          type="button"
          className="col-span-3 min-h-12 rounded-md border border-hairline bg-card font-semibold"
          onClick={() => onText(text.startsWith('-') ? text.slice(1) : `-${text}`)}
        >
          below zero: turn the sign
        </button>
      )}
    </div>
  );
}
