import { z } from 'zod';
import { saturatedHumidityRatio } from '../../air/humidity';
import { leavingRatio, passingAtRating, passingShare } from '../../desiccant/uptake';
import { CFM } from '../../quantity/constants';
import { builtField, ratingFields } from '../shared/build-fields';
import { defineKind, numberField, Refusal } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

const RATED_INLET_C = 38; // 100 °F saturated, 100 psig (usual rating, common practice)
const RATED_PRESSURE_PA = 790801;
const FREE_AIR_KG_PER_M3 = 1.189; // dry air at 20 °C and 1 bar
const HOTTEST_C = 66; // 150 °F (common practice)
/** Lower end of what membranes are sold for, −40 °C, whatever little flows (trade handbook: 35…−40 °F). */
const DRIEST_C = -40;
const MOST_SWEPT = 0.9;
const WASTES = 0.33; // under a third of its rating most of the sweep is wasted (trade handbook)

/** The sweep leaves through a nozzle that chokes: it grows with the absolute pressure of the line. */
const sweepM3PerS = (p: { ratedFlowM3PerS: number; sweepShare: number }, linePa: number): number =>
  (p.ratedFlowM3PerS * p.sweepShare * linePa) / RATED_PRESSURE_PA;

/** Fibres through which vapour passes to a sweep of dried air. No moving parts, and a fixed loss of air. */
export const membrane = defineKind({
  kind: 'membrane',
  family: 'drying',
  label: 'Membrane dryer',
  does: 'Vapour passes through fibres to a sweep of dried air. No moving parts; the sweep is lost at any load.',
  alsoCalled: ['hollow fibre', 'sweep dryer'],
  equation: 'vapour passes by transfer units of the fibres at their duty; sweep leaves with it',
  ids: ['membrane'],
  service: ['M25'],
  cautions: ['C31', 'C07'],
  parameters: z.strictObject({
    ratedFlowM3PerS: numberField({
      label: 'Rated flow',
      help: 'Free air entering, at {38 °C} saturated and {7 bar}.',
      quantity: 'volumeFlow',
      least: 1e-4,
      most: 0.5,
      default: 10 * CFM,
      source: 'typical of a small one, common practice',
    }),
    ratedDewPointC: numberField({
      label: 'Dew point at that flow',
      quantity: 'temperature',
      least: -40,
      most: 20,
      default: -20,
      source: 'maker’s table only: no generic value, this is an estimate',
      uncertainty: { abs: 5 },
    }),
    sweepShare: numberField({
      label: 'Sweep, of the rated flow',
      quantity: 'share',
      least: 0.02,
      most: 0.4,
      default: 0.17, // 10–25 %
      source: 'typical, common practice',
      uncertainty: { abs: 0.04 },
    }),
    ...lossFields(2.4e4), // 2–5 psi
    ...ratingFields(60),
    sweepOff: builtField('Its sweep, while nobody draws air', { no: 'goes on', yes: 'is shut off' }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    if (inlet.temperatureC > HOTTEST_C)
      throw new Refusal('ratedDewPointC', 'Air over {66 °C} spoils the fibres. Cool it first.');
    inlet.expandTo(pressurePa);
    // It works on ratios: more flow, or less pressure, and less of the vapour finds its way out.
    const flow = inlet.dryAirKgPerS / FREE_AIR_KG_PER_M3;
    const room = 1 + 0.004 * (around.roomTemperatureC - 25); // the sweep leaves through a warm shell (estimate)
    const load = ((Math.max(flow, 1e-9) / p.ratedFlowM3PerS) * room * RATED_PRESSURE_PA) / inlet.pressurePa;
    const passing = passingShare(passingAtRating(p.ratedDewPointC, RATED_INLET_C), load);
    const driest = saturatedHumidityRatio(DRIEST_C, inlet.pressurePa, inlet.basis);
    inlet.adsorbTo(Math.max(driest, leavingRatio(inlet, 0, inlet.temperatureC, passing)), 'purged');
    // Where little flows, the sweep takes most of it: what is left is a trickle.
    inlet.vent(Math.min(sweepM3PerS(p, inlet.pressurePa) * FREE_AIR_KG_PER_M3, MOST_SWEPT * inlet.dryAirKgPerS));
  },
  ventsM3PerS: sweepM3PerS,
  shows(inlet, p) {
    const share = (sweepM3PerS(p, inlet.pressurePa) * FREE_AIR_KG_PER_M3) / inlet.dryAirKgPerS;
    return [{ label: 'Sweep, of what passes', quantity: 'share', value: Math.min(1, share), warns: share > WASTES }];
  },
});
