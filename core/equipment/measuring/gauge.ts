import { z } from 'zod';
import { choiceField, defineKind, numberField } from '../shared/kind';

const SMALL_M = 0.05;

/**
 * How far a gauge may be off, Pa: its class is a share of its full scale.
 * @example gaugeOffPa({ rangePa: 16e5, classShare: 0.016 }) // 25600
 */
export const gaugeOffPa = (p: { rangePa: number; classShare: number }): number => p.rangePa * p.classShare;

/** Tells the pressure: as well as its range, its size and its damping let it. */
export const gauge = defineKind({
  kind: 'gauge',
  family: 'serving',
  label: 'Pressure gauge',
  does: 'Shows the pressure, within its range, class and damping.',
  equation: 'reads p ± class · range; good where the range is about twice the working pressure',
  alsoCalled: ['manometer', 'pressure dial'],
  service: ['M37'],
  cautions: ['C07'],
  parameters: z.strictObject({
    rangePa: numberField({
      label: 'Full scale',
      quantity: 'pressureDifference',
      least: 0.5e5,
      most: 100e5,
      default: 16e5,
      source: 'typical, common practice',
    }),
    classShare: numberField({
      label: 'Accuracy, of full scale',
      help: 'Grade B: 3 % at the ends, 2 % in the middle. A good one has 1 %.',
      quantity: 'share',
      least: 0.001,
      most: 0.1,
      default: 0.02,
      source: 'grade B, ASME B40.100 (recalled)',
    }),
    faceM: numberField({
      label: 'Face',
      quantity: 'size',
      least: 0.02,
      most: 0.3,
      default: 0.063,
      source: 'typical, 2½ in',
    }),
    read: choiceField({ label: 'It was read', options: { no: 'not yet', yes: 'at rest and while air flows' } }),
    readStaticPa: numberField({
      label: 'At rest, nothing blowing',
      quantity: 'pressure',
      least: 0.9e5,
      most: 100e5,
      default: 8e5,
      source: 'to be read',
      when: { field: 'read', is: ['yes'] },
    }),
    readFlowingPa: numberField({
      label: 'At peak demand',
      quantity: 'pressure',
      least: 0.9e5,
      most: 100e5,
      default: 7.5e5,
      source: 'to be read',
      when: { field: 'read', is: ['yes'] },
    }),
    damping: choiceField({
      label: 'Damping',
      options: { none: 'none', filled: 'liquid-filled', snubber: 'with a snubber' },
    }),
  }),
  // It only looks: what it tells is in `shows`.
  pass() {},
  shows(inlet, p, around) {
    const reads = inlet.pressurePa - around.atmosphericPa;
    const off = gaugeOffPa(p);
    const share = reads / p.rangePa;
    return [
      { label: 'Give or take', quantity: 'pressureDifference', value: off },
      {
        label: 'Of its range',
        quantity: 'share',
        value: share,
        warns: share > 0.75 || share < 0.25,
        ...(share > 1 && { text: 'off its scale' }),
      },
      ...(p.faceM < SMALL_M ? [{ label: 'Face', text: 'small: hard to read', warns: true }] : []),
      ...(p.damping === 'none' && inlet.temperatureC > 60
        ? [{ label: 'Damping', text: 'none, near the compressor: vibration destroys it', warns: true }]
        : []),
    ];
  },
});
