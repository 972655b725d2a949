import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import { ratingFields } from '../shared/build-fields';
import { choiceField, defineKind, numberField } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import {
  bumpShows,
  dryInTower,
  NEEDS,
  nozzlePurgeKgPerS,
  purge,
  RATED_PRESSURE_PA,
  towerFields,
  towerLoad,
  towerShows,
} from './tower';

/** Heater on average, W for each m³/s of rating: 1.0–1.5 kW at 100 cfm (trade handbook, estimate). */
export const HEATER_W_PER_M3_PER_S = 1.25e3 / (100 * CFM);
const STAYS_K = 4; // on average over a cycle, cooled before it takes over (estimate)
const STAYS_HOT_K = 10;

/** Two towers in turn, the one at rest dried by a small flow of heated dried air. */
export const heatedPurgeTower = defineKind({
  kind: 'heated-purge-tower',
  family: 'drying',
  label: 'Twin tower, heated purge',
  does: 'Two towers in turn; the one at rest is dried by a small purge of heated, dried air. Less air lost, a heater instead.',
  alsoCalled: ['heated desiccant dryer', 'external heater dryer', 'heat-reactivated dryer'],
  equation:
    'w₂ by transfer units of the bed at its duty; purge a share of the rated flow; T₂ = T₁ + uptake + what stays of the heating',
  ids: ['heated_purge'],
  service: ['M16', 'M17', 'M18', 'M19', 'M20'],
  cautions: ['C07', 'C09', 'C12', 'C26', 'C24'],
  needs: NEEDS,
  parameters: z.strictObject({
    ...towerFields(300 * CFM),
    purgeShare: numberField({
      label: 'Purge, of the rated flow',
      quantity: 'share',
      least: 0.02,
      most: 0.15,
      default: 0.07,
      source: '5–8 %, handbook (recalled)',
      uncertainty: { abs: 0.01 },
    }),
    control: choiceField({
      label: 'A tower at rest',
      options: { timer: 'is heated by the clock, whatever the load', 'dew-point': 'waits for the dew-point probe' },
    }),
    cooled: choiceField({
      label: 'Before it takes over',
      options: { yes: 'it is cooled with dried air', no: 'it goes over hot' },
    }),
    ...lossFields(2.8e4),
    ...ratingFields(49),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around));
    const full = nozzlePurgeKgPerS(p, p.purgeShare, RATED_PRESSURE_PA, inlet.pressurePa);
    const blown = p.control === 'timer' ? full : full * Math.min(1, towerLoad(inlet, p, around));
    dryInTower(inlet, p, around, p.cooled === 'yes' ? STAYS_K : STAYS_HOT_K);
    purge(inlet, blown, 'purgeShare');
  },
  ventsM3PerS: (p, linePa) => (p.purgeShare * p.ratedFlowM3PerS * linePa) / RATED_PRESSURE_PA,
  shows(inlet, p, around) {
    const works = p.control === 'timer' ? 1 : Math.min(1, towerLoad(inlet, p, around));
    return [
      ...towerShows(inlet, p, around, true),
      { label: 'Heater, on average', quantity: 'power', value: HEATER_W_PER_M3_PER_S * p.ratedFlowM3PerS * works },
      ...bumpShows(p.cooled === 'yes', p.ratedDewPointC),
    ];
  },
});
