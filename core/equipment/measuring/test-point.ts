import { z } from 'zod';
import { pressureDewPointC } from '../../air/dew-point';
import { vapourFractionFromRatio } from '../../air/humidity';
import { freeAirM3PerS } from '../shared/free-air';
import { choiceField, defineKind, numberField, Refusal } from '../shared/kind';

/** A valved tap for a dew-point meter, a blotter or a tube. */
export const testPoint = defineKind({
  kind: 'test-point',
  family: 'serving',
  label: 'Test point',
  does: 'A valved tap for a dew-point meter, a blotter or a gauge. What a meter reads there depends on the pressure in its cell.',
  equation: 'the same vapour fraction at line pressure and expanded to the atmosphere',
  alsoCalled: ['sample tap', 'measuring point', 'dew-point tap'],
  service: ['M38'],
  cautions: ['C36', 'C20'],
  parameters: z.strictObject({
    is: choiceField({ label: 'The tap is', options: { shut: 'shut', open: 'open, sampling' } }),
    sampleM3PerS: numberField({
      label: 'Sample flow, free air',
      quantity: 'volumeFlow',
      least: 1e-6,
      most: 0.01,
      default: 3e-5, // 2–5 scfh
      source: 'typical of a dew-point meter, common practice',
      when: { field: 'is', is: ['open'] },
    }),
  }),
  pass(inlet, p, around) {
    if (p.is !== 'open') return;
    const share = p.sampleM3PerS / freeAirM3PerS(inlet, around);
    if (share > 0.9) throw new Refusal('sampleM3PerS', 'The sample takes more than what flows here.');
    inlet.vent(inlet.dryAirKgPerS * share);
  },
  ventsM3PerS: (p) => (p.is === 'open' ? p.sampleM3PerS : 0),
  shows(inlet, _p, around) {
    const x = vapourFractionFromRatio(inlet.vapourKgPerS / inlet.dryAirKgPerS);
    return [
      {
        label: 'Meter at line pressure',
        quantity: 'temperature',
        value: pressureDewPointC(x, inlet.pressurePa, inlet.basis),
      },
      {
        label: 'Meter open to the room',
        quantity: 'temperature',
        value: pressureDewPointC(x, around.atmosphericPa, inlet.basis),
      },
    ];
  },
});
