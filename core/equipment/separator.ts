import { z } from 'zod';
import { catchField, drained, drainFields } from './drains';
import { airSpaceField, defineKind, pressureAfterLoss, pressureLossField } from './kind';

/** Catches drops, not vapour: the air leaves it saturated if it came saturated. */
export const separator = defineKind({
  kind: 'separator',
  label: 'Separator',
  does: 'Spins drops out of the air right after a cooler. It cannot touch vapour.',
  alsoCalled: ['water trap', 'cyclone', 'swirl filter', 'moisture separator'],
  cautions: ['C36'],
  parameters: z.strictObject({
    efficiency: catchField({
      label: 'Drops caught',
      default: 0.95, // 30–110 % of rated flow
      source: 'typical of a cyclone, common practice',
      uncertainty: 0.03,
    }),
    ...drainFields('manual', 1e-4),
    airSpaceM3: airSpaceField(5e-4),
    pressureLossPa: pressureLossField(7e3), // 1 psi
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, around);
    inlet.bringTo(inlet.temperatureC, pressurePa).catchDrops(drained(p, p.efficiency, around));
  },
  airSpaceM3: (p) => p.airSpaceM3,
  catches: (p, around) => ({
    efficiency: drained(p, p.efficiency, around),
    source: 'typical of a cyclone, common practice',
  }),
});
