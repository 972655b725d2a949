import { z } from 'zod';
import { askedField, plateFlow, ratingFields } from '../shared/build-fields';
import { catchField, drainFields } from '../shared/drain-fields';
import { catchesDrops } from '../shared/drop-catcher';
import { choiceField, defineKind } from '../shared/kind';
import { elementFields, newElement } from '../shared/losses';

/** Swirls out drops and holds back coarse dirt (5–40 µm). Not a dryer. */
export const bowlFilter = defineKind({
  kind: 'bowl-filter',
  family: 'catching',
  label: 'Bowl filter',
  does: 'Swirls out drops and holds back coarse dirt. Near a hot compressor it catches nothing: the water is vapour there.',
  alsoCalled: ['water trap', 'swirl filter', 'bronze filter', 'FRL filter'],
  service: ['M02', 'M03', 'T03'],
  cautions: ['C21', 'C07'],
  ids: ['flt_bowl', 'flt_sep3'],
  parameters: z.strictObject({
    element: choiceField({ label: 'Element', options: { '5': '5 µm', '40': '40 µm', '20': '20 µm' } }),
    efficiency: catchField({
      label: 'Drops caught',
      default: 0.85, // 0.8–0.9 at half flow and more
      source: 'estimate',
      uncertainty: 0.07,
    }),
    ...drainFields('manual', 5e-5, 'Water up to the bowl’s mark'),
    ...elementFields(1e4, 7e3), // 1–2 psi
    ...ratingFields(50),
    ...plateFlow(),
    roomBelow: askedField('Room below to drop its bowl', { enough: 'enough', none: 'none' }),
  }),
  ...catchesDrops('estimate'),
  // Class by element: typical of makers’ sheets, common practice.
  cleans: (dirt, p) => dirt.strain(p.element === '5' ? 5 : 6, `bowl filter, ${p.element} µm`),
  wider: newElement,
});
