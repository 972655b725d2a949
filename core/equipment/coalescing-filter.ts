import { z } from 'zod';
import { catchField, drained, drainFields } from './drains';
import { choiceField, defineKind, pressureAfterLoss, pressureLossField } from './kind';

/** Merges the finest drops until they drain. Liquid only: no filter lowers the dew point of clean vapour. */
export const coalescingFilter = defineKind({
  kind: 'coalescing-filter',
  label: 'Coalescing filter',
  does: 'Merges the finest drops until they drain. It takes liquid only and leaves the dew point as it is.',
  alsoCalled: ['coalescer', 'oil filter', '0.01 micron', '1 micron'],
  cautions: ['C07', 'C21'],
  parameters: z.strictObject({
    grade: choiceField({
      label: 'Grade',
      options: { general: '1 µm, general purpose', fine: '0.01 µm, high efficiency' },
    }),
    efficiency: catchField({
      label: 'Drops caught',
      default: 0.99,
      source: 'typical, common practice (99.9 % of particles at the rated size)',
      uncertainty: 0.01,
    }),
    ...drainFields('float', 5e-5),
    pressureLossPa: pressureLossField(1.7e4), // 2–3 psi wet
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, around);
    inlet.bringTo(inlet.temperatureC, pressurePa).catchDrops(drained(p, p.efficiency, around));
  },
  catches: (p, around) => ({ efficiency: drained(p, p.efficiency, around), source: 'typical, common practice' }),
});
