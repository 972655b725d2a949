import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import { freeAirM3PerS } from '../shared/free-air';
import { choiceField, defineKind, numberField } from '../shared/kind';

/** Takes the condensate of all drains: oil stays in it, water goes on. It stands beside the line, not in the air. */
export const oilWaterSeparator = defineKind({
  kind: 'oil-water-separator',
  family: 'other',
  label: 'Oil–water separator',
  does: 'Takes the condensate of all drains and keeps the oil of it back, before the water goes to the sewer. The air passes it by.',
  alsoCalled: ['condensate separator', 'OWS', 'condensate treatment'],
  equation:
    'rated for the air whose condensate it takes, less in a humid climate; oil downstream of it by its carbon while it is not an emulsion',
  ids: ['ows'],
  service: ['M36', 'M36C'],
  cautions: ['C27', 'C07'],
  parameters: z.strictObject({
    ratedFlowM3PerS: numberField({
      label: 'Rated for compressors of',
      help: 'Free air, in a temperate climate.',
      quantity: 'volumeFlow',
      least: 1e-3,
      most: 2,
      default: 100 * CFM,
      source: 'typical, common practice',
    }),
    oil: choiceField({
      label: 'Condensate is',
      options: { separates: 'clear after a while in a jar', emulsion: 'milky: an emulsion' },
    }),
    limitMgPerL: z.number().min(0.1).max(1000).default(15).meta({
      label: 'Local limit of oil, mg/L',
      help: 'Ask the sewer authority: it decides.',
      least: 0.1,
      most: 1000,
      source: '10–20 is usual; the local limit decides',
    }),
    chamberM3: numberField({
      label: 'Its chamber holds',
      quantity: 'drained',
      least: 0.001,
      most: 2,
      default: 0.02,
      source: 'estimate for a small one',
    }),
    carbonKg: numberField({
      label: 'Carbon in it',
      quantity: 'mass',
      least: 0.2,
      most: 500,
      default: 4,
      source: 'estimate for a small one',
    }),
    carbonUsedS: numberField({
      label: 'Since its carbon was changed',
      help: '0: no record.',
      quantity: 'time',
      least: 0,
      most: 3.2e8,
      default: 0,
      source: 'no record',
      about: 'build',
    }),
  }),
  // It stands beside the line: what it tells is in `shows`.
  pass() {},
  shows(inlet, p, around) {
    const flow = freeAirM3PerS(inlet, around);
    // A humid place makes more condensate: its rating falls (common practice: about half at 30 °C and 80 %).
    const climate = around.intakeTemperatureC > 27 ? 0.5 : around.intakeTemperatureC > 21 ? 0.75 : 1;
    const load = flow / (p.ratedFlowM3PerS * climate);
    return [
      { label: 'Load, of its rating in this climate', quantity: 'share', value: load, warns: load > 1 },
      ...(p.oil === 'emulsion'
        ? [
            {
              label: 'Milky',
              text: 'gravity and carbon do not separate an emulsion: it needs another process',
              warns: true,
            },
          ]
        : [
            {
              label: 'Sized and fresh, it leaves',
              text: `10–15 mg/L, of ${p.limitMgPerL} allowed`,
              warns: p.limitMgPerL < 15,
            },
          ]),
    ];
  },
});
