'use client';

import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { isometric, type Piece } from '@/core/fitting/drawing';
import { LEAST_LEG_M, MOST_LEG_M } from '@/core/piping/legs';
import { useUnits } from '@/ui/units/units';
import type { RunSheet } from './sheet-of';

const STEP_M = 0.1;
const FINE_M = 0.01;

/** The end of a leg, to be dragged along its axis; with the arrow keys a tenth of a metre at a time, with Shift a hundredth. */
export function LegHandle({
  piece,
  sheet,
  onStretch,
}: {
  piece: Piece;
  sheet: RunSheet;
  onStretch: (lengthM: number) => void;
}) {
  const { say } = useUnits();
  const held = useRef<{ x: number; y: number; lengthM: number } | undefined>(undefined);
  const [x, y] = sheet.at(piece.to);
  const along = isometric(
    [0, 1, 2].map((i) => ((piece.to[i] as number) - (piece.from[i] as number)) / piece.lengthM) as never,
  );
  const to = (m: number): void => onStretch(Math.min(MOST_LEG_M, Math.max(LEAST_LEG_M, Math.round(m * 100) / 100)));
  const moved = (e: PointerEvent<SVGCircleElement>): void => {
    const start = held.current;
    const svg = e.currentTarget.ownerSVGElement;
    if (!start || !svg) return;
    const pxPerM = (sheet.pxPerM * svg.getBoundingClientRect().width) / sheet.width;
    const [dx, dy] = [e.clientX - start.x, start.y - e.clientY];
    to(start.lengthM + (dx * along[0] + dy * along[1]) / pxPerM);
  };
  const typed = (e: KeyboardEvent): void => {
    const more = ['ArrowUp', 'ArrowRight'].includes(e.key) ? 1 : ['ArrowDown', 'ArrowLeft'].includes(e.key) ? -1 : 0;
    if (more === 0) return;
    e.preventDefault();
    to(piece.lengthM + more * (e.shiftKey ? FINE_M : STEP_M));
  };
  return (
    <g className="no-print">
      <circle cx={x} cy={y} r="6.5" fill="var(--paper)" stroke="var(--copper)" strokeWidth="2.5" />
      <circle
        cx={x}
        cy={y}
        r="12" // what is touched
        fill="transparent"
        className="cursor-move touch-none"
        role="slider"
        tabIndex={0}
        aria-label={`Length of leg ${piece.leg + 1}`}
        aria-valuenow={piece.lengthM}
        aria-valuemin={LEAST_LEG_M}
        aria-valuemax={MOST_LEG_M}
        aria-valuetext={say(piece.lengthM, 'length')}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          held.current = { x: e.clientX, y: e.clientY, lengthM: piece.lengthM };
        }}
        onPointerMove={moved}
        onPointerUp={() => {
          held.current = undefined;
        }}
        onKeyDown={typed}
      />
    </g>
  );
}
