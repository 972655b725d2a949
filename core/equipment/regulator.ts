import { z } from 'zod';
import { defineKind, numberField, Refusal } from './kind';

/** Lowers the pressure: the dew point falls with it, and drops may evaporate. Throttling is taken as isothermal. */
export const regulator = defineKind({
  kind: 'regulator',
  label: 'Regulator',
  does: 'Lowers the pressure. The dew point falls with it, so drops that arrive may evaporate.',
  alsoCalled: ['pressure reducer', 'FRL'],
  cautions: ['C07'],
  parameters: z.strictObject({
    setPressurePa: numberField({
      label: 'Set pressure',
      quantity: 'pressure',
      least: 1.1e5,
      most: 41e5,
      default: 7.2e5, // 90 psig
      source: 'typical, common practice',
      uncertainty: { abs: 13800 }, // ±2 psi gauge
    }),
  }),
  pass(inlet, p, around) {
    if (p.setPressurePa <= around.atmosphericPa)
      throw new Refusal('setPressurePa', 'The set pressure must be above the atmosphere.');
    inlet.bringTo(inlet.temperatureC, Math.min(inlet.pressurePa, p.setPressurePa));
  },
  whyPressure: (inlet, p) => ({
    formula: 'set pressure, or what arrives if that is less',
    inputs: [
      { label: 'set', quantity: 'pressure', value: p.setPressurePa, from: 'this stage' },
      { label: 'arrives', quantity: 'pressure', value: inlet.pressurePa, from: 'stage before' },
    ],
    source: 'a regulator cannot raise pressure',
  }),
});
