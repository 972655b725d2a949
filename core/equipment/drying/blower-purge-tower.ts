import { z } from 'zod';
import { CFM, FREE_AIR_KG_PER_M3 } from '../../quantity/constants';
import { ratingFields } from '../shared/build-fields';
import { choiceField, defineKind, numberField } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { bumpShows, dryInTower, NEEDS, purge, towerFields, towerLoad, towerShows } from './tower';

const POWER_W_PER_M3_PER_S = 3e3 / (100 * CFM); // blower and heater, 2.5–3.5 kW on average for 100 cfm (trade handbook, estimate)
const STAYS_K = { swept: 5, room: 15 } as const; // on average over a cycle (estimate)
// Cooled with the room’s air, a bed takes up its moisture again: its dew point suffers by the room (estimate).
const WORSE_PER_K = 0.4;
const TEMPERATE_C = 20;

/** Two towers in turn, the one at rest dried by a blower with heated air of the room. */
export const blowerPurgeTower = defineKind({
  kind: 'blower-purge-tower',
  family: 'drying',
  label: 'Twin tower, blower purge',
  does: 'Two towers in turn; a blower and a heater dry the one at rest with the room’s air. Almost no compressed air is lost.',
  alsoCalled: ['blower dryer', 'blower reactivated dryer', 'zero purge dryer'],
  equation:
    'w₂ by transfer units of the bed at its duty; T₂ = T₁ + uptake + what stays of the heating; sweep lost while it cools',
  ids: ['blower_purge'],
  service: ['M16', 'M17', 'M19', 'M20'],
  cautions: ['C07', 'C09', 'C12', 'C11', 'C26', 'C24'],
  needs: NEEDS,
  parameters: z.strictObject({
    ...towerFields(750 * CFM),
    cooling: choiceField({
      label: 'Cools the tower with',
      options: { swept: 'a sweep of dried air', room: 'the air of the room' },
    }),
    sweepShare: numberField({
      label: 'Sweep, of the rated flow',
      quantity: 'share',
      least: 0,
      most: 0.1,
      default: 0.02,
      source: '0–3 %, handbook (recalled)',
      uncertainty: { abs: 0.01 },
      when: { field: 'cooling', is: ['swept'] },
    }),
    ...lossFields(2.8e4),
    ...ratingFields(49),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around));
    const worseK = p.cooling === 'room' ? Math.max(0, around.roomTemperatureC - TEMPERATE_C) * WORSE_PER_K : 0;
    dryInTower(inlet, { ...p, ratedDewPointC: p.ratedDewPointC + worseK }, around, STAYS_K[p.cooling]);
    if (p.cooling === 'swept') purge(inlet, p.sweepShare * p.ratedFlowM3PerS * FREE_AIR_KG_PER_M3, 'sweepShare');
  },
  ventsM3PerS: (p) => (p.cooling === 'swept' ? p.sweepShare * p.ratedFlowM3PerS : 0),
  shows: (inlet, p, around) => [
    ...towerShows(inlet, p, around, true),
    {
      label: 'Blower and heater, on average',
      quantity: 'power',
      value: POWER_W_PER_M3_PER_S * p.ratedFlowM3PerS * Math.min(1, towerLoad(inlet, p, around)),
    },
    ...bumpShows(p.cooling === 'swept', p.ratedDewPointC),
  ],
});
