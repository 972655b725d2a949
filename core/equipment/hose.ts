import { z } from 'zod';
import { alongCoolingRun } from './cooling-run';
import { choiceField, defineKind, numberField, pressureAfterLoss, pressureLossField } from './kind';

/** A hose between the pipe and something that moves, shakes, or is to be gone round. */
export const hose = defineKind({
  kind: 'hose',
  family: 'serving',
  label: 'Hose',
  does: 'A whip at the bench, a flexible first joint, or a jumper round a unit that is away. It must be rated for what it holds.',
  equation: 'p₂ = p₁ − loss; T by heat exchange through its wall, as a cooling run of hose',
  alsoCalled: ['whip', 'jumper hose', 'lead hose', 'flexible joint', 'pig tail'],
  ids: ['hose/coupler'],
  cautions: ['C19', 'C06'],
  parameters: z.strictObject({
    use: choiceField({
      label: 'Used as',
      options: { whip: 'whip to a tool', jumper: 'jumper round a unit', joint: 'flexible first joint' },
    }),
    lengthM: numberField({
      label: 'Length',
      quantity: 'length',
      least: 0.1,
      most: 60,
      default: 7.62, // 25 ft
      source: 'typical, common practice',
    }),
    outsideDiameterM: numberField({
      label: 'Outside diameter',
      quantity: 'size',
      least: 0.004,
      most: 0.1,
      default: 0.016,
      source: 'typical of 3/8 in hose',
    }),
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
    pressureLossPa: pressureLossField(2e4), // 50 ft of 3/8 in at 15 cfm with couplers 5–8 psi (estimate)
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, around);
    const pipe = { ...p, material: 'hose', air: 'still' } as const;
    const outC = alongCoolingRun(inlet, pipe, around.roomTemperatureC).at(-1)?.temperatureC as number;
    inlet.bringTo(outC, pressurePa);
  },
  shows: (inlet, p) => [
    {
      label: 'Rating left',
      quantity: 'pressureDifference',
      value: p.ratedPa - inlet.pressurePa,
      warns: inlet.pressurePa > p.ratedPa,
    },
    ...(inlet.temperatureC > p.ratedC
      ? [{ label: 'Air too hot for it', quantity: 'temperature' as const, value: inlet.temperatureC, warns: true }]
      : []),
  ],
});
