import { z } from 'zod';
import { relativeHumidity, vapourFractionFromRatio } from '../../air/humidity';
import { leavingRatio, warmedByUptakeK } from '../../desiccant/uptake';
import { CFM, FREE_AIR_KG_PER_M3 } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { catchField, drained, drainFields } from '../shared/drain-fields';
import { defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

const HOT_ENOUGH_C = 121; // 250 °F: below it the bed hardly dries (trade handbook)
const GOOD_FROM_C = 149; // 300 °F
const DRIEST_RH = 1e-4; // estimate

interface Settings {
  ratedFlowM3PerS: number;
  approachK: number;
}

/** Where the air is cooled to between the two towers. */
const coldC = (p: Settings, around: Surroundings): number => around.roomTemperatureC + p.approachK;

/** Humidity of the hot air that dries the tower at rest: a bed comes no drier than in balance with that. */
function hotHumidity(inlet: AirStream): number {
  const x = vapourFractionFromRatio(inlet.vapourKgPerS / inlet.dryAirKgPerS);
  return Math.max(DRIEST_RH, relativeHumidity(x, inlet.temperatureC, inlet.pressurePa, inlet.basis));
}

/** Over its rating the air has too little contact, and leaves with more of what it brought (estimate of shape). */
const passing = (inlet: AirStream, p: Settings): number =>
  0.02 ** (p.ratedFlowM3PerS / Math.max(1e-9, inlet.dryAirKgPerS / FREE_AIR_KG_PER_M3));

/** Two towers, the one at rest dried by the hot air of an oil-free compressor before that is cooled. */
export const heatOfCompressionTower = defineKind({
  kind: 'heat-of-compression-tower',
  family: 'drying',
  label: 'Heat-of-compression dryer',
  does: 'The hot air of an oil-free compressor dries the tower at rest, is then cooled and drained, and dried in the other. No heater, no purge.',
  alsoCalled: ['HOC dryer', 'drum dryer', 'waste-heat dryer'],
  equation:
    'φ of the hot air = balance of the bed; cooled to room + approach and drained; w₂ by that balance at the cold end',
  ids: ['hoc'],
  service: ['M16', 'M17', 'M20'],
  cautions: ['C09', 'C07', 'C10', 'C24'],
  needs: {
    before: 'nothing: it stands directly downstream of an oil-free compressor, upstream of any cooler. Oil ruins it',
    after: 'a dust filter: beads shed dust',
  },
  parameters: z.strictObject({
    ratedFlowM3PerS: numberField({
      label: 'Rated flow',
      help: 'Free air.',
      quantity: 'volumeFlow',
      least: 1e-3,
      most: 2,
      default: 750 * CFM,
      source: 'typical of its kind, common practice',
    }),
    approachK: numberField({
      label: 'Its cooler comes to the room within',
      quantity: 'temperatureDifference',
      least: 2,
      most: 40,
      default: 10,
      source: 'typical, common practice',
      uncertainty: { abs: 3 },
    }),
    separatorEfficiency: catchField({
      label: 'Drops its separator catches',
      default: 0.95,
      source: 'estimate',
      uncertainty: 0.03,
    }),
    ...drainFields('level', 2e-3),
    ...lossFields(3.1e4), // 3–6 psi
  }),
  pass(inlet, p, around) {
    if (inlet.temperatureC < HOT_ENOUGH_C)
      throw new Refusal(
        '',
        'The air that reaches it is below {121 °C}: the tower at rest does not dry. It stands directly downstream of an oil-free compressor, upstream of its cooler.',
      );
    const balance = hotHumidity(inlet);
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    inlet.bringTo(coldC(p, around), pressurePa).catchDrops(drained(p.drain, p.separatorEfficiency, around));
    const ratio = leavingRatio(inlet, balance, inlet.temperatureC, passing(inlet, p));
    const warmer = warmedByUptakeK(inlet, ratio);
    // What it takes up the hot air carries to the separator, and its drain lets it out.
    inlet.adsorbTo(ratio, 'drained').bringTo(inlet.temperatureC + warmer, pressurePa);
  },
  catches: (p, around) => ({ efficiency: drained(p.drain, p.separatorEfficiency, around), source: 'estimate' }),
  shows: (inlet, p, around) => [
    {
      label: 'Hot air arrives at',
      quantity: 'temperature',
      value: inlet.temperatureC,
      warns: inlet.temperatureC < GOOD_FROM_C,
    },
    { label: 'Dries the tower at rest to', quantity: 'share', value: hotHumidity(inlet) },
    { label: 'Its cooler reaches', quantity: 'temperature', value: coldC(p, around) },
  ],
  whyTemperature: (_inlet, p, around) => ({
    formula: 'room + approach + heat of uptake',
    inputs: [
      { label: 'room', quantity: 'temperature', value: around.roomTemperatureC, from: 'Survey' },
      { label: 'approach', quantity: 'temperatureDifference', value: p.approachK, from: 'this stage' },
    ],
    source: 'first model (estimate): the bed in balance with the hot air that regenerates it',
    note: 'Its dew point floats with the discharge temperature, the room and the load.',
  }),
});
