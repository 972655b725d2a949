import { z } from 'zod';
import { saturationPressurePa } from '../../air/saturation';
import { SALT_PER_WATER } from '../../desiccant/salt';
import { actualFlowM3PerS, leavingRatio, passingShare } from '../../desiccant/uptake';
import type { AirStream } from '../../stream/air-stream';
import { askedField, ratingFields } from '../shared/build-fields';
import { drainFields } from '../shared/drain-fields';
import { defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { mediaLife } from '../shared/media-life';

const RATED_AT_C = 35; // suppression is quoted for air that enters saturated near 100 °F
const PASSES_AT_RATED = 0.03; // of what stands above the balance of the salt (estimate)

/** Topped up when half of their height is gone (trade handbook: at 50–75 %). */
const TOP_UP_AT = 0.5;

/** Humidity ratio of the air that leaves the pellets. */
function pelletsLeave(
  inlet: AirStream,
  p: { suppressionK: number; ratedFlowM3PerS: number },
  around: Surroundings,
): number {
  // Brine on the pellets is in balance with air of one relative humidity.
  const balance = saturationPressurePa(RATED_AT_C - p.suppressionK) / saturationPressurePa(RATED_AT_C);
  const salt = inlet.temperatureC + 0.2 * (around.roomTemperatureC - inlet.temperatureC); // the tower's wall (estimate)
  const passing = passingShare(PASSES_AT_RATED, actualFlowM3PerS(inlet) / p.ratedFlowM3PerS);
  return leavingRatio(inlet, balance, salt, passing);
}

/** Salt pellets that dissolve in the vapour they take up: the dew point follows the inlet temperature. */
export const pelletTower = defineKind({
  kind: 'pellet-tower',
  family: 'drying',
  label: 'Pellet tower',
  does: 'Salt pellets absorb vapour and dissolve. It lowers the dew point by some {11 K}, whatever the air comes with.',
  alsoCalled: ['deliquescent dryer', 'salt tower', 'tablet dryer'],
  equation: 'w₂ in balance with the salt at T + warming, by transfer units; water leaves as brine',
  ids: ['deliq'],
  service: ['M24', 'M23', 'M03'],
  cautions: ['C25', 'C36'],
  parameters: z.strictObject({
    suppressionK: numberField({
      label: 'Dew-point suppression',
      help: 'From the pellets’ sheet, for saturated air near {35 °C}.',
      quantity: 'temperatureDifference',
      least: 2,
      most: 36,
      default: 11.1, // 20 °F
      source: 'typical, common practice',
      uncertainty: { rel: 0.2 },
    }),
    ratedFlowM3PerS: numberField({
      label: 'Rated flow, as it is in the tower',
      help: 'Actual volume at line pressure: tower area × the velocity that its maker allows.',
      quantity: 'volumeFlow',
      least: 1e-5,
      most: 1,
      default: 2e-3,
      source: 'estimate for a small tower',
      uncertainty: { rel: 0.2 },
    }),
    pelletsKg: numberField({
      label: 'Pellets, when full',
      quantity: 'mass',
      least: 1,
      most: 5000,
      default: 25,
      source: 'estimate for a small tower: one bag',
    }),
    ...drainFields('manual', 5e-3),
    ...lossFields(1e4),
    ...ratingFields(49),
    stands: askedField('It stands', { upright: 'upright', leaning: 'leaning, or lying' }),
    brine: askedField('Its brine goes', { permitted: 'where it may', ground: 'to a sewer or the ground, unasked' }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    if (inlet.temperatureC > 49)
      throw new Refusal('suppressionK', 'Air over {49 °C} fuses the pellets. Cool it to {38 °C} or less first.');
    inlet.expandTo(pressurePa);
    // What it takes up runs down as brine, to the drain if there is one; else it stays below the pellets.
    inlet.adsorbTo(pelletsLeave(inlet, p, around), p.drain === 'none' ? 'kept' : 'drained');
  },
  shows: (inlet, p, around) =>
    mediaLife(
      'Topped up after, loaded',
      (TOP_UP_AT * p.pelletsKg) / SALT_PER_WATER,
      inlet.vapourKgPerS -
        Math.min(inlet.vapourKgPerS, pelletsLeave(inlet, p, around) * inlet.dryAirKgPerS) +
        inlet.liquidKgPerS,
    ),
});
