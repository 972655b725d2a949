import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { unitOf } from '@/core/quantity/units';
import { WhenSeen } from '@/ui/primitives/when-seen';
import { useUnits } from '@/ui/units/units';
import type { HistoryChart } from './history-chart';

const Chart = dynamic(() => import('./history-chart').then((m) => m.HistoryChart), { ssr: false });

/** What came out of a drain over time, over the band of what should have. */
export function History(of: ComponentProps<typeof HistoryChart>) {
  const { symbol } = unitOf('drained', useUnits().choice.drained);
  return (
    <figure>
      <WhenSeen className="h-56">
        <Chart {...of} />
      </WhenSeen>
      <figcaption className="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-[0.8rem] text-quiet">
        <span>{symbol} a drain</span>
        <span>
          <span className="text-water">●</span> as expected
        </span>
        <span>
          <span className="text-amber">▼</span> less
        </span>
        <span>
          <span className="text-brick">▲</span> more
        </span>
        <span className="flex items-center gap-1">
          <i className="inline-block h-2.5 w-4 bg-vapour" /> expected, 95 %
        </span>
      </figcaption>
    </figure>
  );
}
