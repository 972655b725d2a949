'use client';

import { format } from 'date-fns';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { DrainJudgement, DrainVerdict } from '@/core/log/judge-drain';
import type { LoggedDrain } from '@/core/log/judge-log';
import { fromSi, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { TIME_AXIS, VALUE_AXIS } from './chart-axes';

const COLOUR: Record<DrainVerdict, string> = {
  'as expected': 'var(--water)',
  less: 'var(--amber)',
  more: 'var(--brick)',
  'nothing to expect': 'var(--quiet)',
};

interface Point {
  at: number;
  came: number;
  band: [number, number];
  expected: number;
  verdict: DrainVerdict;
}

function Mark({ cx = 0, cy = 0, payload }: { cx?: number; cy?: number; payload?: Point }) {
  const verdict = payload?.verdict ?? 'as expected';
  const fill = COLOUR[verdict];
  if (verdict === 'less') return <path d={`M${cx - 6},${cy - 5}h12l-6,10z`} fill={fill} />;
  if (verdict === 'more') return <path d={`M${cx - 6},${cy + 5}h12l-6,-10z`} fill={fill} />;
  return <circle cx={cx} cy={cy} r={4.5} fill={fill} />;
}

/** The chart of {@link History}. */
export function HistoryChart({
  entries,
  judged,
}: {
  entries: readonly LoggedDrain[];
  judged: ReadonlyMap<string, DrainJudgement>;
}) {
  const { choice, say } = useUnits();
  const u = unitOf('drained', choice.drained);
  const inUnit = (m3: number): number => fromSi(m3, u, 0);
  const data: Point[] = [...entries]
    .sort((a, b) => a.drainedAt.localeCompare(b.drainedAt))
    .map((e) => ({
      at: new Date(e.drainedAt).getTime(),
      came: inUnit(e.amountM3),
      band: [inUnit(e.lowKg / 1000), inUnit(e.highKg / 1000)],
      expected: inUnit(e.expectedKg / 1000),
      verdict: judged.get(e.id)?.verdict ?? 'as expected',
    }));
  const inSi = (shown: number): string => say(shown * u.factor, 'drained');
  return (
    <div className="h-56">
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} aria-label="What each drain gave">
          <CartesianGrid stroke="var(--hairline)" strokeDasharray="2 3" vertical={false} />
          <XAxis {...TIME_AXIS} domain={[...TIME_AXIS.domain]} />
          <YAxis {...VALUE_AXIS} />
          <Area dataKey="band" stroke="none" fill="var(--vapour)" fillOpacity={0.6} isAnimationActive={false} />
          <Line dataKey="expected" stroke="var(--deep)" strokeDasharray="6 4" dot={false} isAnimationActive={false} />
          <Scatter dataKey="came" shape={<Mark />} isAnimationActive={false} />
          <Tooltip
            isAnimationActive={false}
            content={({ active, payload }) => {
              const p = payload?.[0]?.payload as Point | undefined;
              return active && p ? (
                <div className="floating px-3 py-2 text-[0.85rem]">
                  <p className="font-semibold">{format(p.at, 'EEE d MMM, HH:mm')}</p>
                  <p>
                    came out {inSi(p.came)}: {p.verdict}
                  </p>
                  <p className="text-quiet">
                    expected {inSi(p.band[0])} to {inSi(p.band[1])}
                  </p>
                </div>
              ) : null;
            }}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
