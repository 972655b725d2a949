import { z } from 'zod';
import { BEADS_RH, usableWater } from '../../desiccant/isotherm';
import { choiceField, defineKind, numberField, Refusal } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { mediaLife } from '../shared/media-life';
import { bedLeaves, humidityOf } from './bead-cartridge';

/** Its gel as a bed. */
const gelOf = (p: { massKg: number; spentShare: number }) =>
  ({ massKg: p.massKg, spentShare: p.spentShare, medium: 'silica', balanceRh: BEADS_RH.silica }) as const;

/** A housing made for water filters, filled with gel or clay. Not made for air; clay is credited with nothing. */
export const homeMadeHousing = defineKind({
  kind: 'home-made-housing',
  family: 'drying',
  label: 'Home-made housing',
  does: 'A water-filter housing filled with gel or clay. It is not made for air. Clay is credited with no class and no dew point.',
  equation: 'gel: as a bead cartridge; clay: air unchanged but for the pressure loss',
  alsoCalled: ['water-filter housing', 'home-made dryer', 'clay filter', 'cat-litter filter', 'filter housing'],
  service: ['M22'],
  cautions: ['C06', 'C21', 'C24', 'C04'],
  parameters: z.strictObject({
    filling: choiceField({ label: 'Filled with', options: { gel: 'silica gel', clay: 'clay' } }),
    massKg: numberField({
      label: 'Filling',
      quantity: 'mass',
      least: 0.05,
      most: 20,
      default: 1.2,
      source: 'estimate of a 10 in housing',
    }),
    spentShare: numberField({
      label: 'Spent so far',
      quantity: 'share',
      least: 0,
      most: 1,
      default: 0.3,
      source: 'default: weigh it, or look at the beads',
      uncertainty: { abs: 0.15 },
      when: { field: 'filling', is: ['gel'] },
    }),
    markedPa: numberField({
      label: 'Pressure marked on the housing',
      help: 'For water. Tests of water housings say nothing of gas, oil or age.',
      quantity: 'pressure',
      least: 1.1e5,
      most: 41e5,
      default: 9.63e5, // 125 psi
      source: 'common practice, no source',
    }),
    ...lossFields(1.4e4),
  }),
  pass(inlet, p, around) {
    if (inlet.pressurePa > p.markedPa)
      throw new Refusal('markedPa', 'The line runs above what is marked on the housing. Do not use it here.');
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    inlet.expandTo(pressurePa);
    if (p.filling === 'gel') inlet.adsorbTo(bedLeaves(inlet, gelOf(p), around));
  },
  cleans: (dirt) => dirt.shed(6, 'loose filling in a home-made housing'),
  shows(inlet, p, around) {
    const air = inlet.copy().expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around));
    const takes = air.vapourKgPerS + air.liquidKgPerS - bedLeaves(air, gelOf(p), around) * air.dryAirKgPerS;
    const usable = p.massKg * usableWater('silica', humidityOf(inlet));
    return [
      ...(p.filling === 'gel' ? mediaLife('Exhausted after, loaded', usable * (1 - p.spentShare), takes) : []),
      {
        label: 'Marked, above the line',
        quantity: 'pressureDifference',
        value: p.markedPa - inlet.pressurePa,
        warns: true,
      },
      ...(p.filling === 'clay' ? [{ label: 'Clay', text: 'no data exist: credited with nothing', warns: true }] : []),
    ];
  },
});
