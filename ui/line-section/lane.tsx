import type { ReactNode } from 'react';
import { MAIN } from '@/core/line/runs';
import { formatNumber } from '@/core/quantity/format';
import type { Row } from './rows';

export const LABELS = 92;

/** A lane under the row of stages: its name and axis at the left, the drawing on the shared x-positions. */
export function Lane({
  title,
  unit,
  height,
  row,
  ticks,
  y,
  note,
  children,
}: {
  title: string;
  unit: string;
  height: number;
  row: Row;
  ticks: readonly number[];
  y: (value: number) => number;
  note?: ReactNode;
  children: ReactNode;
}) {
  return (
    <section
      className="flex border-b border-hairline"
      aria-label={`${title}${row.run.id === MAIN ? '' : `, ${row.run.name}`}`}
    >
      <div className="sticky left-0 z-10 flex shrink-0 bg-paper" style={{ width: LABELS }}>
        <div className="flex-1 py-2 pl-3">
          <h2 className="text-[0.85rem] leading-tight">{title}</h2>
          <p className="text-[0.75rem] text-quiet">{unit}</p>
          {note}
        </div>
        {ticks.length > 0 && (
          <svg width={34} height={height} aria-hidden className="text-[10.500px] fill-quiet">
            {ticks.map((t) => (
              <text key={t} x={30} y={y(t) + 3.5} textAnchor="end">
                {formatNumber(t, Number.isInteger(t) ? 0 : 1)}
              </text>
            ))}
          </svg>
        )}
      </div>
      <svg width={row.total} height={height} className="block bg-card" role="group" aria-label={title}>
        {ticks.map((t) => (
          <line key={t} x1={0} x2={row.total} y1={y(t)} y2={y(t)} className="stroke-hairline" strokeWidth={0.7} />
        ))}
        {row.cells.slice(1).map(({ stage, left }) => (
          <line
            key={stage.id}
            x1={left}
            x2={left}
            y1={0}
            y2={height}
            className="stroke-hairline"
            strokeDasharray="2 3"
            strokeWidth={0.7}
          />
        ))}
        {children}
      </svg>
    </section>
  );
}
