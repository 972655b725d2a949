'use client';

import { memo } from 'react';
import { CLOSED_K } from '@/core/line/outlet-criteria';
import { formatQuantity } from '@/core/quantity/format';
import { fromSi, unitOf } from '@/core/quantity/units';
import { axisOf } from '@/ui/chart/axis';
import { useUnits } from '@/ui/units/units';
import { figureText } from '@/ui/why/why';
import { Lane } from './lane';
import type { Row } from './rows';

const HEIGHT = 176;

/** Air temperature and pressure dew point: the sand between them is the dry margin; where it closes, water condenses. */
export const DryMarginLane = memo(function DryMarginLane({ row }: { row: Row }) {
  const { choice } = useUnits();
  const u = unitOf('temperature', choice.temperature);
  const inUnit = (c: number): number => fromSi(c, u, 0);
  // A branch begins with the air that its tee gives it.
  const cells = [
    ...(row.arrives ? [{ name: undefined, station: row.arrives, left: row.left, width: 0, centre: row.left }] : []),
    ...row.reached,
  ];
  if (cells.length === 0) return null;
  const stations = cells.map((c) => c.station);
  const air = stations.map((s) => inUnit(s.temperatureC));
  const dew = stations.map((s) => inUnit(s.pressureDewPointC));
  const { at: y, ticks } = axisOf(Math.min(0, ...dew), Math.max(40, ...air), HEIGHT - 12, 20);
  const x = cells.map((c) => c.centre);
  const points = (values: number[]): string => values.map((v, i) => `${x[i]},${y(v)}`).join(' ');
  const closed = stations.map((s) => s.temperatureC - s.pressureDewPointC < CLOSED_K);
  const number = (c: number): string => formatQuantity(c, 'temperature', choice).number;
  const name = (i: number): string => cells[i]?.name ?? 'the take-off';
  const hatches = closed.flatMap((c, i) =>
    c && cells[i]?.width ? [{ from: cells[i]?.left ?? 0, width: cells[i]?.width ?? 0 }] : [],
  );
  const changed = (values: number[], i: number): boolean =>
    i === 0 || Math.abs((values[i] as number) - (values[i - 1] as number)) >= 0.45 || i === values.length - 1;
  // A line that comes down from the left would cross a label set over its end.
  const falls = (i: number): boolean => i > 0 && y(air[i] as number) - y(air[i - 1] as number) > 12;
  const beside = { dx: 4, textAnchor: 'start' } as const;
  const over = { dx: 0, textAnchor: 'middle' } as const;
  /** At the left edge half of a label would be cut off. */
  const isAtEdge = (i: number): boolean => cells[i]?.width === 0;
  const wet = hatches[Math.floor(hatches.length / 2)];
  return (
    <Lane title="Dew point margin" unit={u.symbol} height={HEIGHT} row={row} ticks={ticks} y={y}>
      <defs>
        <pattern id="falling-out" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" className="stroke-hatch" strokeWidth="2.200" />
        </pattern>
      </defs>
      <polygon
        points={`${points(air)} ${[...dew]
          .map((v, i) => `${x[i]},${y(v)}`)
          .reverse()
          .join(' ')}`}
        className="fill-sand"
      />
      <path
        d={hatches.map((h) => `M${h.from} 0h${h.width}v${HEIGHT}h${-h.width}z`).join('')}
        fill="url(#falling-out)"
        fillOpacity={0.55}
      />
      <polyline points={points(dew)} fill="none" className="stroke-deep" strokeWidth={2} strokeDasharray="6 4" />
      <polyline points={points(air)} fill="none" className="stroke-copper" strokeWidth={2.2} />
      <path
        d={air.map((v, i) => `M${(x[i] ?? 0) - 3.2} ${y(v)}a3.2 3.2 0 1 0 6.4 0a3.2 3.2 0 1 0 -6.4 0`).join('')}
        className="fill-card stroke-copper"
        strokeWidth={1.8}
      />
      {wet && hatches.length > 1 && (
        <text
          x={((hatches[0]?.from ?? 0) + wet.from + wet.width) / 2 + 30}
          y={HEIGHT - 10}
          textAnchor="middle"
          className="fill-deep text-[12px] font-semibold"
          paintOrder="stroke"
          stroke="var(--card)"
          strokeWidth={4}
        >
          no margin: water condenses here
        </text>
      )}
      <g className="text-[12px] font-semibold">
        {stations.map((s, i) =>
          changed(air, i)
            ? figureText({
                stageId: s.stageId,
                name: 'temperature',
                label: `Air after ${name(i)}`,
                x: x[i],
                y: y(air[i] as number) - 8,
                ...(falls(i) || isAtEdge(i) ? beside : over),
                className: 'fill-copper',
                number: number(s.temperatureC),
                unit: u.symbol,
              })
            : null,
        )}
        {stations.map((s, i) =>
          !closed[i] && changed(dew, i)
            ? figureText({
                stageId: s.stageId,
                name: 'dewPoint',
                label: `Pressure dew point after ${name(i)}`,
                x: x[i],
                y: Math.min(HEIGHT - 3, y(dew[i] as number) + 15),
                ...(isAtEdge(i) ? beside : over),
                className: 'fill-deep',
                number: number(s.pressureDewPointC),
                unit: u.symbol,
              })
            : null,
        )}
      </g>
    </Lane>
  );
});
