import { z } from 'zod';
import { choiceField, defineKind, numberField } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

/** For whatever nobody foresaw: what comes out of it is simply entered. */
export const measuredStage = defineKind({
  kind: 'measured-stage',
  family: 'other',
  label: 'Measured stage',
  does: 'For any other equipment: enter the outlet condition and the water separated.',
  alsoCalled: ['something else', 'other', 'custom', 'unknown'],
  equation: 'T₂, loss and water caught as entered',
  cautions: ['C06'],
  parameters: z.strictObject({
    temperature: choiceField({
      label: 'Air leaves',
      options: { same: 'as warm as it came', measured: 'at a measured temperature' },
    }),
    outletTemperatureC: numberField({
      label: 'Measured downstream of it',
      quantity: 'temperature',
      least: -40,
      most: 200,
      default: 25,
      source: 'default, not measured',
      uncertainty: { abs: 1.7 },
      when: { field: 'temperature', is: ['measured'] },
    }),
    caughtKgPerS: numberField({
      label: 'Water caught while loaded',
      help: 'Never more than the drops that are there.',
      quantity: 'waterFlow',
      least: 0,
      most: 0.1,
      default: 0,
      source: 'default, not measured',
      uncertainty: { rel: 0.07 },
    }),
    ...lossFields(0),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    if (p.temperature === 'measured') inlet.bringTo(p.outletTemperatureC, pressurePa);
    else inlet.expandTo(pressurePa);
    if (inlet.liquidKgPerS > 0) inlet.catchDrops(Math.min(1, p.caughtKgPerS / inlet.liquidKgPerS));
  },
  whyTemperature: (inlet, p) =>
    p.temperature === 'measured'
      ? {
          formula: 'as measured downstream of it',
          inputs: [{ label: 'measured', quantity: 'temperature', value: p.outletTemperatureC, from: 'this stage' }],
          source: 'entered',
        }
      : {
          formula: 'as it came',
          inputs: [{ label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' }],
          source: 'entered',
        },
});
