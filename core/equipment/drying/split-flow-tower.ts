import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import { ratingFields } from '../shared/build-fields';
import { defineKind } from '../shared/kind';
import { LOSS_GROWS, lossFields, pressureAfterLoss } from '../shared/losses';
import { bumpShows, dryInTower, NEEDS, towerFields, towerLoad, towerShows } from './tower';

const HEATER_W_PER_M3_PER_S = 2.2e3 / (100 * CFM); // heater at line pressure, on average (estimate)
const STAYS_K = 5;
const LEAST_LOAD = 0.3; // below it too little air goes the side way to carry the water off (estimate)

/** Two towers in turn; part of the air itself goes through a heater and the tower at rest, and comes back. */
export const splitFlowTower = defineKind({
  kind: 'split-flow-tower',
  family: 'drying',
  label: 'Twin tower, split flow',
  does: 'Part of the wet air goes through a heater and the tower at rest, is cooled, drained and comes back. No air is lost.',
  alsoCalled: ['no-loss desiccant dryer', 'full-flow regeneration', 'closed-loop dryer'],
  equation: 'w₂ by transfer units of the bed at its duty; no purge; loss with the square of the flow',
  ids: ['split_flow'],
  service: ['M16', 'M17', 'M20'],
  cautions: ['C07', 'C09', 'C12', 'C26', 'C24'],
  needs: NEEDS,
  parameters: z.strictObject({ ...towerFields(500 * CFM), ...lossFields(4.5e4), ...ratingFields(49) }), // it throttles to drive the side way
  pass(inlet, p, around) {
    inlet.expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around, LOSS_GROWS.ports));
    dryInTower(inlet, p, around, STAYS_K);
  },
  shows(inlet, p, around) {
    const load = towerLoad(inlet, p, around);
    return [
      ...towerShows(inlet, p, around, true),
      {
        label: 'Heater, on average',
        quantity: 'power',
        value: HEATER_W_PER_M3_PER_S * p.ratedFlowM3PerS * Math.min(1, load),
      },
      ...(load < LEAST_LOAD
        ? [{ label: 'Too little flow', text: 'the side way does not dry the tower at rest', warns: true }]
        : []),
      ...bumpShows(true, p.ratedDewPointC),
    ];
  },
});
