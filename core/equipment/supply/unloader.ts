import { z } from 'zod';
import { defineKind, numberField } from '../shared/kind';
import { leakField, loseAir } from '../shared/leak';

/** A bore of usual size: 1/8 in (estimate). */
export const UNLOADER_BORE_M = 3.2e-3;

/** Blows off what stands between compressor and check valve as the compressor stops, so that it starts again without load. */
export const unloader = defineKind({
  kind: 'unloader',
  family: 'source',
  label: 'Unloader',
  does: 'Blows off the pipe, cooler and trap upstream of the check valve as the compressor stops. How much and how long: see the compressor cycle.',
  alsoCalled: ['pressure switch', 'bleed valve', 'head unloader', 'blow-off'],
  equation: 'in the compressor cycle: free air V·(p − p_a)/p_a, in the time of ṁ = C·A·p/√T',
  service: ['M04'],
  cautions: ['C08', 'C20'],
  parameters: z.strictObject({
    boreM: numberField({
      label: 'Bore',
      quantity: 'size',
      least: 2e-4,
      most: 0.02,
      default: UNLOADER_BORE_M,
      source: 'estimate: 1/8 in',
    }),
    leakM3PerS: leakField(
      'Leaks while the compressor runs',
      'A hiss at the head or the pressure switch while it is loaded. Free air.',
    ),
  }),
  // Its work is at the stop, between the cycles: core/day.
  pass(inlet, p, around) {
    loseAir(inlet, p.leakM3PerS, around);
  },
});
