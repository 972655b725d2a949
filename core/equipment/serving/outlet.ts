import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import { FLOW_BASIS_LABELS } from '../../quantity/flow-basis';
import { builtField, platePressure } from '../shared/build-fields';
import { choiceField, defineKind, numberField } from '../shared/kind';

/** What a maker’s figure means where it does not say: ISO 8778, the standard reference atmosphere of pneumatics (recalled). */
const TOOL_BASIS = 'anr';

const PARTICLE_CLASSES = {
  '1': 'class 1',
  '2': 'class 2',
  '3': 'class 3',
  '4': 'class 4',
  '5': 'class 5',
  '6': 'class 6',
  '7': 'class 7',
} as const;
const OIL_CLASSES = { '1': 'class 1', '2': 'class 2', '3': 'class 3', '4': 'class 4' } as const;

/** Where a job takes its air. It asks something of the air and changes nothing in it. */
export const outlet = defineKind({
  kind: 'outlet',
  family: 'serving',
  label: 'Outlet',
  does: 'Where a job takes its air, with what the job needs.',
  alsoCalled: ['tool', 'drop', 'gun', 'bench', 'job', 'coupler'],
  equation: 'changes nothing; judged on what it needs',
  service: ['M34', 'T05'],
  cautions: ['C15', 'C19', 'C17'],
  parameters: z.strictObject({
    need: choiceField({
      label: 'The job needs',
      options: {
        'no-liquid': 'no liquid water',
        'dew-point': 'a pressure dew point',
        'humidity-expanded': 'humidity after expansion to the room',
        'humidity-in-line': 'humidity in the line',
        'humidity-unknown': 'humidity, basis not known',
        'iso-class': 'a water class of ISO 8573-1',
      },
    }),
    dewPointC: numberField({
      label: 'Pressure dew point, at most',
      quantity: 'temperature',
      least: -70,
      most: 40,
      default: 3,
      source: 'typical, common practice',
      when: { field: 'need', is: ['dew-point'] },
    }),
    relativeHumidity: numberField({
      label: 'Relative humidity, at most',
      quantity: 'share',
      least: 0.001,
      most: 1,
      default: 0.1,
      source: 'solvent-borne finishes, common practice',
      when: { field: 'need', is: ['humidity-expanded', 'humidity-in-line', 'humidity-unknown'] },
    }),
    waterClass: choiceField({
      label: 'Water class',
      options: { '1': 'class 1', '2': 'class 2', '3': 'class 3', '4': 'class 4', '5': 'class 5', '6': 'class 6' },
      default: '4',
      when: { field: 'need', is: ['iso-class'] },
    }),
    particleClass: choiceField({
      label: 'Particles, class',
      options: { ...PARTICLE_CLASSES, any: 'not asked' },
      default: 'any',
    }),
    oilClass: choiceField({ label: 'Oil, class', options: { ...OIL_CLASSES, any: 'not asked' }, default: 'any' }),
    leastPressurePa: numberField({
      label: 'Pressure, at least',
      quantity: 'pressure',
      least: 1.1e5,
      most: 41e5,
      default: 6.2e5,
      source: 'typical of air tools, common practice',
    }),
    flowM3PerS: numberField({
      label: 'Flow while in use',
      help: 'As its maker states it.',
      quantity: 'volumeFlow',
      least: 0,
      most: 1,
      default: 4 * CFM,
      source: 'typical of a small tool, common practice',
    }),
    flowBasis: choiceField({
      label: 'Flow is counted',
      help: 'Makers of tools mostly state a standard flow. In thin or warm air it is more of the compressor’s free air.',
      options: FLOW_BASIS_LABELS,
      default: TOOL_BASIS,
    }),
    usedShare: numberField({
      label: 'Share of the working time in use',
      help: 'The air of the line is shared among the outlets by flow and time.',
      quantity: 'share',
      least: 0,
      most: 1,
      default: 0.3,
      source: 'typical of a small tool, common practice',
    }),
    useLastsS: numberField({
      label: 'One use lasts',
      help: 'Longest continuous use of the tool, which the receiver has to cover.',
      quantity: 'duration',
      least: 1,
      most: 14400,
      default: 60,
      source: 'assumed',
    }),
    turns: choiceField({
      label: 'Never used together with',
      options: { none: 'no other', a: 'the others marked A', b: 'the others marked B', c: 'the others marked C' },
    }),
    use: builtField('It is used for', {
      tools: 'tools, cylinders, general work',
      spray: 'spraying or powder coating',
      cutting: 'plasma or laser cutting',
      blasting: 'blasting',
      instruments: 'instruments, spindles, sensors',
      food: 'food or packaging',
      'blow-gun': 'cleaning with a blow-gun',
      tyres: 'tyres',
      breathing: 'a hood or mask, diving, medical air',
    }),
    mostGaugePa: platePressure('The tool is rated for', 'On the tool, above the atmosphere.'),
    nozzle: builtField(
      'The blow-gun',
      { plain: 'has a plain nozzle', relieving: 'relieves below {2.07 bar} when blocked' },
      {
        when: { field: 'use', is: ['blow-gun'] },
      },
    ),
  }),
  pass() {},
});
