'use client';

import { runsOf } from '@/core/plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '@/core/plan/surroundings';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

const HEADS = ['Stage', 'Leaves at', 'Pressure', 'Pressure dew point', 'Vapour', 'Drops', 'Caught', 'Air'] as const;

/** The figures of every stage, run by run: what the section draws, to be read and copied. */
export function SectionTable() {
  const { plan, section } = usePlan();
  const { say } = useUnits();
  const kgPerM3 = freeAirKgPerM3(surroundingsOf(plan));
  return runsOf(plan).map((run) => (
    <table key={run.id} className="mt-2 w-full text-left text-[0.86rem]">
      <caption className="text-left font-semibold">{run.name}: figures of its stages</caption>
      <thead>
        <tr className="border-b border-edge">
          {HEADS.map((head, i) => (
            <th key={head} scope="col" className={`px-1.5 py-1 font-medium ${i > 0 ? 'text-right' : ''}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {run.stages.map((stage) => {
          const at = section.at(stage.id);
          const figures = at && [
            say(at.temperatureC, 'temperature'),
            say(at.pressurePa, 'pressure'),
            say(at.pressureDewPointC, 'temperature'),
            say(at.vapourKgPerS, 'waterFlow'),
            say(at.liquidKgPerS, 'waterFlow'),
            say(at.caughtKgPerS, 'waterFlow'),
            say(at.dryAirKgPerS / kgPerM3, 'volumeFlow'),
          ];
          return (
            <tr key={stage.id} className="break-inside-avoid border-b border-hairline">
              <th scope="row" className="px-1.5 py-1 font-normal wrap-anywhere">
                {stage.name}
              </th>
              {figures ? (
                figures.map((figure, i) => (
                  <td key={HEADS[i + 1]} className="px-1.5 py-1 text-right whitespace-nowrap">
                    {figure}
                  </td>
                ))
              ) : (
                <td colSpan={HEADS.length - 1} className="px-1.5 py-1 text-quiet">
                  {stage.planned ? 'planned, not installed yet' : 'not calculated'}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  ));
}
