import { z } from 'zod';
import { coolAlong } from '../cooling/cooling-run';
import { askedField, builtField } from '../shared/build-fields';
import { choiceField, defineKind, numberField } from '../shared/kind';
import { loseAir } from '../shared/leak';
import { hoseFields, pressureBehindHosePa, whyHosePressure, widerHose } from './hose-flow';

/** A hose between the pipe and something that moves, shakes, or is to be gone round. */
export const hose = defineKind({
  kind: 'hose',
  family: 'serving',
  label: 'Hose',
  does: 'A hose at the bench, a flexible first joint, or a jumper around a unit that is away. It must be rated for its pressure.',
  equation: 'p₂ by Darcy–Weisbach and its inserts; T by heat exchange through its wall, as a cooling run of hose',
  alsoCalled: ['whip', 'jumper hose', 'lead hose', 'flexible joint', 'pig tail'],
  ids: ['hose/coupler'],
  service: ['M35', 'M41'],
  cautions: ['C19', 'C06'],
  parameters: z.strictObject({
    use: choiceField({
      label: 'Used as',
      options: { whip: 'whip to a tool', jumper: 'jumper round a unit', joint: 'flexible first joint' },
    }),
    ...hoseFields(7.62, 500),
    outsideDiameterM: numberField({
      label: 'Outside diameter',
      quantity: 'size',
      least: 0.004,
      most: 0.1,
      default: 0.016,
      source: 'typical of 3/8 in hose',
    }),
    hangs: askedField('It runs', { falls: 'falling to its end', loops: 'in low loops, where water stands' }),
    ratedPa: numberField({
      label: 'Rated working pressure',
      help: 'Printed on the hose. No print, no rating: do not use it.',
      quantity: 'pressure',
      least: 1.1e5,
      most: 100e5,
      default: 21.7e5, // 300 psi
      source: 'typical of air hose, common practice',
    }),
    ratedC: numberField({
      label: 'Rated up to',
      quantity: 'temperature',
      least: 20,
      most: 260,
      default: 70,
      source: 'typical of rubber hose, common practice',
    }),
    jacket: askedField('Its jacket', {
      nitrile: 'bears oil and heat',
      rubber: 'plain rubber',
      pvc: 'PVC',
      polyurethane: 'polyurethane',
    }),
    print: builtField('Its rating', { yes: 'is printed on it', no: 'is nowhere to be found' }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureBehindHosePa(inlet, p, around);
    const pipe = { ...p, material: 'hose', air: 'still' } as const;
    coolAlong(inlet, pipe, around, pressurePa);
    loseAir(inlet, p.leakM3PerS, around);
  },
  ventsM3PerS: (p) => p.leakM3PerS,
  wider: widerHose,
  whyPressure: whyHosePressure,
  shows: (inlet, p) => [
    {
      label: 'Rating left',
      quantity: 'pressureDifference',
      value: p.ratedPa - inlet.pressurePa,
      warns: inlet.pressurePa > p.ratedPa,
    },
    ...(p.hangs === 'loops'
      ? [{ label: 'Low loops', text: 'hold water: blow them out, or let the hose fall to its end', warns: true }]
      : []),
    ...(inlet.temperatureC > p.ratedC
      ? [{ label: 'Air too hot for it', quantity: 'temperature' as const, value: inlet.temperatureC, warns: true }]
      : []),
  ],
});
