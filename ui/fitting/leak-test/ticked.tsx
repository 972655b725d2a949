import type { ReactNode } from 'react';
import { useTicks } from '../use-ticks';

/** A line of a list of the leak test, with its tick. */
export function Ticked({ of, children }: { of: string; children: ReactNode }) {
  const { ticks, tick } = useTicks();
  const key = `step:leak ${of}`;
  return (
    <li className="break-inside-avoid">
      <label className="flex min-h-9 items-start gap-2 py-1 max-sm:min-h-12">
        <input
          type="checkbox"
          className="mt-0.5 size-5 shrink-0"
          checked={ticks[key] !== undefined}
          onChange={(e) => tick([{ key, count: 1 }], e.target.checked ? 'fitted' : undefined)}
        />
        <span>{children}</span>
      </label>
    </li>
  );
}
