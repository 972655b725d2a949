import { z } from 'zod';
import { defineKind } from '../shared/kind';
import { leakField } from '../shared/leak';
import { lossFields, pressureAfterLoss } from '../shared/losses';

/** Lets air to the tank and not back: what stands upstream of it is blown off when the compressor stops. */
export const checkValve = defineKind({
  kind: 'check-valve',
  family: 'source',
  label: 'Check valve',
  does: 'Lets air into the tank and not back. What stands upstream of it is blown off by the unloader at each stop.',
  alsoCalled: ['non-return valve', 'one-way valve', 'back-flow valve'],
  equation: 'p₂ = p₁ − loss; in the compressor cycle: what stands upstream of it is blown off at each stop',
  ids: ['check'],
  service: ['M27'],
  cautions: ['C09', 'C07'],
  parameters: z.strictObject({
    ...lossFields(2e3), // cracks at 0.1–1 psi
    leakM3PerS: leakField(
      'Leaks back while the compressor stands',
      'A hiss at the pressure switch that does not end is this valve. Free air.',
    ),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around));
  },
});
