import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { ratingFields } from '../shared/build-fields';
import { drained, drainFields, RATED_SEPARATOR } from '../shared/drain-fields';
import { defineKind, numberField, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { overloadShows } from '../shared/overload';
import { loadedDewPointC, refrigeratedLoad, refuseTooHot } from './refrigerated-capacity';

const POWER_W_PER_M3_PER_S = 0.75e3 / (100 * CFM); // 0.6–0.9 kW for 100 cfm at full load (handbook, estimate)
const IDLE = 0.15; // of full power with nothing to do: 10–20 % (estimate)
interface Settings {
  ratedFlowM3PerS: number;
  pressureDewPointC: number;
  swingK: number;
}

/** At the top of its swing: the dew point that a job must bear. */
const coldC = (inlet: AirStream, p: Settings, around: Surroundings): number =>
  Math.max(0.5, loadedDewPointC(p.pressureDewPointC, refrigeratedLoad(inlet, p.ratedFlowM3PerS, around))) + p.swingK;

/** A refrigerated dryer whose compressor rests at part load: thermal mass, several stages or variable speed. */
export const cyclingDryer = defineKind({
  kind: 'cycling-dryer',
  family: 'drying',
  label: 'Refrigerated dryer, cycling',
  does: 'A refrigerated dryer that rests at part load. It saves power, and its dew point swings: judged at the top of the swing.',
  alsoCalled: ['thermal mass dryer', 'variable speed dryer', 'energy saving dryer'],
  equation: 'dew point = rated + overload + swing; capacity = rated·K_p·K_Tin·K_amb; power = (idle + (1 − idle)·load)',
  ids: ['ref_cyc'],
  service: ['M15', 'M09', 'M16', 'M02', 'M03', 'M04'],
  cautions: ['C13', 'C14', 'C12'],
  needs: {
    before: 'a 1 µm coalescer; air at {49 °C} or less',
    after: 'a fine coalescer; no pipe that comes near freezing',
  },
  parameters: z.strictObject({
    ratedFlowM3PerS: numberField({
      label: 'Rated flow',
      help: 'At {38 °C} saturated inlet, {7 bar} and a room of {38 °C}.',
      quantity: 'volumeFlow',
      least: 1e-3,
      most: 2,
      default: 200 * CFM,
      source: 'typical of a plant',
    }),
    pressureDewPointC: numberField({
      label: 'Pressure dew point',
      quantity: 'temperature',
      least: 0.5,
      most: 20,
      default: 10 / 3, // 38 °F
      source: 'usual rating, common practice',
      uncertainty: { abs: 1.5 },
    }),
    swingK: numberField({
      label: 'Swings upward by',
      quantity: 'temperatureDifference',
      least: 0,
      most: 8,
      default: 2.5, // ±3–7 °F
      source: 'typical, common practice',
      uncertainty: { abs: 1 },
    }),
    reheatApproachK: numberField({
      label: 'Air leaves below the inlet by',
      quantity: 'temperatureDifference',
      least: 0,
      most: 40,
      default: 10,
      source: 'estimate',
      uncertainty: { abs: 3 },
    }),
    ...drainFields('level', 2e-3),
    ...lossFields(2e4),
    ...ratingFields(49),
  }),
  pass(inlet, p, around) {
    refuseTooHot(inlet);
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    const cold = Math.min(inlet.temperatureC, coldC(inlet, p, around));
    const leavesC = Math.max(cold, inlet.temperatureC - p.reheatApproachK);
    inlet
      .bringTo(cold, pressurePa)
      .catchDrops(drained(p.drain, RATED_SEPARATOR.efficiency, around))
      .bringTo(leavesC, pressurePa);
  },
  catches: (p, around) => ({ ...RATED_SEPARATOR, efficiency: drained(p.drain, RATED_SEPARATOR.efficiency, around) }),
  shows(inlet, p, around) {
    const load = refrigeratedLoad(inlet, p.ratedFlowM3PerS, around);
    const power = POWER_W_PER_M3_PER_S * p.ratedFlowM3PerS * (IDLE + (1 - IDLE) * Math.min(1, load));
    return [...overloadShows(load), { label: 'Power', quantity: 'power', value: power }];
  },
  whyTemperature: (inlet, p, around) => ({
    formula: 'air in − reheat difference, never below the coldest air',
    inputs: [
      { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
      { label: 'reheat difference', quantity: 'temperatureDifference', value: p.reheatApproachK, from: 'this stage' },
      {
        label: 'coldest air, top of its swing',
        quantity: 'temperature',
        value: coldC(inlet, p, around),
        from: 'rating, load and swing',
      },
    ],
    source: 'estimate',
  }),
});
