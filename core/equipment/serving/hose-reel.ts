import { z } from 'zod';
import { coolAlong } from '../cooling/cooling-run';
import { catchField, drained, drainFields } from '../shared/drain-fields';
import { defineKind, numberField } from '../shared/kind';
import { loseAir } from '../shared/leak';
import { hoseFields, pressureBehindHosePa, whyHosePressure, widerHose } from './hose-flow';

/** A long coiled hose at the end of the line: a dead leg that cools the air, holds water and costs pressure. */
export const hoseReel = defineKind({
  kind: 'hose-reel',
  family: 'serving',
  label: 'Hose reel',
  does: 'A coiled hose at the end of the line: a dead leg that holds water in its turns and costs pressure.',
  equation: 'p₂ as a hose; T by heat exchange through its wall; drops settle in the turns until they are full',
  alsoCalled: ['retractable hose', 'reel'],
  service: ['M35', 'M41'],
  cautions: ['C19', 'C35'],
  parameters: z.strictObject({
    ...hoseFields(15.24, 100),
    outsideDiameterM: numberField({
      label: 'Outside diameter',
      quantity: 'size',
      least: 0.004,
      most: 0.1,
      default: 0.016,
      source: 'typical of 3/8 in hose',
    }),
    efficiency: catchField({
      label: 'Drops that stay in its turns',
      default: 0.3,
      source: 'estimate',
      uncertainty: 0.2,
    }),
    // Nothing empties it but being blown out by hand.
    ...drainFields('none', 1e-4, 'Its turns hold'),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureBehindHosePa(inlet, p, around);
    const pipe = { ...p, material: 'hose', air: 'still' } as const;
    coolAlong(inlet, pipe, around, pressurePa).catchDrops(drained(p.drain, p.efficiency, around));
    loseAir(inlet, p.leakM3PerS, around);
  },
  catches: (p, around) => ({ efficiency: drained(p.drain, p.efficiency, around), source: 'estimate' }),
  ventsM3PerS: (p) => p.leakM3PerS,
  wider: widerHose,
  whyPressure: whyHosePressure,
  shows: (inlet, p) =>
    p.drain === 'none' && inlet.liquidKgPerS > 0
      ? [{ label: 'Holds water', text: 'nothing empties it: it reaches the tool in slugs', warns: true }]
      : [],
});
