import { z } from 'zod';
import { catchField, drainFields } from '../shared/drain-fields';
import { catchesDrops } from '../shared/drop-catcher';
import { defineKind } from '../shared/kind';
import { lossFields } from '../shared/losses';

/** A capped stub at a low point that collects water and grit while the air goes on from the top. */
export const dripLeg = defineKind({
  kind: 'drip-leg',
  family: 'catching',
  label: 'Drip leg',
  does: 'A capped stub at a low point: water and grit run into it while the air leaves above.',
  alsoCalled: ['sediment trap', 'drop leg', 'dirt leg', 'water leg', 'petcock'],
  service: ['M02', 'M03', 'M04'],
  cautions: ['C36', 'C35'],
  parameters: z.strictObject({
    efficiency: catchField({
      label: 'Drops that run into it',
      default: 0.5,
      source: 'estimate: what creeps along the wall, not the mist',
      uncertainty: 0.2,
    }),
    ...drainFields('manual', 2e-4),
    ...lossFields(0),
  }),
  ...catchesDrops('estimate'),
});
