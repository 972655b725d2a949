import { z } from 'zod';
import { plateFlow, ratingFields } from '../shared/build-fields';
import { catchField, drainFields } from '../shared/drain-fields';
import { catchesDrops } from '../shared/drop-catcher';
import { defineKind } from '../shared/kind';
import { lossFields } from '../shared/losses';

/** The last catcher of drops, directly upstream of the tool. On a good line it stays dry: a check filter. */
export const dropletSeparator = defineKind({
  kind: 'droplet-separator',
  family: 'catching',
  label: 'Droplet separator at the tool',
  does: 'Takes the last drops directly upstream of the tool. On a good line it stays dry: then it is a check filter.',
  alsoCalled: ['gun filter', 'water trap', 'tool filter', 'disposable filter', 'last-chance filter'],
  service: ['M02', 'M03'],
  cautions: ['C19'],
  parameters: z.strictObject({
    efficiency: catchField({
      label: 'Drops caught',
      default: 0.99,
      source: 'common practice, no source',
      uncertainty: 0.01,
    }),
    ...drainFields('manual', 3e-5),
    ...lossFields(7e3),
    ...ratingFields(50),
    ...plateFlow(),
  }),
  ...catchesDrops('common practice, no source'),
});
