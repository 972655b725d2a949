'use client';

import { memo } from 'react';
import { formatQuantity } from '@/core/quantity/format';
import { fromSi, unitOf } from '@/core/quantity/units';
import { axisOf } from '@/ui/chart/axis';
import { useUnits } from '@/ui/units/units';
import { figureText } from '@/ui/why/why';
import { Lane } from './lane';
import type { Row } from './rows';

const HEIGHT = 76;

/** The falling staircase from the compressor to the tool. It begins at the compressor: before it there is only the room. */
export const PressureLane = memo(Staircase, (a, b) => a.row === b.row || samePressures(a.row, b.row));

/** Most edits leave the pressure as it is. */
function samePressures(a: Row, b: Row): boolean {
  return (
    a.total === b.total &&
    a.cells.length === b.cells.length &&
    a.cells.every((c, i) => {
      const d = b.cells[i];
      return (
        c.id === d?.id &&
        c.name === d.name &&
        c.left === d.left &&
        c.width === d.width &&
        c.station?.pressurePa === d.station?.pressurePa
      );
    })
  );
}

function Staircase({ row }: { row: Row }) {
  const { choice, atmosphericPa } = useUnits();
  const u = unitOf('pressure', choice.pressure);
  const cells = row.reached
    .filter((c) => c.stage.kind !== 'intake')
    .map((c) => ({ ...c, value: Math.round(fromSi(c.station.pressurePa, u, atmosphericPa) * 1e3) / 1e3 }));
  if (cells.length === 0) return null;
  const values = cells.map((c) => c.value);
  const { at: y, ticks } = axisOf(Math.min(...values), Math.max(...values), HEIGHT - 12, 18, 3);
  const path = cells.map((c, i) => `${i === 0 ? 'M' : 'L'}${c.left},${y(c.value)} H${c.left + c.width}`).join(' ');
  return (
    <Lane
      title="Pressure"
      note={<p className="text-[0.86rem] leading-tight text-quiet">all delivery flowing</p>}
      unit={u.symbol}
      height={HEIGHT}
      row={row}
      ticks={ticks}
      y={y}
    >
      <path d={path} fill="none" className="stroke-ink" strokeWidth={1.8} />
      <g className="text-[12px] font-semibold">
        {cells.map(({ stage, name, station, centre, value }, i) => {
          if (i > 0 && Math.abs(value - (values[i - 1] as number)) < 1e-6) return null;
          const text = formatQuantity(station.pressurePa, 'pressure', choice, atmosphericPa).number;
          return figureText({
            stageId: stage.id,
            name: 'pressure',
            label: `Pressure after ${name}`,
            x: centre,
            y: y(value) - 5,
            textAnchor: 'middle',
            className: 'fill-ink',
            number: text,
            unit: u.symbol,
          });
        })}
      </g>
    </Lane>
  );
}
