import { z } from 'zod';
import type { AirStream } from '../stream/air-stream';
import { freeAirM3PerS } from './free-air';
import { choiceField, defineKind, numberField, pressureAfterLoss, type Surroundings } from './kind';

const PSI = 6894.757;
const AT_FLOW = 15 * 4.719474e-4; // 15 cfm
const AT_PA = 7.2e5; // 90 psig
// Loss at that flow and pressure: standard quarter-inch 2–5 psi, high-flow about 1 (estimates).
const TYPES = {
  standard: { label: 'quick coupler, standard ¼ in', lossPa: 3.5 * PSI },
  'full-flow': { label: 'quick coupler, full-flow', lossPa: 1 * PSI },
  union: { label: 'union', lossPa: 0.05 * PSI },
} as const;

/** Loss of a coupler: with the square of the flow, and less in denser air. */
function lossPa(air: AirStream, p: { type: keyof typeof TYPES }, around: Surroundings): number {
  const flow = freeAirM3PerS(air, around) / AT_FLOW;
  return (TYPES[p.type].lossPa * flow ** 2 * AT_PA) / air.pressurePa;
}

/** Where the line can be taken apart: quickly, or with a spanner. */
export const coupler = defineKind({
  kind: 'coupler',
  family: 'serving',
  label: 'Coupler or union',
  does: 'Where the line comes apart for service or for a tool. It costs pressure with the square of the flow, and it leaks.',
  equation: 'Δp = Δp₀ · (flow/15 cfm)² · 6.2 bar(g)/p; leak lost',
  alsoCalled: ['quick coupler', 'quick connect', 'union', 'plug', 'disconnect'],
  ids: ['hose/coupler'],
  cautions: ['C19', 'C07'],
  parameters: z.strictObject({
    type: choiceField({
      label: 'Type',
      options: { standard: TYPES.standard.label, 'full-flow': TYPES['full-flow'].label, union: TYPES.union.label },
    }),
    leakM3PerS: numberField({
      label: 'Leaks, free air',
      help: 'Soap it: a steady row of bubbles is some 0.1 cfm.',
      quantity: 'volumeFlow',
      least: 0,
      most: 0.05,
      default: 0,
      source: 'assumed tight',
    }),
  }),
  pass(inlet, p, around) {
    inlet.bringTo(inlet.temperatureC, pressureAfterLoss(inlet, lossPa(inlet, p, around), around));
    if (p.leakM3PerS > 0) {
      const share = Math.min(0.9, p.leakM3PerS / freeAirM3PerS(inlet, around));
      inlet.vent(inlet.dryAirKgPerS * share);
    }
  },
  whyPressure: (inlet, p, around) => ({
    formula: 'p − Δp₀ · (flow / 15 cfm)² · 90 psig / p',
    inputs: [
      { label: 'arrives', quantity: 'pressure', value: inlet.pressurePa, from: 'stage before' },
      { label: 'loss', quantity: 'pressureDifference', value: lossPa(inlet, p, around), from: 'type and flow' },
      { label: 'flow', quantity: 'volumeFlow', value: freeAirM3PerS(inlet, around), from: 'its share of the air' },
    ],
    source: 'typical losses at 15 cfm, estimate; turbulent flow',
  }),
});
