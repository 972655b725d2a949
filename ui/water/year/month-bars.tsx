'use client';

import { Bar, BarChart, CartesianGrid, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { fromSi, unitOf } from '@/core/quantity/units';
import { MONTHS } from '@/core/year/calendar';
import { useUnits } from '@/ui/units/units';

export interface MonthRow {
  readonly name: string;
  /** SI, a number a month. */
  readonly months: readonly number[];
  readonly fill: string;
}

/** Water of each month, by drain. */
export function MonthBars({ rows }: { rows: readonly MonthRow[] }) {
  const { choice, say } = useUnits();
  const u = unitOf('volume', choice.volume);
  const data = MONTHS.map((month, m) => ({
    month,
    ...Object.fromEntries(rows.map((r, i) => [`d${i}`, fromSi((r.months[m] as number) / 1000, u, 0)])),
  }));
  return (
    <div className="h-48">
      <ResponsiveContainer width="100%" height="100%">
        <BarChart
          data={data}
          margin={{ top: 8, right: 4, bottom: 4, left: 0 }}
          aria-label="Water of each month"
          barCategoryGap="18%"
        >
          <CartesianGrid stroke="var(--hairline)" strokeDasharray="2 3" vertical={false} />
          <XAxis dataKey="month" stroke="var(--quiet)" tick={{ fontSize: 11, fill: 'var(--quiet)' }} interval={0} />
          <YAxis width={44} stroke="var(--quiet)" tick={{ fontSize: 11, fill: 'var(--quiet)' }} />
          {rows.map((r, i) => (
            <Bar
              key={r.name}
              dataKey={`d${i}`}
              stackId="all"
              fill={r.fill}
              stroke="var(--paper)"
              isAnimationActive={false}
            />
          ))}
          <Tooltip
            isAnimationActive={false}
            cursor={{ fill: 'var(--sunk)' }}
            content={({ active, label }) => {
              const m = MONTHS.indexOf(label as (typeof MONTHS)[number]);
              return active && m >= 0 ? (
                <div className="floating px-3 py-1.5 text-[0.85rem]">
                  <p className="font-semibold">{label}</p>
                  {rows.map((r) => (
                    <p key={r.name}>
                      {r.name} {say((r.months[m] as number) / 1000, 'volume')}
                    </p>
                  ))}
                </div>
              ) : null;
            }}
          />
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
