'use client';

import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import type { DayCycle } from '@/core/day/simulate-day';
import type { Plan } from '@/core/plan/plan';
import { stageById } from '@/core/plan/runs';
import { type QuantityName, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { Hours, Line, Loaded, Openings, PressureLane } from './day-lanes';
import { clock, columnsOf, type Window } from './day-series';

const LABELS = 104;

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
        <Hours shown={shown} x={x} room={room} foot={tops.axis} height={total} />
        <g>
          <PressureLane {...lane} height={heights.pressure} plan={plan} />
        </g>
        <g transform={`translate(0 ${tops.compressor})`}>
          <Loaded {...lane} />
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
            <Openings events={day.events.filter((e) => e.stageId === p.stageId)} shown={shown} x={x} room={room} />
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
