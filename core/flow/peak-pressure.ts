import type { Basis } from '../air/enhancement-factor';
import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import type { Plan } from '../line/plan';
import { prepare } from '../line/prepare';
import { allStages, stageById, standing } from '../line/runs';
import { surroundingsOf } from '../line/surroundings';
import { walkPrepared } from '../line/walk';
import { type Derivation, input } from '../quantity/derivation';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import { coincidentPeak } from './demand';

/**
 * The pressure at each outlet at its worst moment, Pa absolute: with all blowing that can blow at once. Behind the first
 * receiver of the main run flows what the outlets take then, whatever the pump delivers; without a receiver no more flows
 * than the pump gives.
 *
 * @returns by stage id; 0 where the line cannot pass so much; an outlet that is never used is left out
 * @source the walk, with losses as each kind has them at that flow
 */
export function peakPressures(plan: Plan, basis: Basis = 'real'): Map<string, number> {
  const line = standing(plan);
  const around = surroundingsOf(line, basis);
  const { intakeRelativeHumidity, intakeTemperatureC, atmosphericPa } = around;
  const x = vapourFractionFromRelativeHumidity(intakeRelativeHumidity, intakeTemperatureC, atmosphericPa, basis);
  const kgPerM3 = dryAirDensityKgPerM3(atmosphericPa, intakeTemperatureC, x);
  const store = line.stages.find((s) => s.kind === 'receiver')?.id;
  const walked = new Map<string, ReturnType<typeof walkPrepared>>();
  const found = new Map<string, number>();
  for (const { id, kind } of allStages(line)) {
    if (kind !== 'outlet') continue;
    const peak = coincidentPeak(line, id);
    if (!peak.has(id)) continue;
    const key = [...peak.keys()].join(' ');
    let section = walked.get(key);
    if (!section) {
      const askedKgPerS = kgPerM3 * [...peak.values()].reduce((sum, flow) => sum + flow, 0);
      const prepared = prepare(line, (s) => peak.get(s.id) ?? 0);
      section = walkPrepared(prepared, around, undefined, (i, air) => {
        // Only its size changes: what is in a kilogram of the air does not.
        if (prepared.stages[i]?.id === store) air.scale(askedKgPerS / air.dryAirKgPerS);
      });
      walked.set(key, section);
    }
    found.set(id, section.at(id)?.pressurePa ?? 0);
  }
  return found;
}

/** “Why?” for the pressure at an outlet at its worst moment. */
export function explainPeak(plan: Plan, stageId: string, getsPa: number): Derivation {
  const line = standing(plan);
  const peak = coincidentPeak(line, stageId);
  const others = allStages(line).some((s) => s.kind === 'outlet' && s.parameters.usedShare > 0 && !peak.has(s.id));
  return {
    title: `Pressure at the worst moment · ${stageById(plan, stageId)?.name}`,
    quantity: 'pressure',
    value: getsPa,
    formula: 'the walk with all blowing that can blow at once; losses at that flow',
    inputs: [...peak].map(([id, flow]) =>
      input(stageById(plan, id)?.name ?? id, 'volumeFlow', flow, 'flow while in use'),
    ),
    source: 'coincident peak, common practice',
    ...(others && { note: 'Of outlets that are never used together only one blows.' }),
  };
}
