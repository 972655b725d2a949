'use client';

import type { DayCycle } from '@/core/day/simulate-day';
import type { Plan } from '@/core/plan/plan';
import { fromSi, type QuantityName, unitOf } from '@/core/quantity/units';
import { axisOf } from '@/ui/chart/axis';
import { Plain, useUnits } from '@/ui/units/units';
import { type Column, clock, type Window } from './day-series';

const FOOT = 6;

const STEPS_S = [10, 30, 60, 120, 300, 600, 1800, 3600, 7200, 14400];

type OnX = (second: number) => number;

/** The hours of the clock. */
export function Hours({
  shown,
  x,
  room,
  foot,
  height,
}: {
  shown: Window;
  x: OnX;
  room: number;
  foot: number;
  height: number;
}) {
  const step = STEPS_S.find((s) => ((shown.toS - shown.fromS) / s) * 58 < room) ?? 14400;
  const hours: number[] = [];
  for (let s = Math.ceil(shown.fromS / step) * step; s <= shown.toS; s += step) hours.push(s);
  return (
    <>
      {hours.map((s) => (
        <g key={s}>
          <line x1={x(s)} x2={x(s)} y1={0} y2={foot} className="stroke-hairline" strokeWidth={0.7} />
          <text
            x={Math.min(room - 16, Math.max(16, x(s)))}
            y={height - 6}
            textAnchor="middle"
            className="fill-quiet text-[10.500px]"
          >
            {clock(s, step < 60)}
          </text>
        </g>
      ))}
    </>
  );
}

/** How many of the compressors deliver. */
export function Loaded({ columns, room }: { columns: readonly Column[]; room: number }) {
  return (
    <>
      {columns.map((c, i) =>
        c.loaded > 0 ? (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place
            key={i}
            x={(i * room) / columns.length}
            width={room / columns.length + 0.3}
            y={4 + 18 * (1 - c.loaded)}
            height={18 * c.loaded}
            className="fill-copper"
          />
        ) : null,
      )}
    </>
  );
}

/** When a drain opens, and when its sump is full. */
export function Openings({
  events,
  shown,
  x,
  room,
}: {
  events: DayCycle['events'];
  shown: Window;
  x: OnX;
  room: number;
}) {
  return (
    <>
      <line x1={0} x2={room} y1={10} y2={10} className="stroke-hairline" strokeWidth={0.7} />
      {events.map((e) =>
        e.second >= shown.fromS && e.second <= shown.toS ? (
          e.what === 'full' ? (
            <path key={`${e.second} full`} d={`M${x(e.second)},0l5,10h-10z`} className="fill-brick" />
          ) : (
            <path key={e.second} d={`M${x(e.second)},10v-9`} className="stroke-deep" strokeWidth={1.6} />
          )
        ) : null,
      )}
    </>
  );
}

function useScale(quantity: QuantityName, values: readonly number[], height: number, fromZero: boolean) {
  const { choice, atmosphericPa } = useUnits();
  const u = unitOf(quantity, choice[quantity]);
  const own = values.map((v) => fromSi(v, u, atmosphericPa));
  const [low, high] = [fromZero ? 0 : Math.min(...own), Math.max(...own)];
  const { at: y, ticks } = axisOf(low, high, height - FOOT, 14, height > 80 ? 4 : 2);
  return { y, ticks, own, toOwn: (si: number) => fromSi(si, u, atmosphericPa) };
}

function Ticks({ ticks, y, room }: { ticks: readonly number[]; y: (v: number) => number; room: number }) {
  const step = (ticks[1] ?? 1) - (ticks[0] ?? 0);
  const decimals = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  return ticks.map((t) => (
    <g key={t}>
      <line x1={0} x2={room} y1={y(t)} y2={y(t)} className="stroke-hairline" strokeWidth={0.6} strokeDasharray="2 3" />
      <text x={3} y={y(t) + 3} className="fill-quiet stroke-card text-[10px] [paint-order:stroke]" strokeWidth={3}>
        <Plain value={t} decimals={decimals} />
      </text>
    </g>
  ));
}

export function PressureLane({
  columns,
  room,
  height,
  plan,
}: {
  columns: readonly Column[];
  room: number;
  height: number;
  plan: Plan;
}) {
  const compressor = plan.stages.find((s) => s.kind === 'compressor');
  const band = compressor ? [compressor.parameters.cutInPa, compressor.parameters.cutOutPa] : [];
  const { y, ticks, toOwn } = useScale(
    'pressure',
    [...columns.flatMap((c) => [c.lowPa, c.highPa]), ...band],
    height,
    false,
  );
  const w = room / columns.length;
  const upper = columns.map((c, i) => `${i ? 'L' : 'M'}${i * w},${y(toOwn(c.highPa))}`).join('');
  const lower = columns
    .map((c, i) => `L${i * w},${y(toOwn(c.lowPa))}`)
    .toReversed()
    .join('');
  const [low, high] = band.map((p) => y(toOwn(p)));
  return (
    <>
      {low !== undefined && high !== undefined && (
        <rect x={0} width={room} y={high} height={low - high} className="fill-sunk" />
      )}
      <path d={`${upper}${lower}Z`} className="fill-ink stroke-ink" strokeWidth={1} strokeLinejoin="round" />
      <Ticks ticks={ticks} y={y} room={room} />
      {low !== undefined && high !== undefined && (
        <g className="fill-quiet stroke-card text-[10px] [paint-order:stroke]" strokeWidth={3}>
          <text x={room - 4} y={high - 3} textAnchor="end">
            cuts out
          </text>
          <text x={room - 4} y={low + 10} textAnchor="end">
            cuts in
          </text>
        </g>
      )}
    </>
  );
}

export function Line({
  columns,
  room,
  top,
  height,
  quantity,
  of,
  stroke,
  filled,
}: {
  columns: readonly Column[];
  room: number;
  top: number;
  height: number;
  quantity: QuantityName;
  of: (c: Column) => number;
  stroke?: string;
  filled?: string;
}) {
  const { y, ticks, own } = useScale(quantity, columns.map(of), height, filled !== undefined);
  const w = room / columns.length;
  const path = own.map((v, i) => `${i ? 'L' : 'M'}${i * w},${y(v)}`).join('');
  return (
    <g transform={`translate(0 ${top})`}>
      {filled ? (
        <path d={`${path}L${room},${y(own.at(-1) ?? 0)}V${height - FOOT}H0Z`} className={filled} />
      ) : (
        <path d={path} fill="none" className={stroke ?? 'stroke-ink'} strokeWidth={1.6} />
      )}
      <Ticks ticks={ticks} y={y} room={room} />
    </g>
  );
}
