'use client';

import { stageById } from '@/core/line/runs';
import { explainGrade } from '@/core/purity/explain-grade';
import type { Grade } from '@/core/purity/grade-line';
import { written } from '@/core/purity/grade-line';
import { usePlan } from '@/ui/plan/plan-provider';
import { WhyText } from '@/ui/why/why';
import { Lane } from './lane';
import type { Row } from './rows';

const HEIGHT = 46;

/** Particle : water : oil of ISO 8573-1 behind each stage, each digit by what the line does to it. */
export function PurityLane({ row, grades }: { row: Row; grades: ReadonlyMap<string, Grade> }) {
  const { plan } = usePlan();
  return (
    <Lane title="Purity" unit="particle : water : oil" height={HEIGHT} row={row} ticks={[]} y={() => 0}>
      <g className="text-[12px] font-semibold">
        {row.reached
          .filter((c) => c.stage.kind !== 'intake')
          .map(({ stage, centre }) => {
            const grade = grades.get(stage.id);
            return (
              grade && (
                <WhyText
                  key={stage.id}
                  figure={() => explainGrade(grade, stageById(plan, stage.id)?.name ?? '')}
                  label={`Purity after ${stage.name}: ${written(grade)}. Why?`}
                  x={centre}
                  y={HEIGHT / 2 + 4}
                  textAnchor="middle"
                  className={Number(grade.water) <= 6 ? 'fill-water' : 'fill-ink'}
                >
                  {written(grade)}
                </WhyText>
              )
            );
          })}
      </g>
    </Lane>
  );
}
