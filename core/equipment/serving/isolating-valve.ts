import { z } from 'zod';
import { builtField } from '../shared/build-fields';
import { behindValvePa, conductanceFields, passesMore } from '../shared/conductance-fields';
import { choiceField, defineKind, Refusal } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

/** Shuts off what is downstream of it, for service. */
export const isolatingValve = defineKind({
  kind: 'isolating-valve',
  family: 'source',
  label: 'Isolating valve',
  does: 'Shuts off what is downstream of it, so that one thing can be served without emptying the shop’s air.',
  equation: 'p₂ = p₁ − loss, or by ISO 6358; shut, nothing passes',
  alsoCalled: ['ball valve', 'shut-off', 'tank valve', 'quarter-turn valve', 'bypass', 'petcock'],
  ids: ['iso'],
  cautions: ['C07', 'C20'],
  parameters: z.strictObject({
    is: choiceField({ label: 'It is', options: { open: 'open', shut: 'shut' } }),
    ...conductanceFields(60, 'typical of a ¾ in ball valve (estimate)'),
    ...lossFields(2e3), // full port: at most 0.5 psi
    lock: builtField('Its handle', { free: 'turns freely', locked: 'is locked and tagged' }),
  }),
  pass(inlet, p, around) {
    if (p.is === 'shut') throw new Refusal('', 'This valve is shut: nothing comes past it.');
    const out =
      p.passes === 'sheet'
        ? behindValvePa(inlet, p, 'valve', around)
        : pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    inlet.expandTo(out);
  },
  wider: (p) => passesMore(p, 'a valve'),
});
