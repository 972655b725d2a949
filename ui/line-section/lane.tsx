import type { ComponentProps, ReactNode } from 'react';
import { MAIN } from '@/core/plan/runs';
import { decimalsOf } from '@/ui/chart/axis';
import { Plain } from '@/ui/units/units';
import { WhyDrawing } from '@/ui/why/why';
import type { Row } from './rows';

export const LABELS = 100;

/** A lane under the row of stages: its name and axis at the left, the drawing on the shared x-positions. */
export function Lane({
  title,
  unit,
  height,
  row,
  ticks,
  y,
  note,
  figureOf,
  children,
}: {
  title: string;
  unit: string;
  height: number;
  row: Row;
  ticks: readonly number[];
  y: (value: number) => number;
  note?: ReactNode;
  figureOf?: ComponentProps<typeof WhyDrawing>['figureOf'];
  children: ReactNode;
}) {
  const decimals = decimalsOf(ticks);
  return (
    <section
      data-row
      className="isolate flex border-b border-hairline [contain:layout_paint_style]" // an edit repaints lanes and nothing else
      aria-label={`${title}${row.run.id === MAIN ? '' : `, ${row.run.name}`}`}
    >
      <div className="sticky left-0 z-10 flex shrink-0 bg-paper" style={{ width: LABELS }}>
        <div className="flex-1 py-2 pl-3">
          <h2 className="text-[0.86rem] leading-tight wrap-normal">{title}</h2>
          <p className="text-[0.86rem] text-quiet">{unit}</p>
          {note}
        </div>
        {ticks.length > 0 && (
          <svg width={34} height={height} aria-hidden className="text-[12px] fill-quiet">
            {ticks.map((t) => (
              <text key={t} x={30} y={y(t) + 3.5} textAnchor="end">
                <Plain value={t} decimals={Number.isInteger(t) ? 0 : decimals} />
              </text>
            ))}
          </svg>
        )}
      </div>
      <WhyDrawing figureOf={figureOf} width={row.total} height={height} className="block bg-card" label={title}>
        <path d={ticks.map((t) => `M0 ${y(t)}H${row.total}`).join('')} className="stroke-hairline" strokeWidth={0.7} />
        <path
          d={row.cells.map(({ left }, i) => (i === 0 ? '' : `M${left} 0V${height}`)).join('')}
          className="stroke-hairline"
          strokeDasharray="2 3"
          strokeWidth={0.7}
        />
        {children}
      </WhyDrawing>
    </section>
  );
}
