'use client';

import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { fromSi, unitOf } from '@/core/quantity/units';
import { VALUE_AXIS } from '@/ui/logbook/chart-axes';
import { useUnits } from '@/ui/units/units';
import { TableOf } from '@/ui/water/data-table';

/** The dew point of what leaves, through time or cycle after cycle, with what is wanted and where one looks. */
export function OutletChart({
  x,
  outC,
  label,
  sayX,
  wantC,
  at,
}: {
  x: ArrayLike<number>;
  outC: ArrayLike<number>;
  label: string;
  sayX: (x: number) => string;
  wantC: number;
  at?: number | undefined;
}) {
  const { choice, say, atmosphericPa } = useUnits();
  const u = unitOf('temperature', choice.temperature);
  const inUnit = (c: number): number => fromSi(c, u, atmosphericPa);
  const data = Array.from(x, (value, i) => ({ x: value, c: outC[i] as number, out: inUnit(outC[i] as number) }));
  return (
    <figure>
      <div className="h-44">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={data} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} aria-label={label}>
            <CartesianGrid stroke="var(--hairline)" strokeDasharray="2 3" vertical={false} />
            <XAxis
              dataKey="x"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={sayX}
              stroke="var(--quiet)"
              tick={{ fontSize: 11, fill: 'var(--quiet)' }}
              minTickGap={40}
            />
            <YAxis {...VALUE_AXIS} domain={['auto', 'auto']} />
            <ReferenceLine y={inUnit(wantC)} stroke="var(--brick)" strokeDasharray="5 3" ifOverflow="extendDomain" />
            {at !== undefined && <ReferenceLine x={at} stroke="var(--copper)" strokeWidth={2} />}
            <Line dataKey="out" stroke="var(--deep)" strokeWidth={2} dot={false} isAnimationActive={false} />
            <Tooltip
              isAnimationActive={false}
              content={({ active, payload }) => {
                const p = payload?.[0]?.payload as (typeof data)[0] | undefined;
                return active && p ? (
                  <p className="floating px-3 py-1.5 text-[0.85rem]">
                    {sayX(p.x)}: {say(p.c, 'temperature')}
                  </p>
                ) : null;
              }}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="flex flex-wrap gap-x-4 text-[0.8rem] text-quiet">
        <span>
          {label}, {u.symbol}
        </span>
        <span className="text-brick">┄ wanted, {say(wantC, 'temperature')}</span>
      </figcaption>
      <TableOf
        table={() => ({
          name: label,
          columns: ['After', `${label}, ${u.symbol}`],
          rows: data.map((p) => [sayX(p.x), Number(p.out.toPrecision(4))]),
        })}
      />
    </figure>
  );
}
