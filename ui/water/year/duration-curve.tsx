'use client';

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { fromSi, unitOf } from '@/core/quantity/units';
import type { Series } from '@/core/year/series';
import { useUnits } from '@/ui/units/units';

const POINTS = 240;

/** The chart of {@link Duration}. */
export function DurationCurve({
  series,
  curve,
  designHours,
}: {
  series: Series;
  curve: Float32Array;
  designHours: number;
}) {
  const { choice, say, atmosphericPa } = useUnits();
  const u = unitOf(series.quantity, choice[series.quantity]);
  const step = Math.max(1, Math.floor(curve.length / POINTS));
  const data = Array.from(curve)
    .map((si, hours) => ({ hours, value: Number.isFinite(si) ? fromSi(si, u, atmosphericPa) : null, si }))
    .filter((_, i) => i % step === 0 || i === curve.length - 1);
  return (
    <div className="h-48">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart
          data={data}
          margin={{ top: 8, right: 12, bottom: 4, left: 0 }}
          aria-label={`${series.name}: hours at or above`}
        >
          <CartesianGrid stroke="var(--hairline)" strokeDasharray="2 3" vertical={false} />
          <XAxis
            dataKey="hours"
            type="number"
            domain={[0, 'dataMax']}
            stroke="var(--quiet)"
            tick={{ fontSize: 11, fill: 'var(--quiet)' }}
            minTickGap={32}
          />
          <YAxis width={48} stroke="var(--quiet)" tick={{ fontSize: 11, fill: 'var(--quiet)' }} />
          <ReferenceLine x={designHours} stroke="var(--copper)" strokeDasharray="4 3" />
          <Line dataKey="value" stroke="var(--deep)" strokeWidth={2} dot={false} isAnimationActive={false} />
          <Tooltip
            isAnimationActive={false}
            content={({ active, payload }) => {
              const p = payload?.[0]?.payload as { hours: number; si: number } | undefined;
              return active && p ? (
                <p className="floating px-3 py-1.5 text-[0.85rem]">
                  more than {say(p.si, series.quantity)} in {p.hours} h
                </p>
              ) : null;
            }}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
