'use client';

import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Grade } from '@/core/line/grade-line';
import type { Verdicts } from '@/core/line/judge-outlet';
import { PrintHead } from '@/ui/plan/print-head';
import { LABELS } from './lane';
import { LanesOf } from './lanes';
import { OutletList } from './outlet-list';
import { isReached, type Row } from './rows';
import { SectionTable } from './section-table';
import { StageIcon } from './stage-icon';

/** Stages side by side on A4 and Letter: margins of 12 mm leave 700 px, and at this size two rows of stages fit a page. */
const ON_A_ROW = 6;
const WIDTH = 120;
const ZOOM = 0.85;

/** A row of the section, cut into pieces that fit the paper. */
function piecesOf(row: Row): Row[] {
  return Array.from({ length: Math.ceil(row.cells.length / ON_A_ROW) }, (_, n) => {
    const from = n * ON_A_ROW;
    const cells = row.cells
      .slice(from, from + ON_A_ROW)
      .map((c, i) => ({ ...c, left: i * WIDTH, width: WIDTH, centre: (i + 0.5) * WIDTH }));
    const before = row.cells[from - 1];
    return {
      ...row,
      cells,
      reached: cells.filter(isReached),
      left: 0,
      arrives: before ? before.station : row.arrives,
      total: cells.length * WIDTH,
      unit: WIDTH,
    };
  });
}

/** Whether the page is being printed: what is only for paper is drawn then, and not before. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const paper = window.matchMedia('print');
    const follow = (is: boolean) => (): void => flushSync(() => setPrinting(is));
    const [begin, end] = [follow(true), follow(false)];
    const change = (): void => (paper.matches ? begin() : end());
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    paper.addEventListener('change', change);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
      paper.removeEventListener('change', change);
    };
  }, []);
  return printing;
}

/** The whole line on paper: each run in rows that fit, its figures as a table, and what each job gets. */
export function PrintedLine(props: { rows: readonly Row[]; grades: ReadonlyMap<string, Grade>; judgements: Verdicts }) {
  return usePrinting() && <Printed {...props} />;
}

function Printed({
  rows,
  grades,
  judgements,
}: {
  rows: readonly Row[];
  grades: ReadonlyMap<string, Grade>;
  judgements: Verdicts;
}) {
  return (
    <table className="w-full">
      <thead>
        <tr>
          <th className="pb-3 text-left font-normal">
            <PrintHead />
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.flatMap((row) =>
          piecesOf(row).map((piece, n) => (
            <tr key={`${row.run.id} ${piece.cells[0]?.id}`}>
              <td className="break-inside-avoid pb-3" style={{ zoom: ZOOM }}>
                <h2>
                  {row.run.name}
                  {n > 0 && ', continued'}
                </h2>
                <ol className="flex pt-1" style={{ paddingLeft: LABELS }}>
                  {piece.cells.map((c) => (
                    <li
                      key={c.id}
                      className="grid justify-items-center px-1 text-center text-[0.86rem] leading-tight"
                      style={{ width: WIDTH }}
                    >
                      <StageIcon kind={c.unit ? 'unit' : c.stage.kind} />
                      <span className="w-full break-words">{c.name}</span>
                    </li>
                  ))}
                </ol>
                <LanesOf row={piece} grades={grades} />
              </td>
            </tr>
          )),
        )}
        <tr>
          <td className="pb-4">
            <SectionTable />
          </td>
        </tr>
        <tr>
          <td className="break-inside-avoid">
            <h2>Air delivered</h2>
            <OutletList judgements={judgements} selected={undefined} onSelect={() => {}} />
          </td>
        </tr>
      </tbody>
    </table>
  );
}
