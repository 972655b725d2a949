import { z } from 'zod';
import { defineKind, numberField } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

/** Holds the plant at one pressure, whatever the compressors' band does: storage stands upstream of it. */
export const flowController = defineKind({
  kind: 'flow-controller',
  family: 'serving',
  label: 'Flow controller',
  does: 'Holds the plant at one pressure downstream of the storage, whatever the band of the compressors: tools and leaks take no more than they need.',
  alsoCalled: ['demand controller', 'pressure expander', 'intermediate control'],
  equation: 'p₂ = min(p₁ − loss, set); leaks and unregulated tools take air in proportion to absolute pressure',
  ids: ['flow_ctl'],
  service: ['T01'],
  cautions: ['C07'],
  needs: { before: 'storage: a dry receiver above its setting', after: 'nothing' },
  parameters: z.strictObject({
    setPressurePa: numberField({
      label: 'Set pressure',
      quantity: 'pressure',
      least: 2e5,
      most: 17e5,
      default: 6.9e5, // 85 psig
      source: 'typical, common practice',
      uncertainty: { abs: 7e3 },
    }),
    ...lossFields(3e3),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(Math.min(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around), p.setPressurePa));
  },
  shows: (inlet, p) =>
    inlet.pressurePa < p.setPressurePa
      ? [{ label: 'Starved', quantity: 'pressureDifference', value: p.setPressurePa - inlet.pressurePa, warns: true }]
      : [
          {
            label: 'Storage above its setting',
            quantity: 'pressureDifference',
            value: inlet.pressurePa - p.setPressurePa,
          },
          {
            label: 'Leaks downstream of it take less by',
            quantity: 'share',
            value: 1 - p.setPressurePa / inlet.pressurePa,
          },
        ],
  whyPressure: (inlet, p) => ({
    formula: 'set pressure, or what arrives less its loss if that is less',
    inputs: [
      { label: 'set', quantity: 'pressure', value: p.setPressurePa, from: 'this stage' },
      { label: 'arrives', quantity: 'pressure', value: inlet.pressurePa, from: 'stage before' },
    ],
    source: 'it cannot raise pressure',
  }),
});
