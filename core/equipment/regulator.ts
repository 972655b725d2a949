import { z } from 'zod';
import type { AirStream } from '../stream/air-stream';
import { choiceField, defineKind, numberField, Refusal } from './kind';

/** What leaves: the set pressure less the droop, or what arrives if that is less. A regulator cannot raise pressure. */
function leavesPa(inlet: AirStream, p: { setPressurePa: number; droopPa: number }): number {
  return Math.min(inlet.pressurePa, p.setPressurePa - p.droopPa);
}

/** Lowers the pressure: the dew point falls with it, and drops may evaporate. Throttling is taken as isothermal. */
export const regulator = defineKind({
  kind: 'regulator',
  family: 'serving',
  label: 'Regulator',
  does: 'Lowers the pressure. The dew point falls with it, so drops that arrive may evaporate.',
  equation: 'p₂ = min(p₁, set − droop); isothermal; w unchanged',
  ids: ['reg'],
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
    droopPa: numberField({
      label: 'Falls by, while air flows',
      help: '5–15 psi at full flow is usual: read its gauge while the tool blows.',
      quantity: 'pressureDifference',
      least: 0,
      most: 5e5,
      default: 0,
      source: 'not measured: taken as none',
    }),
    lock: choiceField({ label: 'Its setting', options: { free: 'can be turned by anybody', locked: 'is locked' } }),
  }),
  pass(inlet, p, around) {
    if (p.setPressurePa - p.droopPa <= around.atmosphericPa)
      throw new Refusal('setPressurePa', 'The set pressure, less what it falls by, must be above the atmosphere.');
    inlet.bringTo(inlet.temperatureC, leavesPa(inlet, p));
  },
  shows: (inlet, p) =>
    inlet.pressurePa < p.setPressurePa
      ? [{ label: 'Starved', quantity: 'pressureDifference', value: p.setPressurePa - inlet.pressurePa, warns: true }]
      : [],
  whyPressure: (inlet, p) => ({
    formula: 'set pressure − fall while air flows, or what arrives if that is less',
    inputs: [
      { label: 'set', quantity: 'pressure', value: p.setPressurePa, from: 'this stage' },
      { label: 'falls by', quantity: 'pressureDifference', value: p.droopPa, from: 'this stage' },
      { label: 'arrives', quantity: 'pressure', value: inlet.pressurePa, from: 'stage before' },
    ],
    source: 'a regulator cannot raise pressure',
  }),
});
