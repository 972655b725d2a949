import { z } from 'zod';
import { choiceField, defineKind, lossFields, pressureAfterLoss, Refusal } from './kind';

/** Shuts off what is behind it, for service. */
export const isolatingValve = defineKind({
  kind: 'isolating-valve',
  family: 'source',
  label: 'Isolating valve',
  does: 'Shuts off what is behind it, so that one thing can be served without emptying the shop’s air.',
  equation: 'p₂ = p₁ − loss; shut, nothing passes',
  alsoCalled: ['ball valve', 'shut-off', 'tank valve', 'quarter-turn valve'],
  ids: ['iso'],
  cautions: ['C07', 'C20'],
  parameters: z.strictObject({
    is: choiceField({ label: 'It is', options: { open: 'open', shut: 'shut' } }),
    ...lossFields(2e3), // full port: at most 0.5 psi
  }),
  pass(inlet, p, around) {
    if (p.is === 'shut') throw new Refusal('', 'This valve is shut: nothing comes past it.');
    inlet.bringTo(inlet.temperatureC, pressureAfterLoss(inlet, p, around));
  },
});
