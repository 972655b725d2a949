'use client';

import type { Plan } from '@/core/line/plan';
import type { Section } from '@/core/line/walk';
import { formatQuantity } from '@/core/quantity/format';
import { fromSi, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { WhyText } from '@/ui/why/why';
import { type Columns, linear, niceTicks } from './columns';
import { Lane } from './lane';

const HEIGHT = 76;

/** The falling staircase from the pump to the tool. It begins at the compressor: before it there is only the room. */
export function PressureLane({ plan, section, columns }: { plan: Plan; section: Section; columns: Columns }) {
  const { choice, atmosphericPa } = useUnits();
  const u = unitOf('pressure', choice.pressure);
  const values = section.stations.map((s) => fromSi(s.pressurePa, u, atmosphericPa));
  const charged = values.slice(1);
  if (charged.length === 0) return null;
  const ticks = niceTicks(Math.min(...charged), Math.max(...charged), 3);
  const y = linear(ticks[0] ?? 0, ticks.at(-1) ?? 1, HEIGHT - 12, 18);
  let path = '';
  charged.forEach((v, k) => {
    const i = k + 1;
    path += `${k === 0 ? 'M' : 'L'}${columns.left[i]},${y(v)} H${(columns.left[i] ?? 0) + (columns.width[i] ?? 0)} `;
  });
  return (
    <Lane title="Pressure" unit={u.symbol} height={HEIGHT} columns={columns} ticks={ticks} y={y}>
      <path d={path} fill="none" className="stroke-ink" strokeWidth={1.8} />
      <g className="text-[11.500px] font-semibold">
        {section.stations.map((s, i) => {
          if (i < 1 || (i > 1 && Math.abs((values[i] as number) - (values[i - 1] as number)) < 1e-6)) return null;
          const text = formatQuantity(s.pressurePa, 'pressure', choice, atmosphericPa).number;
          return (
            <WhyText
              key={s.stageId}
              figure={{ stageId: s.stageId, name: 'pressure' }}
              label={`Pressure after ${plan.stages[i]?.name}: ${text} ${u.symbol}. Why?`}
              x={columns.centre[i]}
              y={y(values[i] as number) - 5}
              textAnchor="middle"
              className="fill-ink"
            >
              {text}
            </WhyText>
          );
        })}
      </g>
    </Lane>
  );
}
