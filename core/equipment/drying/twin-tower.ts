import { z } from 'zod';
import { CFM, FREE_AIR_KG_PER_M3 } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { askedField, ratingFields } from '../shared/build-fields';
import { choiceField, defineKind, numberField, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { dryInTower, leastPurgeShare, NEEDS, purge, type Rated, towerFields, towerLoad, towerShows } from './tower';

interface Settings extends Rated {
  purgeM3PerS: number;
  purgeSetPa: number;
  control: 'fixed' | 'dew-point';
}

/** Purge, kg/s: through a nozzle whatever passes, or switched by a dew-point probe in proportion to the load. */
function purgeKgPerS(inlet: AirStream, p: Settings, around: Surroundings): number {
  const nozzle = p.purgeM3PerS * FREE_AIR_KG_PER_M3 * (inlet.pressurePa / p.purgeSetPa);
  return p.control === 'fixed' ? nozzle : nozzle * Math.min(1, towerLoad(inlet, p, around));
}

/** Two towers in turn: one dries, the other is blown dry with part of the dried air. */
export const twinTower = defineKind({
  kind: 'twin-tower',
  family: 'drying',
  label: 'Twin tower, heatless',
  does: 'Two towers in turn: one dries, the other is blown dry with a fixed flow of dried air, whatever the load.',
  alsoCalled: ['heatless dryer', 'regenerative dryer', 'pressure swing', 'two-tower dryer', 'silencer', 'muffler'],
  equation: 'w₂ by transfer units of the bed at its duty; purge = nozzle · p/p_set, leaves with the water',
  ids: ['heatless'],
  service: ['M16', 'M17', 'M18', 'M19', 'M20'],
  cautions: ['C07', 'C20', 'C24'],
  needs: NEEDS,
  parameters: z.strictObject({
    ...towerFields(16 * CFM),
    purgeM3PerS: numberField({
      label: 'Purge',
      help: 'Free air that it blows away all the time, whatever passes. It counts against the compressor.',
      quantity: 'volumeFlow',
      least: 0,
      most: 0.4,
      default: 2.4 * CFM, // 15 % of rated
      source: '15 % of the rated flow at 100 psig, common practice',
      uncertainty: { rel: 0.15 },
    }),
    purgeSetPa: numberField({
      label: '… set at a line pressure of',
      help: 'A nozzle blows more at a higher pressure.',
      quantity: 'pressure',
      least: 3e5,
      most: 17e5,
      default: 790_801, // 100 psig at sea level
      source: '100 psig, usual rating',
    }),
    control: choiceField({
      label: 'The purge',
      options: { fixed: 'blows all the time', 'dew-point': 'is switched by a dew-point probe' },
    }),
    ...lossFields(2.8e4), // 3–5 psi
    ...ratingFields(49),
    pilot: askedField('Its valves are moved by air', { dry: 'from downstream of it', wet: 'from before it' }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    const blown = purgeKgPerS(inlet, p, around);
    inlet.expandTo(pressurePa);
    dryInTower(inlet, p, around);
    purge(inlet, blown, 'purgeM3PerS');
  },
  ventsM3PerS: (p, linePa) => (p.purgeM3PerS * linePa) / p.purgeSetPa,
  shows(inlet, p, around) {
    const share = purgeKgPerS(inlet, p, around) / inlet.dryAirKgPerS;
    const least = leastPurgeShare(inlet.pressurePa, around.atmosphericPa);
    return [
      ...towerShows(inlet, p, around),
      { label: 'Purge, of what passes', quantity: 'share', value: share, warns: share > 0.25 },
      { label: 'Least by theory', quantity: 'share', value: least, warns: share < least },
    ];
  },
});
