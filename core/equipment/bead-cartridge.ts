import { z } from 'zod';
import { actualFlowM3PerS, leavingRatio, passingShare, warmedByUptakeK } from '../media/uptake';
import type { AirStream } from '../stream/air-stream';
import {
  choiceField,
  defineKind,
  numberField,
  pressureAfterLoss,
  pressureLossField,
  Refusal,
  type Surroundings,
} from './kind';

const MEDIA = { silica: 'silica gel', alumina: 'activated alumina', sieve: 'molecular sieve' } as const;
type Medium = keyof typeof MEDIA;

// Bulk densities, kg/m³: middle of the usual bands (reference group 12, common practice).
const BULK_KG_PER_M3: Record<Medium, number> = { silica: 735, alumina: 750, sieve: 695 };
// Relative humidity with which a fresh charge is in balance, and a spent one (estimates from the isotherms of group 12).
const FRESH_RH: Record<Medium, number> = { silica: 0.003, alumina: 0.003, sieve: 0.0002 };
const SPENT_RH = 0.95;
/** Contact of 5 s takes air that is saturated at 35 °C to −40 °C (4–6 s, common practice / estimate). */
const CONTACT_S = 5;
const PASSES_AT_CONTACT = 12.84 / 5628; // e(−40 °C, ice) / e(35 °C), Pa

/**
 * How a charge stands: what is left of its transfer zone, and the humidity that it leaves. A bed dries well until the
 * front comes near its end, and then quickly worse (estimate of shape).
 */
function leaves(air: AirStream, p: { medium: Medium; massKg: number; spentShare: number }, mediumC: number): number {
  const contactS = p.massKg / BULK_KG_PER_M3[p.medium] / actualFlowM3PerS(air);
  const load = CONTACT_S / Math.max(contactS * (1 - p.spentShare), 1e-6);
  const balance = FRESH_RH[p.medium] + (SPENT_RH - FRESH_RH[p.medium]) * p.spentShare ** 6;
  return leavingRatio(air, balance, mediumC, passingShare(PASSES_AT_CONTACT, load));
}

/** The bed lies between the air that enters and the room (estimate). */
const bedC = (air: AirStream, around: Surroundings): number => (air.temperatureC + around.roomTemperatureC) / 2;

/** Beads that take up vapour until they are spent. First model: the state of the charge is entered. */
export const beadCartridge = defineKind({
  kind: 'bead-cartridge',
  label: 'Bead cartridge',
  does: 'Beads take up vapour until they are spent: the only thing here that dries below freezing without power.',
  alsoCalled: ['desiccant', 'silica gel', 'bead dryer', 'bead drum', 'desiccant snake'],
  cautions: ['C07', 'C21', 'C24', 'C23'],
  parameters: z.strictObject({
    medium: choiceField({ label: 'Beads', options: MEDIA }),
    massKg: numberField({
      label: 'Dry beads',
      quantity: 'mass',
      least: 0.05,
      most: 500,
      default: 0.907, // 2 lb
      source: 'typical, common practice',
      uncertainty: { rel: 0.1 },
    }),
    spentShare: numberField({
      label: 'Spent so far',
      help: 'By colour, wet front or weight: 0 when fresh, 100 % when all is spent.',
      quantity: 'share',
      least: 0,
      most: 1,
      default: 0.3,
      source: 'default: look at the beads',
      uncertainty: { abs: 0.15 },
    }),
    pressureLossPa: pressureLossField(1.4e4), // 1–3 psi
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, around);
    if (inlet.temperatureC > 66)
      throw new Refusal(
        'medium',
        'Air over 66 °C (150 °F) reaches the beads: they hold next to nothing there. Cool it first.',
      );
    inlet.bringTo(inlet.temperatureC, pressurePa);
    const ratio = leaves(inlet, p, bedC(inlet, around));
    const warmer = warmedByUptakeK(inlet, ratio);
    inlet.adsorbTo(ratio).bringTo(inlet.temperatureC + Math.min(warmer, 30), pressurePa);
  },
  whyTemperature: (inlet, p, around) => ({
    formula: 'air in + heat of uptake · water taken up / cp, at most 30 K',
    inputs: [
      { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
      {
        label: 'contact, s',
        quantity: 'number',
        value: p.massKg / BULK_KG_PER_M3[p.medium] / actualFlowM3PerS(inlet),
        from: 'beads / bulk density / actual flow',
      },
      { label: 'bed at', quantity: 'temperature', value: bedC(inlet, around), from: 'between air and room' },
    ],
    source: '2.6 MJ per kg of water, typical of bead handbooks; the rest is an estimate',
    note: 'What leaves is as dry as the contact time and the state of the charge allow.',
  }),
});
