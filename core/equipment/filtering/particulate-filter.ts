import { z } from 'zod';
import { plateFlow, ratingFields } from '../shared/build-fields';
import { choiceField, defineKind } from '../shared/kind';
import { elementFields, LOSS_GROWS, newElement, pressureAfterLoss } from '../shared/losses';

// Particle class downstream of it (typical of makers’ sheets, ISO 12500-3 recalled).
const CLASS = { '1': 2, '5': 3, '0.01': 1 } as const;

/** Holds back dust from beads, towers and pipe. Wet, it only lets the water creep through. */
export const particulateFilter = defineKind({
  kind: 'particulate-filter',
  family: 'catching',
  label: 'Particulate filter',
  does: 'Holds back dust: downstream of beads and towers, or upstream of anything precise. It is for dry air and catches no water.',
  equation: 'p₂ = p₁ − loss; particles to the class of its element; water unchanged',
  alsoCalled: ['dust filter', 'after-filter', 'particle filter'],
  ids: ['flt_part5', 'flt_dust'],
  service: ['M13'],
  cautions: ['C07', 'C24'],
  parameters: z.strictObject({
    element: choiceField({ label: 'Element', options: { '1': '1 µm', '5': '5 µm', '0.01': '0.01 µm' } }),
    ...elementFields(5e3, 5e3), // 0.5–1 psi new
    ...ratingFields(66),
    ...plateFlow(),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around, LOSS_GROWS.media));
  },
  cleans: (dirt, p) => dirt.strain(CLASS[p.element], `dust filter ${p.element} µm`),
  shows: (inlet) =>
    inlet.liquidKgPerS > 0
      ? [{ label: 'Wet', text: 'drops reach it: it is for dry air and lets them through', warns: true }]
      : [],
  wider: newElement,
});
