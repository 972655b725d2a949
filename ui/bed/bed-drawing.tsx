'use client';

import type { BedFilm } from '@/core/desiccant/bed-film';
import { useUnits } from '@/ui/units/units';

const ROWS = 60;
const [X, Y, WIDE, HIGH] = [14, 20, 64, 240];
const PLOT = 110;

/** A bed at one moment: wet at the bottom, where the air comes in. Beside it how full each height is, and how warm. */
export function BedDrawing({
  film,
  frame,
  name,
  purged = false,
}: {
  film: BedFilm;
  frame: number;
  name: string;
  /** The other way round: dried air comes from the top, wet air leaves below. */
  purged?: boolean;
}) {
  const { say } = useUnits();
  const { cells } = film;
  const loading = film.loading.subarray(frame * cells, (frame + 1) * cells);
  const warm = film.temperatureC.subarray(frame * cells, (frame + 1) * cells);
  const rows = Math.min(ROWS, cells);
  const high = HIGH / rows;
  const cellOf = (row: number): number => Math.floor(((row + 0.5) / rows) * cells);
  const y = (cell: number): number => Y + HIGH * (1 - (cell + 0.5) / cells);
  const full = loading.reduce((sum, q) => sum + Math.min(1, q), 0) / cells;
  const [low, top] = [Math.min(...film.temperatureC), Math.max(...film.temperatureC)];
  const path = (of: (cell: number) => number): string =>
    Array.from(
      { length: cells },
      (_, i) => `${i === 0 ? 'M' : 'L'}${(X + WIDE + 12 + PLOT * of(i)).toFixed(1)} ${y(i).toFixed(1)}`,
    ).join('');
  const change = film.layer.findIndex((l, i) => i > 0 && l !== film.layer[i - 1]);
  return (
    <svg
      viewBox="0 0 216 300"
      className="block w-full max-w-72"
      role="img"
      aria-label={`${name}: ${Math.round(full * 100)} % full, warmest ${say(Math.max(...warm), 'temperature')}`}
    >
      <text x={X} y="12" className="fill-ink text-[11px] font-semibold">
        {name}
      </text>
      {Array.from({ length: rows }, (_, row) => {
        const q = Math.min(1, loading[cellOf(row)] as number);
        return (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: a row has no other name than its place
            key={row}
            x={X}
            y={Y + HIGH - (row + 1) * high}
            width={WIDE}
            height={high + 0.3}
            fill={`color-mix(in srgb, var(--wet-4) ${Math.round(q * 100)}%, var(--wet-0))`}
          />
        );
      })}
      <rect x={X} y={Y} width={WIDE} height={HIGH} rx="4" fill="none" className="stroke-ink" strokeWidth="2" />
      {change > 0 && (
        <path d={`M${X} ${y(change)}h${WIDE}`} className="stroke-card" strokeWidth="2" strokeDasharray="4 2" />
      )}
      <path
        d={
          purged
            ? `M${X + WIDE / 2} ${Y + HIGH + 4}v18m-5 -6l5 6l5 -6`
            : `M${X + WIDE / 2} ${Y + HIGH + 22}v-18m-5 6l5 -6l5 6`
        }
        className="stroke-copper"
        fill="none"
        strokeWidth="2"
      />
      <rect x={X + WIDE + 12} y={Y} width={PLOT} height={HIGH} className="fill-card stroke-hairline" />
      <path d={path((i) => Math.min(1, loading[i] as number))} className="stroke-water" fill="none" strokeWidth="2" />
      <path
        d={path((i) => ((warm[i] as number) - low) / Math.max(top - low, 1))}
        className="stroke-copper"
        fill="none"
        strokeWidth="1.500"
        strokeDasharray="4 2"
      />
      <text x={X + WIDE + 12} y={Y + HIGH + 12} className="fill-water text-[9px]">
        — full: 0 to 100 %
      </text>
      <text x={X + WIDE + 12} y={Y + HIGH + 24} className="fill-copper text-[9px]">
        ┄ {say(low, 'temperature')} to {say(Math.max(top, low + 1), 'temperature')}
      </text>
    </svg>
  );
}
