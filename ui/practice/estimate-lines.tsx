'use client';

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Played } from '@/core/practice/spacing';

const TEXT = { fontSize: 12, fill: 'var(--quiet)' };

/** The chart of {@link EstimateChart}: guess over truth of each estimate, on a logarithmic scale: 1 is right. */
export function EstimateLines({ played }: { played: readonly Played[] }) {
  const data = played
    .flatMap(({ ratio }) => (ratio === undefined ? [] : [ratio]))
    .map((ratio, i) => ({ n: i + 1, ratio }));
  return (
    <div className="h-48">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--hairline)" strokeDasharray="2 3" vertical={false} />
          <XAxis dataKey="n" tick={TEXT} allowDecimals={false} />
          <YAxis
            scale="log"
            domain={[(least: number) => Math.min(0.3, least), (most: number) => Math.max(3, most)]}
            ticks={[0.1, 0.3, 1, 3, 10]}
            tick={TEXT}
            width={36}
          />
          <ReferenceLine y={1} stroke="var(--ink)" />
          <Line dataKey="ratio" stroke="var(--deep)" dot={{ r: 3.5, fill: 'var(--deep)' }} isAnimationActive={false} />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
