import { z } from 'zod';
import { plateFlow, ratingFields } from '../shared/build-fields';
import { catchField, drainFields } from '../shared/drain-fields';
import { catchesDrops } from '../shared/drop-catcher';
import { defineKind } from '../shared/kind';
import { lossFields } from '../shared/losses';

/** The little filter of a cutter or a gun: the last stage, and one that the line should leave idle. */
export const toolFilter = defineKind({
  kind: 'tool-filter',
  family: 'catching',
  label: 'The tool’s own filter',
  does: 'The small filter at a cutter or a gun. The line upstream should leave nothing to remove.',
  alsoCalled: ['last-chance filter', 'gun filter', 'torch filter', 'inline filter'],
  service: ['M02', 'M03'],
  cautions: ['C07', 'C21'],
  parameters: z.strictObject({
    efficiency: catchField({
      label: 'Drops caught',
      default: 0.8,
      source: 'estimate',
      uncertainty: 0.1,
    }),
    ...drainFields('manual', 1e-5),
    ...lossFields(1e4),
    ...ratingFields(50),
    ...plateFlow(),
  }),
  ...catchesDrops('estimate'),
  cleans: (dirt) => dirt.strain(5, 'the tool’s own filter'),
  shows: (inlet) =>
    inlet.liquidKgPerS > 0
      ? [{ label: 'It is not idle', text: 'drops reach it: a stage upstream does not work', warns: true }]
      : [{ label: 'Idle', text: 'as it should be' }],
});
