'use client';

import {
  createContext,
  memo,
  type ReactNode,
  type RefObject,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import type { Grade } from '@/core/line/grade-line';
import { useLivePlan } from '@/ui/plan/plan-provider';
import { DryMarginLane } from './dry-margin-lane';
import { LedgerLane } from './ledger-lane';
import { PressureLane } from './pressure-lane';
import { PurityLane } from './purity-lane';
import { isReached, type Row, rowsFor, sameShape } from './rows';

const LiveRows = createContext<readonly Row[]>([]);
const ViewOfRows = createContext<RefObject<View>>({ current: { from: 0, width: Number.POSITIVE_INFINITY } });

/** The rows as they are at this keystroke, for the lanes in it; what is around them follows a frame later. */
export function Live({
  rows: painted,
  room,
  openUnits,
  view,
  children,
}: {
  rows: readonly Row[];
  room: number;
  openUnits: ReadonlySet<string>;
  view: RefObject<View>;
  children: ReactNode;
}) {
  const { plan, section } = useLivePlan();
  const rows = useMemo(() => rowsFor(plan, section, room, openUnits), [plan, section, room, openUnits]);
  return (
    <ViewOfRows value={view}>
      <LiveRows value={sameShape(rows, painted) ? rows : painted}>{children}</LiveRows>
    </ViewOfRows>
  );
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
  const view = useContext(ViewOfRows);
  const shown = inView && live ? seenOf(live, row, view.current) : row;
  return (
    <div ref={box} className="[contain-intrinsic-size:auto_440px] [content-visibility:auto]">
      <LanesOf row={shown} painted={row} grades={grades} />
    </div>
  );
});

/** The lanes of a row: dry margin, pressure, water and purity. */
export function LanesOf({
  row,
  painted = row,
  grades,
}: {
  row: Row;
  /** The row as it was last painted, for the lane that nobody watches while they type. */
  painted?: Row;
  grades: ReadonlyMap<string, Grade>;
}) {
  return (
    <>
      <DryMarginLane row={row} />
      <PressureLane row={row} />
      <LedgerLane row={row} />
      <PurityLane row={painted} grades={grades} />
    </>
  );
}

/** What of the rows one sees without scrolling, px. Kept by who watches: to ask a browser costs it a layout. */
export interface View {
  from: number;
  width: number;
}

/** A row as it is now where it is in view, and as it was last painted where one would have to scroll. */
function seenOf(live: Row, painted: Row, view: View): Row {
  const to = view.from + view.width;
  if (live === painted || live.total <= view.width) return live;
  const cells = live.cells.map((c, i) => (c.left + c.width < view.from || c.left > to ? (painted.cells[i] ?? c) : c));
  return { ...live, cells, reached: cells.filter(isReached) };
}
