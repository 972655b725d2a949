import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { drained, drainFields, RATED_SEPARATOR } from '../shared/drain-fields';
import { defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { overloadShows } from '../shared/overload';
import { highInletLoad, loadedDewPointC } from './refrigerated-capacity';

interface Settings {
  ratedFlowM3PerS: number;
  pressureDewPointC: number;
  mostInletC: number;
  precoolerApproachK: number;
  reheatC: number;
}

const coldC = (inlet: AirStream, p: Settings, around: Surroundings): number =>
  loadedDewPointC(p.pressureDewPointC, highInletLoad(inlet, p.ratedFlowM3PerS, around));

/** A refrigerated dryer with a cooler of its own ahead: for the hot air of a small compressor without an aftercooler. */
export const highInletDryer = defineKind({
  kind: 'high-inlet-dryer',
  family: 'drying',
  label: 'Refrigerated dryer, high inlet',
  does: 'A small refrigerated dryer with a cooler of its own ahead, for the hot air of a compressor without an aftercooler.',
  alsoCalled: ['hot-inlet dryer', 'high temperature dryer'],
  equation:
    'cooled to room + approach, then chilled; dew point = rated + overload; capacity by inlet, pressure and room',
  ids: ['ref_hit'],
  service: ['M15', 'M09', 'M16', 'M02', 'M03', 'M04'],
  cautions: ['C13', 'C14', 'C12', 'C09'],
  needs: { before: 'a bowl or coarse filter against scale; the hot line may reach it', after: 'a fine coalescer' },
  parameters: z.strictObject({
    ratedFlowM3PerS: numberField({
      label: 'Rated flow',
      help: 'Free air, saturated at {82 °C}, {7 bar}, room of {38 °C}.',
      quantity: 'volumeFlow',
      least: 1e-3,
      most: 0.1,
      default: 20 * CFM,
      source: 'typical, 5–50 cfm (estimate)',
    }),
    pressureDewPointC: numberField({
      label: 'Pressure dew point',
      quantity: 'temperature',
      least: 0.5,
      most: 20,
      default: 10, // 50 °F, usual of the small hot ones
      source: 'typical of its kind, common practice',
      uncertainty: { abs: 2.8 },
    }),
    mostInletC: numberField({
      label: 'Highest inlet temperature',
      quantity: 'temperature',
      least: 60,
      most: 120,
      default: 93, // 200 °F
      source: '180–200 °F, common practice',
    }),
    precoolerApproachK: numberField({
      label: 'Its own cooler comes to the room within',
      quantity: 'temperatureDifference',
      least: 3,
      most: 40,
      default: 11,
      source: 'estimate',
      uncertainty: { abs: 3 },
    }),
    reheatC: numberField({
      label: 'Warms the air again by',
      quantity: 'temperatureDifference',
      least: 0,
      most: 40,
      default: 15,
      source: 'estimate',
      uncertainty: { abs: 4 },
    }),
    ...drainFields('timer', 1e-3),
    ...lossFields(2.5e4),
  }),
  pass(inlet, p, around) {
    if (inlet.temperatureC > p.mostInletC)
      throw new Refusal('mostInletC', 'The inlet air is above its limit. Cool it first, or check the plate.');
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    const cold = Math.min(inlet.temperatureC, coldC(inlet, p, around));
    inlet
      .bringTo(cold, pressurePa)
      .catchDrops(drained(p.drain, RATED_SEPARATOR.efficiency, around))
      .bringTo(Math.max(cold, Math.min(cold + p.reheatC, around.roomTemperatureC + p.precoolerApproachK)), pressurePa);
  },
  catches: (p, around) => ({ ...RATED_SEPARATOR, efficiency: drained(p.drain, RATED_SEPARATOR.efficiency, around) }),
  shows(inlet, p, around) {
    const load = highInletLoad(inlet, p.ratedFlowM3PerS, around);
    return [
      ...overloadShows(load),
      { label: 'Chills to', quantity: 'temperature', value: coldC(inlet, p, around), warns: load > 1 },
    ];
  },
  whyTemperature: (inlet, p, around) => ({
    formula: 'coldest air + reheat, at most what its own cooler leaves',
    inputs: [
      { label: 'coldest air', quantity: 'temperature', value: coldC(inlet, p, around), from: 'rating and load' },
      { label: 'reheat', quantity: 'temperatureDifference', value: p.reheatC, from: 'this stage' },
    ],
    source: 'first model (estimate): the maker’s curve takes precedence',
  }),
});
