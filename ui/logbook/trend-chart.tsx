'use client';

import { format } from 'date-fns';
import {
  Area,
  Brush,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { READINGS, ReadingName } from '@/core/log/readings';
import { useUnits } from '@/ui/units/units';
import { TIME_AXIS, VALUE_AXIS } from './chart-axes';

export interface TrendPoint {
  readonly at: number;
  readonly read: number;
  readonly si: number;
  readonly band: readonly [number, number] | undefined;
}

/** The chart of {@link Trend}; the limit is in the unit that is shown. */
export function TrendChart({
  of: { label, quantity },
  data,
  opened,
  limit,
}: {
  of: (typeof READINGS)[ReadingName];
  data: readonly TrendPoint[];
  opened: readonly string[];
  limit: number | undefined;
}) {
  const { say } = useUnits();
  return (
    <div className="h-52">
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={[...data]} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} aria-label={label}>
          <CartesianGrid stroke="var(--hairline)" strokeDasharray="2 3" vertical={false} />
          <XAxis {...TIME_AXIS} domain={[...TIME_AXIS.domain]} />
          <YAxis {...VALUE_AXIS} domain={['auto', 'auto']} />
          <Area dataKey="band" stroke="none" fill="var(--vapour)" fillOpacity={0.6} isAnimationActive={false} />
          {opened.map((at) => (
            <ReferenceLine key={at} x={new Date(at).getTime()} stroke="var(--copper)" strokeDasharray="4 3" />
          ))}
          {limit !== undefined && <ReferenceLine y={limit} stroke="var(--brick)" ifOverflow="extendDomain" />}
          <Line dataKey="read" stroke="var(--deep)" dot={{ r: 3.5, fill: 'var(--deep)' }} isAnimationActive={false} />
          {data.length > 12 && (
            <Brush
              dataKey="at"
              height={18}
              stroke="var(--edge)"
              fill="var(--sunk)"
              tickFormatter={(t: number) => format(t, 'd MMM')}
            />
          )}
          <Tooltip
            isAnimationActive={false}
            content={({ active, payload }) => {
              const p = payload?.[0]?.payload as TrendPoint | undefined;
              return active && p ? (
                <p className="floating px-3 py-1.5 text-[0.85rem]">
                  {format(p.at, 'EEE d MMM, HH:mm')}: {say(p.si, quantity)}
                </p>
              ) : null;
            }}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
