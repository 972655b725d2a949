'use client';

import type { DayCycle } from '@/core/day/simulate-day';
import { fieldsOf } from '@/core/equipment/index';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Scrolls } from '@/ui/primitives/scrolls';
import { Amount } from '@/ui/units/units';

const DROP_KG = 5e-5; // less is a film on the wall

function Water({ kg }: { kg: number }) {
  return kg < DROP_KG ? <span className="text-quiet">–</span> : <Amount si={kg / 1000} quantity="drained" />;
}

/** Every drain of the day: what opens it, how often, and what became of the water. */
export function DrainTable({ day }: { day: DayCycle }) {
  const { plan } = usePlan();
  const cycles = Math.max(1, ...day.compressors.map((p) => p.loads));
  return (
    <Scrolls label="Water at the drains">
      <table className="w-full min-w-[34rem] text-[0.9rem]">
        <caption className="pb-1 text-left font-semibold">Water at the drains</caption>
        <thead className="text-left text-[0.8rem] text-quiet">
          <tr>
            <th className="py-1 pr-3 font-medium">Point</th>
            <th className="pr-3 font-medium">Opens</th>
            <th className="pr-3 text-right font-medium">Times</th>
            <th className="pr-3 text-right font-medium">A cycle</th>
            <th className="pr-3 text-right font-medium">Drained</th>
            <th className="pr-3 text-right font-medium">Left at night</th>
            <th className="text-right font-medium">Carried over</th>
          </tr>
        </thead>
        <tbody>
          {day.points.map((p) => {
            const stage = stageById(plan, p.stageId);
            const opens = stage && fieldsOf(stage.kind).find(([field]) => field === 'drain')?.[1].options?.[p.drain];
            return (
              <tr key={p.stageId} className="border-t border-hairline">
                <th className="max-w-44 truncate py-1 pr-3 text-left font-medium">{stage?.name}</th>
                <td className="pr-3 text-quiet">{opens}</td>
                <td className="pr-3 text-right">{p.openings || '–'}</td>
                <td className="pr-3 text-right">
                  <Water kg={p.caughtKg / cycles} />
                </td>
                <td className="pr-3 text-right">
                  <Water kg={p.drainedKg} />
                </td>
                <td className="pr-3 text-right">
                  <Water kg={p.heelKg} />
                </td>
                <td className={`text-right ${p.carriedOnKg > DROP_KG ? 'text-amber' : ''}`}>
                  <Water kg={p.carriedOnKg} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Scrolls>
  );
}
