import { z } from 'zod';
import { type Conductance, conductanceFromLoss, pressureBehindValvePa } from '../../pipe-flow/conductance';
import { CFM, PSI } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { askedField } from '../shared/build-fields';
import { freeAirM3PerS } from '../shared/free-air';
import { aboveAtmosphere, choiceField, chokes, defineKind, type Surroundings } from '../shared/kind';
import { loseAir, soapedLeakField } from '../shared/leak';

// Loss at 15 cfm and 90 psig: standard quarter-inch 2–5 psi, high-flow about 1 (estimates).
const AT = { kgPerS: 15 * CFM * 1.185, upstreamPa: 7.2e5, temperatureC: 20 };
const B = 0.3; // typical of couplers and valves with a bend in them, ISO 6358 (estimate)
const byLoss = (psi: number): Conductance => ({ c: conductanceFromLoss(psi * PSI, AT, B), b: B });
/** Couplers and unions by the two numbers of ISO 6358. */
export const COUPLERS = {
  standard: { label: 'quick coupler, standard ¼ in', valve: byLoss(3.5) },
  'full-flow': { label: 'quick coupler, full-flow', valve: byLoss(1) },
  union: { label: 'union', valve: byLoss(0.05) },
  sheet: { label: 'quick coupler, by its sheet', valve: byLoss(1) },
} as const;

interface Settings {
  type: keyof typeof COUPLERS;
  conductance: number;
}

const valveOf = (p: Settings): Conductance =>
  p.type === 'sheet' ? { c: p.conductance * 1e-8, b: B } : COUPLERS[p.type].valve;

function leavesPa(air: AirStream, p: Settings, around: Surroundings): number {
  const out = pressureBehindValvePa(valveOf(p), air.dryAirKgPerS, air.pressurePa, air.temperatureC);
  if (out === undefined) throw chokes('coupler');
  return aboveAtmosphere(out, 'coupler', around);
}

/** Where the line can be taken apart: quickly, or with a spanner. */
export const coupler = defineKind({
  kind: 'coupler',
  family: 'serving',
  label: 'Coupler or union',
  does: 'Where the line comes apart for service or for a tool. It costs pressure with the square of the flow, and it leaks.',
  equation: 'm = C·p₁·ρ₀·√(T₀/T₁)·√(1 − ((p₂/p₁ − b)/(1 − b))²), ISO 6358; leak lost',
  alsoCalled: ['quick coupler', 'quick connect', 'union', 'plug', 'disconnect'],
  ids: ['hose/coupler'],
  service: ['M35'],
  cautions: ['C19', 'C07'],
  parameters: z.strictObject({
    type: choiceField({
      label: 'Type',
      options: {
        standard: COUPLERS.standard.label,
        'full-flow': COUPLERS['full-flow'].label,
        union: COUPLERS.union.label,
        sheet: COUPLERS.sheet.label,
      },
    }),
    conductance: z
      .number()
      .min(0.05)
      .max(500)
      .default(6)
      .meta({
        label: 'Sonic conductance C, dm³/(s·bar)',
        least: 0.05,
        most: 500,
        source: 'typical of a full-flow coupler (estimate)',
        when: { field: 'type', is: ['sheet'] },
      }),
    leakM3PerS: soapedLeakField(),
    halves: askedField('Its two halves', {
      match: 'are made for each other',
      patterns: 'are of two plug patterns',
      flares: 'are a 37° and a 45° flare',
      threads: 'are two sorts of thread',
    }),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(leavesPa(inlet, p, around));
    loseAir(inlet, p.leakM3PerS, around);
  },
  ventsM3PerS: (p) => p.leakM3PerS,
  wider: (p) =>
    p.type === 'standard'
      ? {
          parameters: { ...p, type: 'full-flow' as const },
          says: 'a full-flow coupler',
          costs: 'two to three times a standard one (estimate)',
        }
      : undefined,
  whyPressure: (inlet, p, around: Surroundings) => ({
    formula: 'p₁ · (b + (1 − b)·√(1 − (m/(C·p₁·ρ₀·√(T₀/T₁)))²))',
    inputs: [
      { label: 'arrives', quantity: 'pressure', value: inlet.pressurePa, from: 'stage before' },
      { label: 'C, dm³/(s·bar)', quantity: 'number', value: valveOf(p).c * 1e8, from: COUPLERS[p.type].label },
      { label: 'b', quantity: 'number', value: B, from: 'typical, estimate' },
      { label: 'flow', quantity: 'volumeFlow', value: freeAirM3PerS(inlet, around), from: 'its share of the air' },
    ],
    source: 'ISO 6358-1 (recalled)',
  }),
});
