import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { ratingFields } from '../shared/build-fields';
import { catchField, drained, drainFields, RATED_SEPARATOR } from '../shared/drain-fields';
import { choiceField, defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { overloadShows } from '../shared/overload';
import { loadedDewPointC, refrigeratedLoad, refuseTooHot } from './refrigerated-capacity';

interface Settings {
  method: 'dew-point' | 'rated' | 'evaporator';
  ratedFlowM3PerS: number;
  pressureDewPointC: number;
  evaporatorTemperatureC: number;
  approachK: number;
  reheat: 'yes' | 'no';
  reheatApproachK: number;
}

/** The coldest the air gets in the dryer, °C. */
function coldC(inlet: AirStream, p: Settings, around: Surroundings): number {
  if (p.method === 'evaporator') return p.evaporatorTemperatureC + p.approachK;
  if (p.method === 'dew-point') return p.pressureDewPointC;
  return loadedDewPointC(p.pressureDewPointC, refrigeratedLoad(inlet, p.ratedFlowM3PerS, around));
}

function outletC(inletC: number, coldest: number, p: Settings): number {
  const cold = Math.min(inletC, coldest);
  return p.reheat === 'yes' ? Math.max(cold, inletC - p.reheatApproachK) : cold;
}

/** What of the drops its separator catches: a dew point from the plate or the rating includes that already. */
const separatorOf = (p: { method: Settings['method']; separatorEfficiency: number }) =>
  p.method === 'evaporator' ? { efficiency: p.separatorEfficiency, source: 'estimate' } : RATED_SEPARATOR;

/** Cools the air to a few degrees above freezing, drains what condenses, and warms the air again on its way out. */
export const refrigeratedDryer = defineKind({
  kind: 'refrigerated-dryer',
  family: 'drying',
  label: 'Refrigerated dryer',
  does: 'Chills the air to a few degrees above freezing, drains the condensate and reheats the air.',
  alsoCalled: ['chiller', 'fridge dryer', 'refrigerant dryer'],
  equation: 'dew point = rated + overload; capacity = rated·K_p·K_Tin·K_amb·K_pdp; reheat',
  ids: ['ref_noncyc'],
  service: ['M15', 'M09', 'M16', 'M02', 'M03', 'M04'],
  cautions: ['C13', 'C14', 'C12'],
  parameters: z.strictObject({
    method: choiceField({
      label: 'Coldest air',
      options: {
        'dew-point': 'a dew point that was measured',
        rated: 'by rating, corrected for this duty',
        evaporator: 'evaporator + approach',
      },
    }),
    pressureDewPointC: numberField({
      label: 'Pressure dew point',
      quantity: 'temperature',
      least: 0.5,
      most: 20,
      default: 10 / 3, // 38 °F
      source: 'usual rating, common practice',
      uncertainty: { abs: 2.8 }, // ±5 °F for a dew point from the plate
      when: { field: 'method', is: ['dew-point', 'rated'] },
    }),
    readAtM3PerS: numberField({
      label: 'It was measured at a flow of',
      help: 'Free air that passed while it was read. 0: not noted.',
      quantity: 'volumeFlow',
      least: 0,
      most: 1,
      default: 0,
      source: 'not noted',
      when: { field: 'method', is: ['dew-point'] },
    }),
    readInRoomC: numberField({
      label: 'in a room of',
      quantity: 'temperature',
      least: -20,
      most: 60,
      default: 25,
      source: 'typical of a shop',
      when: { field: 'method', is: ['dew-point'] },
    }),
    ratedFlowM3PerS: numberField({
      label: 'Rated flow',
      help: 'At {38 °C} saturated inlet, {7 bar} and a room of {38 °C}.',
      quantity: 'volumeFlow',
      least: 1e-4,
      most: 1,
      default: 20 * CFM,
      source: 'typical of a small shop',
      when: { field: 'method', is: ['rated'] },
    }),
    evaporatorTemperatureC: numberField({
      label: 'Evaporating refrigerant',
      quantity: 'temperature',
      least: -5,
      most: 15,
      default: 1,
      source: 'typical, common practice',
      uncertainty: { abs: 1 },
      when: { field: 'method', is: ['evaporator'] },
    }),
    approachK: numberField({
      label: 'Approach of the air to it',
      quantity: 'temperatureDifference',
      least: 0.5,
      most: 20,
      default: 3,
      source: 'estimate',
      uncertainty: { abs: 1.5 },
      when: { field: 'method', is: ['evaporator'] },
    }),
    separatorEfficiency: catchField({
      label: 'Drops its separator catches',
      default: 0.95,
      source: 'estimate',
      uncertainty: 0.03,
      when: { field: 'method', is: ['evaporator'] },
    }),
    reheat: choiceField({ label: 'Air-to-air reheat', options: { yes: 'yes', no: 'no, it leaves cold' } }),
    reheatApproachK: numberField({
      label: 'Air leaves below the inlet by',
      quantity: 'temperatureDifference',
      least: 0,
      most: 40,
      default: 10,
      source: 'estimate',
      uncertainty: { abs: 3 },
      when: { field: 'reheat', is: ['yes'] },
    }),
    ...drainFields('timer', 2e-4),
    ...lossFields(2e4), // 2–5 psi
    ...ratingFields(49),
  }),
  pass(inlet, p, around) {
    if (p.method === 'rated') refuseTooHot(inlet);
    const coldest = coldC(inlet, p, around);
    const cold = Math.min(inlet.temperatureC, coldest);
    if (coldest < 0.5)
      throw new Refusal(
        'approachK',
        'The air would reach freezing and block the dryer. Evaporator and approach together must stay above {0.5 °C}.',
      );
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    const leavesC = outletC(inlet.temperatureC, coldest, p);
    inlet
      .bringTo(cold, pressurePa)
      .catchDrops(drained(p.drain, separatorOf(p).efficiency, around))
      .bringTo(leavesC, pressurePa);
  },
  whyTemperature(inlet, p, around) {
    const cold = {
      label: 'coldest air',
      quantity: 'temperature',
      value: Math.min(inlet.temperatureC, coldC(inlet, p, around)),
      from: {
        'dew-point': 'plate',
        rated: `rating; load ${Math.round(100 * refrigeratedLoad(inlet, p.ratedFlowM3PerS, around))} % of what it can do here`,
        evaporator: 'evaporator + approach',
      }[p.method],
    } as const;
    if (p.reheat === 'no') return { formula: 'leaves at the coldest air', inputs: [cold], source: 'no reheat fitted' };
    return {
      formula: 'air in − reheat difference, never below the coldest air',
      inputs: [
        { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
        { label: 'reheat difference', quantity: 'temperatureDifference', value: p.reheatApproachK, from: 'this stage' },
        cold,
      ],
      source: 'estimate',
      ...(p.method === 'evaporator' && {
        note: 'Drops that its separator misses evaporate again in the reheat and raise the dew point.',
      }),
    };
  },
  shows(inlet, p, around) {
    if (p.method !== 'rated') return [];
    const load = refrigeratedLoad(inlet, p.ratedFlowM3PerS, around);
    return overloadShows(load);
  },
  catches: (p, around) => ({ ...separatorOf(p), efficiency: drained(p.drain, separatorOf(p).efficiency, around) }),
});
