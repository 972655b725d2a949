import { z } from 'zod';
import {
  catchField,
  choiceField,
  defineKind,
  drained,
  drainField,
  numberField,
  pressureAfterLoss,
  pressureLossField,
  Refusal,
} from './kind';

interface Settings {
  method: 'dew-point' | 'evaporator';
  pressureDewPointC: number;
  evaporatorTemperatureC: number;
  approachK: number;
  reheat: 'yes' | 'no';
  reheatApproachK: number;
}

/** The coldest the air gets in the dryer, °C. */
function coldC(p: Settings): number {
  return p.method === 'dew-point' ? p.pressureDewPointC : p.evaporatorTemperatureC + p.approachK;
}

function outletC(inletC: number, p: Settings): number {
  const cold = Math.min(inletC, coldC(p));
  return p.reheat === 'yes' ? Math.max(cold, inletC - p.reheatApproachK) : cold;
}

/** Cools the air to a few degrees above freezing, drains what falls out, and warms the air again on its way out. */
export const refrigeratedDryer = defineKind({
  kind: 'refrigerated-dryer',
  label: 'Refrigerated dryer',
  does: 'Chills the air to a few degrees above freezing, drains what falls out and warms it again.',
  cautions: ['C13', 'C14', 'C12'],
  parameters: z.strictObject({
    method: choiceField({
      label: 'Coldest air',
      options: { 'dew-point': 'the plate’s pressure dew point', evaporator: 'evaporator + approach' },
    }),
    pressureDewPointC: numberField({
      label: 'Pressure dew point',
      quantity: 'temperature',
      least: 0.5,
      most: 20,
      default: 10 / 3, // 38 °F
      source: 'usual rating, common practice',
      uncertainty: { abs: 2.8 }, // ±5 °F for a dew point from the plate
      when: { field: 'method', is: ['dew-point'] },
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
    drain: drainField('timer'),
    pressureLossPa: pressureLossField(2e4), // 2–5 psi
  }),
  pass(inlet, p, around) {
    const cold = Math.min(inlet.temperatureC, coldC(p));
    if (coldC(p) < 0.5)
      throw new Refusal(
        'approachK',
        'The air would reach freezing and block the dryer. Evaporator and approach together must stay above 0.5 °C.',
      );
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, around);
    const leavesC = outletC(inlet.temperatureC, p);
    inlet.bringTo(cold, pressurePa).catchDrops(drained(p, p.separatorEfficiency)).bringTo(leavesC, pressurePa);
  },
  whyTemperature(inlet, p) {
    const cold = {
      label: 'coldest air',
      quantity: 'temperature',
      value: Math.min(inlet.temperatureC, coldC(p)),
      from: p.method === 'dew-point' ? 'plate' : 'evaporator + approach',
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
      note: 'Drops that its separator misses evaporate again in the reheat and raise the dew point.',
    };
  },
  catches: (p) => ({ efficiency: drained(p, p.separatorEfficiency), source: 'estimate' }),
});
