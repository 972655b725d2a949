import { z } from 'zod';
import { catchField, drained, drainFields } from './drains';
import { defineKind, pressureAfterLoss, pressureLossField } from './kind';

/** Swirls out drops and holds back coarse dirt (5–40 µm). Not a dryer. */
export const bowlFilter = defineKind({
  kind: 'bowl-filter',
  label: 'Bowl filter',
  does: 'Swirls out drops and holds back coarse dirt. Near a hot pump it catches nothing: the water is vapour there.',
  alsoCalled: ['water trap', 'swirl filter', 'bronze filter', 'FRL filter'],
  cautions: ['C21', 'C07'],
  parameters: z.strictObject({
    efficiency: catchField({
      label: 'Drops caught',
      default: 0.85, // 0.8–0.9 at half flow and more
      source: 'estimate',
      uncertainty: 0.07,
    }),
    ...drainFields('manual', 5e-5),
    pressureLossPa: pressureLossField(1e4), // 1–2 psi
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, around);
    inlet.bringTo(inlet.temperatureC, pressurePa).catchDrops(drained(p, p.efficiency, around));
  },
  catches: (p, around) => ({ efficiency: drained(p, p.efficiency, around), source: 'estimate' }),
});
