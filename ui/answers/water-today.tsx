'use client';

import { conditionsOf } from '@/core/answers/conditions';
import { waterToday } from '@/core/answers/water-today';
import { sayWater } from '@/core/drains/words';
import { loadedHoursPerDay } from '@/core/line/working-day';
import type { Plan } from '@/core/plan/plan';
import { spell } from '@/core/quantity/spell';
import { Cautions } from '@/ui/primitives/cautions';
import { useUnits } from '@/ui/units/units';
import { drainWords } from '@/ui/water/drain-marks';
import { AnswerFrame, NotThere, Verdict } from './answer-frame';
import { AnswerTable } from './table';
import { useConditions } from './use-conditions';

export function WaterTodayAnswer({ plan }: { plan: Plan }) {
  const { say } = useUnits();
  const { conditions, q, ask } = useConditions(
    conditionsOf(plan),
    { loaded: loadedHoursPerDay(plan) * 3600 },
    { loaded: [0, 86_400] },
  );
  const { drawnInKg, drainedKg, drains } = waterToday(plan, conditions, q.loaded / 3600);
  const water = (kg: number): string => sayWater(say, kg / 1000);
  const wet = drains.filter((d) => d.kgPerDay > 0);
  const dry = drains.filter((d) => d.kgPerDay === 0);
  return (
    <AnswerFrame
      fields={
        <>
          {ask('c', 'Intake air today', 'temperature')}
          {ask('rh', 'its humidity', 'share')}
          {ask('room', 'Compressor room', 'temperature')}
          {ask('loaded', 'Compressor loaded for', 'time')}
        </>
      }
    >
      <Verdict then={`The compressor draws in ${water(drawnInKg)}; the rest leaves as vapour with the air.`}>
        {water(drainedKg)} to drain today.
      </Verdict>
      {drains.length === 0 ? (
        <NotThere>This line has no drain. A separator and a tank with a drain come first.</NotThere>
      ) : (
        <AnswerTable
          label="Drains today"
          heads={['Where it collects', 'Today', 'Full after, loaded', 'Open it']}
          rows={wet.map(({ stage, kgPerDay, fillsInS, often }) => ({
            id: stage.id,
            name: stage.name,
            values: [
              water(kgPerDay),
              fillsInS < 1e6 ? spell(fillsInS) : '–',
              stage.parameters.drain === 'manual' ? often : drainWords(stage.kind, stage.parameters.drain),
            ],
          }))}
        />
      )}
      {dry.length > 0 && (
        <p className="max-w-[75ch] text-[0.85rem] text-quiet">
          Nothing is expected at {dry.map((d) => d.stage.name).join(', ')}: look weekly.
        </p>
      )}
      <Cautions ids={['C36', 'C20', 'C27']} />
    </AnswerFrame>
  );
}
