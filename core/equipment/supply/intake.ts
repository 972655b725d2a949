import { z } from 'zod';
import { builtField } from '../shared/build-fields';
import { defineKind, numberField } from '../shared/kind';

/** Where the compressor draws its air: sets pressure, temperature and water of everything after it. */
export const intake = defineKind({
  kind: 'intake',
  family: 'source',
  label: 'Intake',
  does: 'Draws and filters the air. Its temperature and humidity set how much water comes in.',
  equation: 'p₂ = barometer − filter loss; w from e(T)·RH',
  ids: ['intake'],
  service: ['M07'],
  cautions: ['C17'],
  parameters: z.strictObject({
    filterLossPa: numberField({
      label: 'Loss across the intake filter',
      quantity: 'pressureDifference',
      least: 0,
      most: 6200, // 25 in of water: plugged (common practice)
      default: 500, // 2 in of water: clean (common practice)
      source: 'typical of a clean filter, common practice',
      uncertainty: { rel: 0.5 },
    }),
    near: builtField('It draws', {
      clean: 'clean air',
      fumes: 'near exhausts or a flue',
      explosive: 'near solvent, fuel gas or oxygen',
    }),
    conditioned: builtField('That air is', { no: 'as it comes', yes: 'heated or air-conditioned' }),
  }),
  // What a paper element lets through weighs 5–10 mg/m³ at most (estimate).
  cleans: (dirt) => dirt.strain(7, 'the intake filter, estimate'),
  pass(inlet, p) {
    inlet.expandTo(inlet.pressurePa - p.filterLossPa);
  },
  whyPressure: (inlet, p) => ({
    formula: 'barometer − loss across the intake filter',
    inputs: [
      { label: 'barometer', quantity: 'barometer', value: inlet.pressurePa, from: 'Survey' },
      { label: 'filter loss', quantity: 'pressureDifference', value: p.filterLossPa, from: 'this stage' },
    ],
    source: 'subtraction',
  }),
});
