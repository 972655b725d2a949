import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { behindValvePa, conductanceFields, type Passes, passesMore } from '../shared/conductance-fields';
import { freeAirM3PerS } from '../shared/free-air';
import { choiceField, defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';

interface Settings extends Passes {
  readonly setPressurePa: number;
  readonly droopPa: number;
  readonly droopAtM3PerS: number;
}

/** By how much its setting falls at the flow that passes. */
function droopPa(inlet: AirStream, p: Settings, around: Surroundings): number {
  return p.droopAtM3PerS > 0 ? (p.droopPa * freeAirM3PerS(inlet, around)) / p.droopAtM3PerS : p.droopPa;
}

/** What leaves: the set pressure less the droop, or what its open seat lets through: it cannot raise pressure. */
function leavesPa(inlet: AirStream, p: Settings, around: Surroundings): number {
  return Math.min(behindValvePa(inlet, p, 'regulator', around), p.setPressurePa - droopPa(inlet, p, around));
}

/** Lowers the pressure: the dew point falls with it, and drops may evaporate. The air keeps its enthalpy: drops that evaporate cool it. */
export const regulator = defineKind({
  kind: 'regulator',
  family: 'serving',
  label: 'Regulator',
  does: 'Lowers the pressure. The dew point falls with it, so drops that arrive may evaporate.',
  equation: 'p₂ = min(p₁ downstream of its seat by ISO 6358, set − droop); constant enthalpy',
  ids: ['reg'],
  alsoCalled: ['pressure reducer', 'FRL'],
  service: ['T01'],
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
      help: '{0.35 bar} to {1 bar} at full flow is usual: read its gauge while the tool draws air.',
      quantity: 'pressureDifference',
      least: 0,
      most: 5e5,
      default: 69e3, // 10 psi
      source: 'typical, 5–15 psi at full flow; common practice',
    }),
    droopAtM3PerS: numberField({
      label: '… while this much flows',
      help: 'Free air. It falls in proportion to the flow; 0: the same at any flow.',
      quantity: 'volumeFlow',
      least: 0,
      most: 2,
      default: 15 * CFM,
      source: 'typical of a ⅜ in regulator (estimate)',
    }),
    ...conductanceFields(10, 'typical of ⅜ in (estimate)', 'typical'),
    lock: choiceField({ label: 'Its setting', options: { free: 'can be turned by anybody', locked: 'is locked' } }),
  }),
  pass(inlet, p, around) {
    if (p.setPressurePa - droopPa(inlet, p, around) <= around.atmosphericPa)
      throw new Refusal('setPressurePa', 'The set pressure, less what it falls by, must be above the atmosphere.');
    inlet.expandTo(leavesPa(inlet, p, around));
  },
  wider: (p) => passesMore(p, 'a regulator'),
  shows: (inlet, p) =>
    inlet.pressurePa < p.setPressurePa
      ? [{ label: 'Starved', quantity: 'pressureDifference', value: p.setPressurePa - inlet.pressurePa, warns: true }]
      : [],
  whyPressure: (inlet, p, around) => ({
    formula: 'set pressure − fall while air flows, or what arrives if that is less',
    inputs: [
      { label: 'set', quantity: 'pressure', value: p.setPressurePa, from: 'this stage' },
      { label: 'falls by', quantity: 'pressureDifference', value: droopPa(inlet, p, around), from: 'this stage' },
      { label: 'arrives', quantity: 'pressure', value: inlet.pressurePa, from: 'stage before' },
    ],
    source: 'a regulator cannot raise pressure',
  }),
});
