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
import type { Trend } from '@/core/log/log-pages';
import { READINGS, type ReadingName } from '@/core/log/readings';
import { limitOf } from '@/core/maintenance/limit';
import { stageById } from '@/core/plan/runs';
import { fromSi, unitOf } from '@/core/quantity/units';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { TableOf } from '@/ui/water/data-table';
import { TIME_AXIS, VALUE_AXIS } from './chart-axes';

interface Point {
  at: number;
  read: number;
  si: number;
  band: [number, number] | undefined;
}

/** A quantity through time over the band that the plan expected on each day; changes and openings of the point are marked. */
export function TrendChart({ trend, stageId, of }: { trend: Trend; stageId: string; of: ReadingName }) {
  const { plan } = usePlan();
  const { choice, say, atmosphericPa } = useUnits();
  const { quantity, label } = READINGS[of];
  const u = unitOf(quantity, choice[quantity]);
  const inUnit = (si: number): number => fromSi(si, u, atmosphericPa);
  const data = trend.points.map(
    ({ at, value, low, high }): Point => ({
      at: new Date(at).getTime(),
      read: inUnit(value),
      si: value,
      band: low === null || high === null ? undefined : [inUnit(low), inUnit(high)],
    }),
  );
  const stage = stageById(plan, stageId);
  const limit = stage && limitOf(stage, of, trend.expected);
  return (
    <figure>
      <div className="h-52">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={data} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} aria-label={label}>
            <CartesianGrid stroke="var(--hairline)" strokeDasharray="2 3" vertical={false} />
            <XAxis {...TIME_AXIS} domain={[...TIME_AXIS.domain]} />
            <YAxis {...VALUE_AXIS} domain={['auto', 'auto']} />
            <Area dataKey="band" stroke="none" fill="var(--vapour)" fillOpacity={0.6} isAnimationActive={false} />
            {trend.opened.map((at) => (
              <ReferenceLine key={at} x={new Date(at).getTime()} stroke="var(--copper)" strokeDasharray="4 3" />
            ))}
            {limit !== undefined && <ReferenceLine y={inUnit(limit)} stroke="var(--brick)" ifOverflow="extendDomain" />}
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
                const p = payload?.[0]?.payload as Point | undefined;
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
      <figcaption className="flex flex-wrap gap-x-4 text-[0.8rem] text-quiet">
        <span>
          {label.toLowerCase()}, {u.symbol}
        </span>
        <span className="flex items-center gap-1">
          <i className="inline-block h-2.5 w-4 bg-vapour" /> expected, 95 %
        </span>
        {limit !== undefined && <span className="text-brick">— asks for a change at {say(limit, quantity)}</span>}
        {trend.opened.length > 0 && <span className="text-copper">┆ changed or opened</span>}
        {trend.each > 1 && <span>each point is the mean of about {trend.each} readings</span>}
      </figcaption>
      <TableOf
        table={() => ({
          name: label,
          columns: ['time', `${label}, ${u.symbol}`, 'expected from', 'to'],
          rows: data.map((p) => [
            format(p.at, 'yyyy-MM-dd HH:mm'),
            Number(p.read.toPrecision(5)),
            ...(p.band ? p.band.map((b) => Number(b.toPrecision(5))) : ['', '']),
          ]),
        })}
      />
    </figure>
  );
}
