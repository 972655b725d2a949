import type { UseFormRegisterReturn } from 'react-hook-form';
import { APPEARANCES } from '@/core/log/drain-entry';

const SWATCH: Record<keyof typeof APPEARANCES, string> = {
  clear: 'bg-water-wash',
  milky: 'bg-[repeating-linear-gradient(45deg,var(--sunk)_0_5px,var(--sand)_5px_9px)]',
  oily: 'bg-[linear-gradient(100deg,var(--sand),var(--vapour)_50%,var(--copper))]',
  rusty: 'bg-[repeating-radial-gradient(circle_at_50%_60%,var(--copper)_0_2px,var(--sand)_2px_5px)]',
};

/** How the water looked, by swatch and word. */
export function AppearanceInput({ field, error }: { field: UseFormRegisterReturn; error: string | undefined }) {
  return (
    <fieldset>
      <legend className="mb-1 text-[0.9rem] font-medium">It looked</legend>
      <div className="grid grid-cols-4 gap-1.5">
        {Object.entries(APPEARANCES).map(([id, label]) => (
          <label
            key={id}
            className="grid cursor-pointer justify-items-center gap-1 rounded-md border border-hairline p-1.5 text-[0.85rem] has-checked:border-b-[3px] has-checked:border-ink has-checked:bg-sunk has-checked:font-semibold has-focus-visible:outline-2 has-focus-visible:outline-water"
          >
            <input type="radio" className="sr-only" value={id} {...field} />
            <span
              aria-hidden
              className={`h-6 w-full rounded-sm border border-hairline ${SWATCH[id as keyof typeof SWATCH]}`}
            />
            {label}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="mt-1 text-[0.85rem] text-brick">
          {error}
        </p>
      )}
    </fieldset>
  );
}

/** The same for a thumb: one of a few, by swatch and word. */
export function AppearanceChoice<T extends keyof typeof APPEARANCES>({
  value,
  onValue,
  options,
}: {
  value: T | undefined;
  onValue: (value: T) => void;
  options: Readonly<Record<T, string>>;
}) {
  return (
    <div className="grid grid-cols-4 gap-2" role="radiogroup" aria-label="It looked">
      {(Object.entries(options) as [T, string][]).map(([id, label]) => (
        <button
          key={id}
          type="button"
          role="radio"
          aria-checked={value === id}
          className={`grid min-h-16 justify-items-center gap-1 rounded-md border-2 p-1.5 ${value === id ? 'border-ink bg-sunk font-semibold' : 'border-hairline bg-card'}`}
          onClick={() => onValue(id)}
        >
          <span aria-hidden className={`h-6 w-full rounded-sm border border-hairline ${SWATCH[id]}`} />
          {label}
        </button>
      ))}
    </div>
  );
}
