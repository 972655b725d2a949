'use client';

import { createContext, memo, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { Grade } from '@/core/purity/grade-line';
import { useLivePlan } from '@/ui/plan/plan-provider';
import { DryMarginLane } from './dry-margin-lane';
import { LedgerLane } from './ledger-lane';
import { PressureLane } from './pressure-lane';
import { PurityLane } from './purity-lane';
import { isReached, type Row, rowsFor, shapeOf } from './rows';

const LiveRows = createContext<readonly Row[]>([]);

/** The rows as they are at this keystroke, for the lanes in it; what is around them follows a frame later. */
export function Live({
  rows: painted,
  room,
  openUnits,
  children,
}: {
  rows: readonly Row[];
  room: number;
  openUnits: ReadonlySet<string>;
  children: ReactNode;
}) {
  const { plan, section } = useLivePlan();
  const rows = useMemo(() => rowsFor(plan, section, room, openUnits), [plan, section, room, openUnits]);
  const shape = useMemo(() => shapeOf(painted), [painted]);
  return <LiveRows value={shapeOf(rows) === shape ? rows : painted}>{children}</LiveRows>;
}

/** The lanes of a run. Those out of view follow when what is in view has been painted. */
export const Lanes = memo(function Lanes({ row, grades }: { row: Row; grades: ReadonlyMap<string, Grade> }) {
  const box = useRef<HTMLDivElement>(null);
  const [inView, setInView] = useState(true);
  useEffect(() => {
    if (!box.current) return;
    const watch = new IntersectionObserver(([entry]) => entry && setInView(entry.isIntersecting));
    watch.observe(box.current);
    return () => watch.disconnect();
  }, []);
  const live = useContext(LiveRows).find((r) => r.run.id === row.run.id);
  const shown = inView && live ? seenOf(live, row, box.current) : row;
  return (
    <div ref={box} className="[contain-intrinsic-size:auto_440px] [content-visibility:auto]">
      <DryMarginLane row={shown} />
      <PressureLane row={shown} />
      <LedgerLane row={shown} />
      <PurityLane row={row} grades={grades} />
    </div>
  );
});

/** A row as it is now where it is in view, and as it was last painted where one would have to scroll. */
function seenOf(live: Row, painted: Row, lanes: Element | null): Row {
  const view = lanes?.closest('[role="region"]');
  if (!view || live === painted || live.total <= view.clientWidth) return live;
  const [from, to] = [view.scrollLeft, view.scrollLeft + view.clientWidth];
  const cells = live.cells.map((c, i) => (c.left + c.width < from || c.left > to ? (painted.cells[i] ?? c) : c));
  return { ...live, cells, reached: cells.filter(isReached) };
}
