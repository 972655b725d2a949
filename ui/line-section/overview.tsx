'use client';

import { type RefObject, useEffect, useState } from 'react';
import { inAll, type Verdicts } from '@/core/line/judge-outlet';
import { MAIN } from '@/core/plan/runs';
import { LABELS } from './lane';
import type { Row } from './rows';

const PER_RUN = 7;
const VERDICT = {
  meets: { className: 'fill-water', d: 'M-2.500 0a2.500 2.500 0 1 0 5 0a2.500 2.500 0 1 0 -5 0' },
  open: { className: 'fill-amber', d: 'M0 -3.200L3.200 0L0 3.200L-3.200 0Z' },
  fails: { className: 'fill-brick', d: 'M0 -3.200L3.200 2.500H-3.200Z' },
} as const;

/**
 * A line that is wider than the screen, whole and small: its runs, where drops travel in them, and the verdict at each outlet.
 * Click or drag to go there.
 */
export function Overview({
  rows,
  room,
  box,
  judgements,
  selected,
}: {
  rows: readonly Row[];
  room: number;
  box: RefObject<HTMLDivElement | null>;
  judgements: Verdicts;
  selected: string | undefined;
}) {
  const total = rows[0]?.total ?? 0;
  const [left, setLeft] = useState(0);
  useEffect(() => {
    const view = box.current;
    if (!view) return;
    const follow = (): void => setLeft(view.scrollLeft);
    view.addEventListener('scroll', follow, { passive: true });
    return () => view.removeEventListener('scroll', follow);
  }, [box]);
  const scale = Math.min(1, room / total); // also where all is in view: a strip that comes and goes would move the rest
  const height = rows.length * PER_RUN + 4;
  const y = (i: number): number => 5 + i * PER_RUN;
  const go = (clientX: number, target: Element): void => {
    const at = (clientX - target.getBoundingClientRect().left) / scale;
    if (box.current) box.current.scrollLeft = at - room / 2;
  };
  return (
    <div className="no-print isolate flex border-t border-hairline py-1">
      <p className="shrink-0 pl-3 text-[0.86rem] text-quiet" style={{ width: LABELS }}>
        whole line
      </p>
      <svg
        aria-hidden
        width={room}
        height={height}
        className="cursor-pointer touch-none"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          go(e.clientX, e.currentTarget);
        }}
        onPointerMove={(e) => e.buttons === 1 && go(e.clientX, e.currentTarget)}
      >
        <rect
          x={left * scale}
          width={room * scale}
          y={0.5}
          height={height - 1}
          className="fill-card stroke-edge"
          rx={2}
        />
        {rows.map((row, i) => {
          const first = row.cells[0];
          const last = row.cells.at(-1);
          if (!first || !last) return null;
          return (
            <g key={row.run.id}>
              <path
                d={`M${first.left * scale} ${y(i)}H${(last.left + last.width) * scale}`}
                className="stroke-copper"
                strokeWidth={row.run.id === MAIN ? 2.5 : 1.5}
              />
              {row.cells.map((c) => (
                <g key={c.id}>
                  {(c.station?.liquidKgPerS ?? 0) > 0 && (
                    <path
                      d={`M${c.left * scale} ${y(i) + 2.5}h${c.width * scale}`}
                      className="stroke-drops"
                      strokeWidth={1.5}
                      strokeDasharray="2 1.500"
                    />
                  )}
                  {c.id === selected && (
                    <circle
                      cx={c.centre * scale}
                      cy={y(i)}
                      r={4.5}
                      className="fill-none stroke-ink"
                      strokeWidth={1.5}
                    />
                  )}
                </g>
              ))}
              {row.cells.map((c) => {
                const judged = judgements.get(c.id);
                const verdict = judged && inAll(judged);
                return (
                  verdict && (
                    <path
                      key={c.id}
                      transform={`translate(${c.centre * scale} ${y(i)})`}
                      d={VERDICT[verdict].d}
                      className={VERDICT[verdict].className}
                    />
                  )
                );
              })}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
