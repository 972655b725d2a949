'use client';

import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import type { DayCycle } from '@/core/day/simulate-day';
import type { Plan } from '@/core/plan/plan';
import { stageById } from '@/core/plan/runs';
import { formatNumber } from '@/core/quantity/format';
import { fromSi, type QuantityName, unitOf } from '@/core/quantity/units';
import { axisOf } from '@/ui/chart/axis';
import { useUnits } from '@/ui/units/units';
import { type Column, clock, columnsOf, type Window } from './day-series';

const LABELS = 104;
const FOOT = 6;
const STEPS_S = [10, 30, 60, 120, 300, 600, 1800, 3600, 7200, 14400];

/** The day from left to right: pressure, compressor, air taken, tank temperature, water in the tank, and what the drains let out. */
export function Timeline({
  plan,
  day,
  shown,
  at,
  width,
  onPoint,
}: {
  plan: Plan;
  day: DayCycle;
  shown: Window;
  at: number;
  width: number;
  onPoint: (second: number) => void;
}) {
  const room = Math.max(120, width - LABELS);
  const columns = useMemo(() => columnsOf(day, shown, Math.min(room, 900)), [day, shown, room]);
  const x = scaleLinear([shown.fromS, shown.toS], [0, room]);
  const step = STEPS_S.find((s) => ((shown.toS - shown.fromS) / s) * 58 < room) ?? 14400;
  const hours: number[] = [];
  for (let s = Math.ceil(shown.fromS / step) * step; s <= shown.toS; s += step) hours.push(s);
  const point = (event: React.PointerEvent<SVGSVGElement>): void => {
    if (event.buttons !== 1 && event.type !== 'pointerdown') return;
    const box = event.currentTarget.getBoundingClientRect();
    onPoint(shown.fromS + ((event.clientX - box.left) / box.width) * (shown.toS - shown.fromS));
  };
  const drained = day.points.filter((p) => p.openings > 0 || p.caughtKg > 0);
  const drainHeight = 16 * drained.length + 8;
  const heights = { pressure: 112, compressor: 26, demand: 52, tank: 62, heel: 62, axis: 20 };
  const total = Object.values(heights).reduce((a, b) => a + b, 0) + drainHeight;
  const tops = {
    pressure: 0,
    compressor: heights.pressure,
    demand: heights.pressure + heights.compressor,
    tank: heights.pressure + heights.compressor + heights.demand,
    heel: heights.pressure + heights.compressor + heights.demand + heights.tank,
    drains: total - heights.axis - drainHeight,
    axis: total - heights.axis,
  };
  const lane = { columns, room };
  return (
    <div className="flex border-y border-hairline">
      <div className="relative shrink-0 text-[0.85rem]" style={{ width: LABELS, height: total }} aria-hidden>
        <Label top={tops.pressure} text="Pressure" quantity="pressure" />
        <Label top={tops.compressor} text="Compressor" />
        <Label top={tops.demand} text="Air taken" quantity="volumeFlow" />
        <Label top={tops.tank} text="Tank air" quantity="temperature" />
        <Label top={tops.heel} text="In the tank" quantity="drained" />
        {drained.map((p, i) => (
          <p
            key={p.stageId}
            className="absolute w-full truncate pr-1 pl-3 text-[0.78rem] text-quiet"
            style={{ top: tops.drains + 16 * i }}
          >
            {stageById(plan, p.stageId)?.name}
          </p>
        ))}
      </div>
      <svg
        width={room}
        height={total}
        className="block touch-pan-y cursor-crosshair bg-card"
        role="img"
        aria-label={`The day from ${clock(shown.fromS)} to ${clock(shown.toS)}: pressure, compressor, air taken, tank temperature, water in the tank, drains`}
        onPointerDown={point}
        onPointerMove={point}
      >
        {hours.map((s) => (
          <g key={s}>
            <line x1={x(s)} x2={x(s)} y1={0} y2={tops.axis} className="stroke-hairline" strokeWidth={0.7} />
            <text
              x={Math.min(room - 16, Math.max(16, x(s)))}
              y={total - 6}
              textAnchor="middle"
              className="fill-quiet text-[10.500px]"
            >
              {clock(s, step < 60)}
            </text>
          </g>
        ))}
        <g>
          <PressureLane {...lane} height={heights.pressure} plan={plan} />
        </g>
        <g transform={`translate(0 ${tops.compressor})`}>
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
        </g>
        <Line
          {...lane}
          top={tops.demand}
          height={heights.demand}
          quantity="volumeFlow"
          of={(c) => c.demandM3PerS}
          filled="fill-sand"
        />
        <Line
          {...lane}
          top={tops.tank}
          height={heights.tank}
          quantity="temperature"
          of={(c) => c.temperatureC}
          stroke="stroke-copper"
        />
        <Line
          {...lane}
          top={tops.heel}
          height={heights.heel}
          quantity="drained"
          of={(c) => c.heelKg / 1000}
          filled="fill-water"
        />
        {drained.map((p, i) => (
          <g key={p.stageId} transform={`translate(0 ${tops.drains + 16 * i + 4})`}>
            <line x1={0} x2={room} y1={10} y2={10} className="stroke-hairline" strokeWidth={0.7} />
            {day.events.map((e) =>
              e.stageId === p.stageId && e.second >= shown.fromS && e.second <= shown.toS ? (
                e.what === 'full' ? (
                  <path key={`${e.second} full`} d={`M${x(e.second)},0l5,10h-10z`} className="fill-brick" />
                ) : (
                  <path key={e.second} d={`M${x(e.second)},10v-9`} className="stroke-deep" strokeWidth={1.6} />
                )
              ) : null,
            )}
          </g>
        ))}
        {at >= shown.fromS && at <= shown.toS && (
          <g>
            <line x1={x(at)} x2={x(at)} y1={0} y2={tops.axis} className="stroke-ink" strokeWidth={1.2} />
            <path d={`M${x(at)},0l-5,-0h10z M${x(at) - 5},0h10l-5,7z`} className="fill-ink" />
          </g>
        )}
        {[tops.compressor, tops.demand, tops.tank, tops.heel, tops.drains, tops.axis].map((y) => (
          <line key={y} x1={0} x2={room} y1={y} y2={y} className="stroke-hairline" />
        ))}
      </svg>
    </div>
  );
}

function Label({ top, text, quantity }: { top: number; text: string; quantity?: QuantityName }) {
  const { choice } = useUnits();
  return (
    <div className="absolute pl-3" style={{ top: top + 4 }}>
      <p className="leading-tight font-semibold">{text}</p>
      {quantity && <p className="text-[0.75rem] text-quiet">{unitOf(quantity, choice[quantity]).symbol}</p>}
    </div>
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
        {formatNumber(t, decimals)}
      </text>
    </g>
  ));
}

function PressureLane({
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

function Line({
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
