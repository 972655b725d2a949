'use client';

import { memo } from 'react';
import { explainGrade } from '@/core/line/explain-grade';
import type { Grade } from '@/core/line/grade-line';
import { written } from '@/core/line/grade-line';
import { figureText } from '@/ui/why/why';
import { Lane } from './lane';
import type { Row } from './rows';

const HEIGHT = 46;

/** Particle : water : oil of ISO 8573-1 downstream of each stage, each digit by what the line does to it. */
export const PurityLane = memo(function PurityLane({ row, grades }: { row: Row; grades: ReadonlyMap<string, Grade> }) {
  return (
    <Lane
      title="Purity"
      unit="particle : water : oil"
      height={HEIGHT}
      row={row}
      ticks={[]}
      y={() => 0}
      figureOf={(id) => () => {
        const grade = grades.get(id);
        return grade && explainGrade(grade, row.cells.find((c) => c.stage.id === id)?.name ?? '');
      }}
    >
      <g className="text-[12px] font-semibold">
        {row.reached
          .filter((c) => c.stage.kind !== 'intake')
          .map(({ stage, name, centre }) => {
            const grade = grades.get(stage.id);
            return (
              grade &&
              figureText({
                stageId: stage.id,
                name: 'purity',
                label: `Purity after ${name}`,
                x: centre,
                y: HEIGHT / 2 + 4,
                textAnchor: 'middle',
                className: Number(grade.water) <= 6 ? 'fill-water' : 'fill-ink',
                number: written(grade),
              })
            );
          })}
      </g>
    </Lane>
  );
});
