'use client';

import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import type { ProposedLine } from '@/workers/planner.worker';

interface Dot {
  readonly cx?: number;
  readonly cy?: number;
  readonly payload?: { readonly n: number };
}

/** Where the lines lie: to buy against a year. The table below says the same in numbers. */
export function FrontChart({ lines, at, currency }: { lines: readonly ProposedLine[]; at: number; currency: string }) {
  const data = lines.map((l, n) => ({ n, x: l.merits.purchase, y: l.merits.yearly }));
  const dot = ({ cx = 0, cy = 0, payload }: Dot) => {
    const n = payload?.n ?? 0;
    return (
      <g>
        <circle cx={cx} cy={cy} r={11} className={n === at ? 'fill-copper' : 'fill-water'} />
        <text x={cx} y={cy + 4} textAnchor="middle" className="fill-card text-[0.75rem] font-semibold">
          {n + 1}
        </text>
      </g>
    );
  };
  const axis = { tick: { fontSize: 12 }, stroke: 'var(--quiet)' } as const;
  return (
    <figure>
      <div className="h-52" aria-hidden>
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart accessibilityLayer={false} margin={{ top: 14, right: 20, bottom: 18, left: 6 }}>
            <CartesianGrid stroke="var(--hairline)" />
            <XAxis
              type="number"
              dataKey="x"
              domain={[0, 'auto']}
              label={{ value: `To buy, ${currency}`, position: 'insideBottom', offset: -12, fontSize: 12 }}
              {...axis}
            />
            <YAxis
              type="number"
              dataKey="y"
              domain={[(least: number) => Math.floor(least * 0.9), (most: number) => Math.ceil(most * 1.05)]}
              width={64}
              label={{ value: `A year, ${currency}`, angle: -90, position: 'insideLeft', fontSize: 12 }}
              {...axis}
            />
            <Scatter data={data} shape={dot as never} isAnimationActive={false} />
          </ScatterChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="sr-only">
        The lines by what they cost to buy and in a year; the table has the same in numbers.
      </figcaption>
    </figure>
  );
}
