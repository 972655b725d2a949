'use client';

import { liquidGPerM3, waterClassOf } from '@/core/purity/iso-8573';
import { WhyText } from '@/ui/why/why';
import { Lane } from './lane';
import type { Row } from './rows';

const HEIGHT = 46;

/** The water class of ISO 8573-1 behind each stage: by dew point as far as class 6, by the liquid in the air from there on. */
export function WaterClassLane({ row }: { row: Row }) {
  return (
    <Lane title="Water class" unit="ISO 8573-1" height={HEIGHT} row={row} ticks={[]} y={() => 0}>
      <g className="text-[12px] font-semibold">
        {row.reached
          .filter((c) => c.stage.kind !== 'intake' && c.stage.kind !== 'compressor')
          .map(({ stage, station: s, centre }) => {
            const liquid = liquidGPerM3(s.liquidKgPerS, s.dryAirKgPerS);
            const is = waterClassOf(s.pressureDewPointC, liquid);
            return (
              <WhyText
                key={stage.id}
                figure={{ stageId: stage.id, name: liquid > 0 ? 'liquid' : 'dewPoint' }}
                label={`Water class after ${stage.name}: ${is}, by ${liquid > 0 ? 'the liquid in the air' : 'its dew point'}. Why?`}
                x={centre}
                y={HEIGHT / 2 + 4}
                textAnchor="middle"
                className={Number(is) <= 6 ? 'fill-water' : 'fill-ink'}
              >
                {is}
              </WhyText>
            );
          })}
      </g>
    </Lane>
  );
}
