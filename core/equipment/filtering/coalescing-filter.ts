import { z } from 'zod';
import { askedField, builtField, plateFlow, ratingFields } from '../shared/build-fields';
import { catchField, drainFields } from '../shared/drain-fields';
import { catchesDrops } from '../shared/drop-catcher';
import { choiceField, defineKind } from '../shared/kind';
import { elementFields, newElement } from '../shared/losses';

// Mist that a new element passes, mg/m³, and the particle class that it is credited with (typical of makers’ sheets,
// tested by ISO 12500-1 and -3 with 10 or 40 mg/m³ at the inlet, recalled).
const GRADES = {
  general: { oilMg: 0.6, particle: 2, name: '1 µm' },
  fine: { oilMg: 0.01, particle: 1, name: '0.01 µm' },
} as const;
const CLOGS_OVER = 40; // mg/m³: more than the test puts in, and an element floods

/** Merges the finest drops until they drain. Liquid only: no filter lowers the dew point of clean vapour. */
export const coalescingFilter = defineKind({
  kind: 'coalescing-filter',
  family: 'catching',
  label: 'Coalescing filter',
  does: 'Merges the finest drops until they drain. It takes liquid only and leaves the dew point as it is.',
  alsoCalled: ['coalescer', 'oil filter', '0.01 micron', '1 micron'],
  service: ['M11', 'M12', 'M02', 'M03'],
  cautions: ['C07', 'C21'],
  ids: ['flt_gp', 'flt_he'],
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
    ...elementFields(1.7e4, 8e3), // 2–3 psi wet
    ...ratingFields(66),
    ...plateFlow(),
    roomBelow: askedField('Room below to drop its bowl', { enough: 'enough', none: 'none' }),
    indicator: builtField('Pressure-drop gauge across it', { none: 'none', fitted: 'fitted' }),
  }),
  ...catchesDrops('typical, common practice'),
  cleans(dirt, p, air) {
    const { oilMg, particle, name } = GRADES[p.grade];
    // A fine element without a coarse one before it is loaded with what the coarse one should have taken.
    if (p.grade === 'fine' && dirt.oilMg > CLOGS_OVER)
      dirt.coalesce(GRADES.general.oilMg, air.temperatureC, `coalescer ${name}, overloaded`);
    else dirt.coalesce(oilMg, air.temperatureC, `coalescer ${name}`);
    dirt.strain(particle, `coalescer ${name}`);
  },
  wider: newElement,
});
