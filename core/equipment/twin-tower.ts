import { z } from 'zod';
import { leavingRatio, passingAtRating, passingShare } from '../media/uptake';
import type { AirStream } from '../stream/air-stream';
import { defineKind, lossFields, numberField, pressureAfterLoss, Refusal, type Surroundings } from './kind';

const RATED_INLET_C = 35; // ISO 7183 option A1: 35 °C, 7 bar, saturated (recalled)
const RATED_PRESSURE_PA = 801325;
const FREE_AIR_KG_PER_M3 = 1.189; // dry air at 20 °C and 1 bar: free air of a rating
const DRIEST_RH = 2e-5; // best that such a bed reaches, near −75 °C (estimate)

/** Capacity over rated capacity by inlet temperature, °C (common practice: 38 °C 1.0, 43 °C .75, 49 °C .57). */
function byInlet(inletC: number): number {
  return Math.exp(-0.05 * Math.max(0, inletC - RATED_INLET_C));
}

function load(air: AirStream, p: { ratedFlowM3PerS: number }, around: Surroundings): number {
  const flow = air.dryAirKgPerS / FREE_AIR_KG_PER_M3;
  // The cold tower regenerates worse in a hot room: a small share of the inlet's effect (estimate).
  const room = 1 + 0.004 * (around.roomTemperatureC - 25);
  return (flow * room) / (p.ratedFlowM3PerS * byInlet(air.temperatureC) * (air.pressurePa / RATED_PRESSURE_PA));
}

/** Two small towers in turn: one dries, the other is blown dry with part of the dried air. */
export const twinTower = defineKind({
  kind: 'twin-tower',
  family: 'drying',
  label: 'Twin tower, heatless',
  does: 'Two towers in turn: one dries, the other is blown dry with a fixed flow of dried air, whatever the load.',
  alsoCalled: ['heatless dryer', 'regenerative dryer', 'pressure swing', 'two-tower dryer'],
  equation: 'w₂ by transfer units of the bed at its duty; fixed purge leaves with the water',
  ids: ['heatless'],
  cautions: ['C07', 'C20', 'C24'],
  parameters: z.strictObject({
    ratedFlowM3PerS: numberField({
      label: 'Rated flow',
      help: 'Free air, at 35 °C and 7 bar.',
      quantity: 'volumeFlow',
      least: 1e-4,
      most: 1,
      default: 16 * 4.719474e-4,
      source: 'typical of spraying, common practice',
    }),
    ratedDewPointC: numberField({
      label: 'Rated pressure dew point',
      quantity: 'temperature',
      least: -70,
      most: 0,
      default: -40,
      source: 'usual rating, common practice',
      uncertainty: { abs: 5 },
    }),
    purgeM3PerS: numberField({
      label: 'Purge',
      help: 'Free air that it blows away all the time, whatever passes. It counts against the pump.',
      quantity: 'volumeFlow',
      least: 0,
      most: 0.3,
      default: 2.4 * 4.719474e-4, // 15 % of rated
      source: '15 % of rated at 100 psig, common practice',
      uncertainty: { rel: 0.15 },
    }),
    ...lossFields(2.8e4), // 3–5 psi
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p, around);
    const purge = p.purgeM3PerS * FREE_AIR_KG_PER_M3;
    if (inlet.temperatureC > 60)
      throw new Refusal('ratedDewPointC', 'Air over 60 °C is too hot for the beads. Cool it to 38 °C or less first.');
    // A trickle in a branch that nobody uses feeds no purge: the dryer there stands still.
    if (inlet.dryAirKgPerS > 1e-7 && purge >= inlet.dryAirKgPerS)
      throw new Refusal('purgeM3PerS', 'The purge takes all the air that arrives here: nothing is left for the jobs.');
    inlet.bringTo(inlet.temperatureC, pressurePa);
    const passing = passingShare(passingAtRating(p.ratedDewPointC, RATED_INLET_C), load(inlet, p, around));
    // What a tower takes up the purge carries off in the other half of the cycle.
    inlet.adsorbTo(leavingRatio(inlet, DRIEST_RH, inlet.temperatureC, passing), 'purged');
    if (purge < inlet.dryAirKgPerS) inlet.vent(purge);
  },
});
