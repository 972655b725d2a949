'use client';

import { conditionsOf } from '@/core/answers/conditions';
import { filterPlace } from '@/core/answers/filter-place';
import type { Plan } from '@/core/plan/plan';
import { Cautions } from '@/ui/primitives/cautions';
import { useUnits } from '@/ui/units/units';
import { AnswerFrame, NotThere, Verdict } from './answer-frame';
import { AnswerTable } from './table';
import { useConditions } from './use-conditions';

export function FilterPlaceAnswer({ plan }: { plan: Plan }) {
  const { say, number } = useUnits();
  const { conditions, ask } = useConditions(conditionsOf(plan));
  const { places, best, filters } = filterPlace(plan, conditions);
  const hot = places[0];
  return (
    <AnswerFrame
      fields={
        <>
          {ask('c', 'Intake air', 'temperature')}
          {ask('rh', 'its humidity', 'share')}
          {ask('room', 'Compressor room', 'temperature')}
        </>
      }
    >
      {!best || !hot ? (
        <NotThere>No air comes out of the compressor: look at the Line first.</NotThere>
      ) : (
        <>
          <Verdict
            is="yes"
            then={`The air is ${say(best.temperatureC, 'temperature')} there, the coolest upstream of dryer and regulator. What is vapour passes every filter, and falls out where it is cooler.`}
          >
            Downstream of {best.stage.name}.
          </Verdict>
          <AnswerTable
            label="The air at each place"
            heads={['Downstream of', 'Air', 'Drops that arrive', 'Falls out later', 'Oil as vapour, mg/m³']}
            rows={places.map((p) => ({
              id: p.stage.id,
              name: p.stage.name,
              isChosen: p === best,
              values: [
                say(p.temperatureC, 'temperature'),
                say(p.dropsKgPerS, 'waterFlow'),
                say(p.condensesLaterKgPerS, 'waterFlow'),
                number(p.oilVapourMg, undefined, 2),
              ],
            }))}
          />
          {filters.map((f) => (
            <p key={f.stage.id}>
              {f.isTooHot ? (
                <>
                  <span className="text-brick">▲</span> {f.stage.name} stands where the air is too warm: move it
                  downstream.
                </>
              ) : (
                <>
                  <span className="text-water">●</span> {f.stage.name} stands where the air is cool.
                </>
              )}
            </p>
          ))}
          <p className="max-w-[65ch] text-[0.85rem] text-quiet">
            The usual order (common practice): coarse filter and 1 µm here, then the refrigerated dryer, then 0.01 µm,
            then beads or membrane, then a dust filter, then carbon. A bowl filter and the regulator at the tool. Oil
            vapour is an estimate; carbon takes it out, no coalescer does.
          </p>
          <Cautions ids={['C07', 'C21']} />
        </>
      )}
    </AnswerFrame>
  );
}
